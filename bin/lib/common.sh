# Shared by bin/start, bin/test and bin/bench. POSIX shell; sourced with $ROOT set to the project folder.
# Every ensure_* function is idempotent and does nothing when what it makes is up to date.

# What is made here (configuration with its secrets, logs, sessions, data) is for the one who runs it alone.
umask 077

VAR="$ROOT/var"
mkdir -p "$VAR/stamps" "$VAR/log" "$ROOT/storage/framework/views" "$ROOT/storage/framework/cache/data" \
    "$ROOT/storage/framework/sessions" "$ROOT/storage/logs" "$ROOT/storage/app" "$ROOT/bootstrap/cache"

say() { printf '\033[1m· %s\033[0m\n' "$*"; }
fail() { printf 'cathedra: %s\n' "$*" >&2; exit 1; }

# stamp_differs NAME FILE...: true when the files changed since stamp_set NAME.
hash_of() { find "$@" -type f 2>/dev/null | LC_ALL=C sort | xargs cat 2>/dev/null | sha256sum | cut -d' ' -f1; }
stamp_differs() { _n=$1; shift; [ "$(cat "$VAR/stamps/$_n" 2>/dev/null)" != "$(hash_of "$@")" ]; }
stamp_set() { _n=$1; shift; hash_of "$@" > "$VAR/stamps/$_n"; }

# fast ARGUMENTS: php with the compiler of opcache (bin/lib/php/fast.ini), and so are the processes that it starts.
FAST=":$ROOT/bin/lib/php"
fast() { PHP_INI_SCAN_DIR="$FAST" php "$@"; }

php_has() { php -r 'exit(extension_loaded($argv[1]) ? 0 : 1);' "$1"; }

# ensure_system WITH_BROWSER(0|1): Debian packages that are missing, and only those.
ensure_system() {
    command -v php >/dev/null || fail "PHP 8.2 or newer is needed; install php-cli, then run this again."
    command -v composer >/dev/null || fail "Composer is needed; install it, then run this again."
    command -v npm >/dev/null || fail "Node.js 20 or newer with npm is needed; install it, then run this again."
    _v=$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')
    _want=''
    { command -v mariadbd >/dev/null || [ -x /usr/sbin/mariadbd ]; } || _want="$_want mariadb-server-core"
    { command -v mariadb && command -v mariadb-dump; } >/dev/null || _want="$_want mariadb-client"
    php_has pdo_mysql || _want="$_want php$_v-mysql"
    php_has mbstring || _want="$_want php$_v-mbstring"
    php_has intl || _want="$_want php$_v-intl"
    php_has dom || _want="$_want php$_v-xml"
    php_has curl || _want="$_want php$_v-curl"
    php_has zip || _want="$_want php$_v-zip"
    php_has 'Zend OPcache' || _want="$_want php$_v-opcache"
    command -v unzip >/dev/null || _want="$_want unzip"
    if [ "$1" = 1 ]; then
        command -v chromium >/dev/null || _want="$_want chromium"
        command -v chromedriver >/dev/null || _want="$_want chromium-driver"
        command -v pdftotext >/dev/null || _want="$_want poppler-utils"
    fi
    [ -z "$_want" ] && return 0
    say "Installing Debian packages:$_want"
    _sudo=''
    [ "$(id -u)" = 0 ] || _sudo=sudo
    $_sudo apt-get update -qq || fail "apt-get update failed; check that Debian's packages can be reached."
    # shellcheck disable=SC2086
    ( umask 022 && $_sudo env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $_want \
        > "$VAR/log/apt.log" 2>&1 ) \
        || { tail -20 "$VAR/log/apt.log" >&2; fail "installing$_want failed; the log is var/log/apt.log."; }
}

ensure_php() {
    if [ ! -d vendor ] || stamp_differs composer composer.json packages; then
        say "Installing PHP packages"
        rm -f composer.lock bootstrap/cache/*.php
        composer update --no-interaction --no-progress --prefer-dist > "$VAR/log/composer.log" 2>&1 \
            || { tail -30 "$VAR/log/composer.log" >&2; fail "composer failed; the log is var/log/composer.log."; }
        rm -f composer.lock
        stamp_set composer composer.json packages
    fi
}

# readable_by_others: what this project keeps that another user could read. Into a database folder nobody else gets, so
# what a running server makes there meanwhile is not looked at.
readable_by_others() {
    find "$VAR" storage bootstrap/cache .env -path "$VAR/mariadb*/*" -prune -o ! -type l -perm /077 -print 2>/dev/null
}

# ensure_private: what an older start left readable for everybody is so no longer.
ensure_private() {
    readable_by_others | while IFS= read -r _file; do chmod go-rwx "$_file" 2>/dev/null || true; done
    _open=$(readable_by_others | head -3)
    [ -z "$_open" ] || fail "others can read what only you should, and you may not change it: $_open
    Give these to $(id -un) (chown), then run this again."
}

ensure_env() {
    [ -f .env ] && return 0
    say "Writing .env with a key and a database password of its own"
    sed -e "s#^APP_KEY=.*#APP_KEY=base64:$(php -r 'echo base64_encode(random_bytes(32));')#" \
        -e "s#^DB_PASSWORD=.*#DB_PASSWORD=$(php -r 'echo bin2hex(random_bytes(16));')#" .env.example > .env
    chmod 600 .env
}

env_value() { sed -n "s/^$1=//p" "${2:-.env}" | tail -1; }

ensure_node() {
    if [ ! -d node_modules ] || stamp_differs npm package-lock.json; then
        say "Installing front-end packages"
        npm ci --no-audit --no-fund > "$VAR/log/npm.log" 2>&1 \
            || { tail -30 "$VAR/log/npm.log" >&2; fail "npm ci failed; the log is var/log/npm.log."; }
        stamp_set npm package-lock.json
    fi
}

ensure_build() {
    if [ ! -f public/build/manifest.json ] || stamp_differs build resources/ts lang vite.config.ts \
        package-lock.json tsconfig.json; then
        say "Building the front end"
        npm run --silent build > "$VAR/log/build.log" 2>&1 \
            || { tail -40 "$VAR/log/build.log" >&2; fail \
                "the front-end build failed; the log is var/log/build.log."; }
        stamp_set build resources/ts lang vite.config.ts package-lock.json tsconfig.json
    fi
}

port_busy() { php -r 'exit(@fsockopen("127.0.0.1", (int) $argv[1], $e, $m, 0.3) ? 0 : 1);' "$1"; }

# wait_port PORT SECONDS PID: until something answers, or the process is gone.
wait_port() {
    _i=0
    while ! port_busy "$1"; do
        kill -0 "$3" 2>/dev/null || return 1
        _i=$((_i + 1)); [ "$_i" -gt $(($2 * 5)) ] && return 1
        sleep 0.2
    done
}

# db_run DIR PORT: the server itself on a folder that is there. Sets DB_PID.
db_run() {
    _sock="${TMPDIR:-/tmp}/cathedra-$(id -u)-$2.sock"
    UMASK=0600 UMASK_DIR=0700 PATH="$PATH:/usr/sbin" mariadbd --no-defaults --user="$(id -un)" --datadir="$1" \
        --bind-address=127.0.0.1 --port="$2" \
        --socket="$_sock" --pid-file="$1/pid" --skip-name-resolve --character-set-server=utf8mb4 \
        --collation-server=utf8mb4_unicode_ci --innodb-buffer-pool-size=128M > "$VAR/log/mariadb-$2.log" 2>&1 &
    DB_PID=$!
    wait_port "$2" 60 "$DB_PID" || { tail -20 "$VAR/log/mariadb-$2.log" >&2; fail \
        "MariaDB did not start; the log is var/log/mariadb-$2.log."; }
}

# db_start DIR PORT DATABASE PASSWORD: a private MariaDB on loopback. Sets DB_PID.
db_start() {
    _sock="${TMPDIR:-/tmp}/cathedra-$(id -u)-$2.sock"
    port_busy "$2" && fail \
        "port $2 is taken. Stop what uses it (perhaps another bin/start or bin/test), or set CATHEDRA_DB_PORT."
    if [ ! -d "$1/mysql" ]; then
        say "Creating the database folder ${1#"$ROOT"/}"
        mkdir -p "$1"
        mariadb-install-db --no-defaults --user="$(id -un)" --datadir="$1" --skip-test-db \
            --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" > \
                "$VAR/log/install-db.log" 2>&1 \
            || { tail -20 "$VAR/log/install-db.log" >&2; fail \
                "creating the database failed; the log is var/log/install-db.log."; }
    fi
    db_run "$1" "$2"
    mariadb --no-defaults --socket="$_sock" -e "
        CREATE DATABASE IF NOT EXISTS \`$3\`;
        ALTER DATABASE \`$3\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
        CREATE USER IF NOT EXISTS 'cathedra'@'127.0.0.1';
        ALTER USER 'cathedra'@'127.0.0.1' IDENTIFIED BY '$4';
        GRANT ALL ON \`$3\`.* TO 'cathedra'@'127.0.0.1'; GRANT ALL ON \`$3\\_%\`.* TO 'cathedra'@'127.0.0.1';" \
        || fail "MariaDB is up, but its user could not be made; see var/log/mariadb-$2.log."
}

# app_start PORT: the application on loopback with several workers. Sets APP_PID.
app_start() {
    port_busy "$1" && fail "port $1 is taken. Stop what uses it, or set CATHEDRA_PORT."
    # Configuration and routes are read once, not at every request. Kept by port and for the server alone: what else
    # this shell runs (artisan, tests, bin/chaos with a database of its own) reads them as they are.
    mkdir -p "$VAR/cache"
    _config="$VAR/cache/config-$1.php"
    _routes="$VAR/cache/routes-$1.php"
    _workers=${CATHEDRA_WORKERS:-8}
    _lanes=${CATHEDRA_LANES:-$((_workers > 3 ? _workers - 3 : 1))}
    APP_CONFIG_CACHE="$_config" CATHEDRA_DB_KEEP=true CATHEDRA_LANES="$_lanes" php artisan config:cache --quiet \
        && APP_CONFIG_CACHE="$_config" APP_ROUTES_CACHE="$_routes" php artisan route:cache --quiet \
        || fail "the configuration could not be cached."
    APP_CONFIG_CACHE="$_config" APP_ROUTES_CACHE="$_routes" PHP_CLI_SERVER_WORKERS=$_workers \
        php -d opcache.enable_cli=1 -d opcache.memory_consumption=192 -d opcache.max_accelerated_files=20000 \
        -d opcache.revalidate_freq=${CATHEDRA_REVALIDATE:-2} -d realpath_cache_size=4M -d memory_limit=256M \
        -d expose_php=0 -S "127.0.0.1:$1" -t public bin/lib/router.php > "$VAR/log/app-$1.log" 2>&1 &
    APP_PID=$!
    wait_port "$1" 20 "$APP_PID" || { tail -20 "$VAR/log/app-$1.log" >&2; fail \
        "the application did not start; the log is var/log/app-$1.log."; }
}

# started_here FILE: whether the bin/start that wrote its number there still runs (numbers are given out again).
started_here() {
    [ -f "$1" ] && _at=$(cat "$1") && [ -n "$_at" ] \
        && tr '\0' ' ' < "/proc/$_at/cmdline" 2>/dev/null | grep -q 'bin/start'
}

# with_children PID: that process and all that it started, the youngest first.
with_children() {
    for _kid in $(cat "/proc/$1/task/$1/children" 2>/dev/null); do with_children "$_kid"; done
    echo "$1"
}

# stop_all: ends exactly what this script started, the database last. What has ended by itself keeps nothing from
# being stopped: no command here may end the shell.
stop_all() {
    trap - EXIT INT TERM HUP
    set +e
    for _pid in ${WARM_PID:-} ${BESIDE_PID:-} ${APP_PID:-} ${DRIVER_PID:-}; do
        # shellcheck disable=SC2046
        kill $(with_children "$_pid") 2>/dev/null
        wait "$_pid" 2>/dev/null
    done
    [ -n "${DB_PID:-}" ] && kill "$DB_PID" 2>/dev/null
    wait 2>/dev/null
    return 0
}

# The machine's time zone by name, for clock times that agree with the wall.
zone() {
    _z=${TZ:-}
    [ -n "$_z" ] || _z=$(cat /etc/timezone 2>/dev/null || true)
    [ -n "$_z" ] || _z=$(readlink /etc/localtime 2>/dev/null | sed 's#.*zoneinfo/##')
    php -r 'echo in_array($argv[1], timezone_identifiers_list(DateTimeZone::ALL_WITH_BC), true) ? $argv[1] :
        "UTC";' "${_z:-UTC}"
}
