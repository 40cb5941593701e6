# Shared by bin/backup, bin/restore and bin/start; sourced after bin/lib/common.sh. A backup is one tar file of two
# members: manifest.json (what it is) and database.sql.gz (all of the database).

MANIFEST_FORMAT=1

# keeping_env: where the database is, as bin/start has it. Sets CATHEDRA_DB_PORT, DATABASE, DB_OPTIONS.
keeping_env() {
    CATHEDRA_DB_PORT=${CATHEDRA_DB_PORT:-$(env_value CATHEDRA_DB_PORT)}
    CATHEDRA_DB_PORT=${CATHEDRA_DB_PORT:-$(env_value DB_PORT)}
    export CATHEDRA_DB_PORT="${CATHEDRA_DB_PORT:-33117}"
    DATABASE=${DB_DATABASE:-$(env_value DB_DATABASE)}
    DATABASE_PASSWORD=${DB_PASSWORD:-$(env_value DB_PASSWORD)}
}

# keeping_db: the database answers, for a running application or started for this alone.
keeping_db() {
    if ! port_busy "$CATHEDRA_DB_PORT"; then
        [ -d "${CATHEDRA_DATA:-$VAR/mariadb}/mysql" ] || fail \
            "there is no database yet at ${CATHEDRA_DATA:-var/mariadb}. Run bin/start once."
        db_start "${CATHEDRA_DATA:-$VAR/mariadb}" "$CATHEDRA_DB_PORT" "$DATABASE" "$DATABASE_PASSWORD"
    fi
    DB_OPTIONS="$WORK/options"
    printf '[client]\nuser=cathedra\nhost=127.0.0.1\nport=%s\npassword=%s\n' "$CATHEDRA_DB_PORT" \
        "$DATABASE_PASSWORD" > "$DB_OPTIONS"
    sql 'SELECT 1' > /dev/null || fail "the database at port $CATHEDRA_DB_PORT does not let this installation in."
}

# sql STATEMENTS [DATABASE]: rows with tabs between.
sql() { mariadb --defaults-file="$DB_OPTIONS" --batch --skip-column-names ${2:+"$2"} -e "$1"; }

# is_older: whether there are data, and migrations that they have not gone through.
is_older() {
    WORK=$(mktemp -d "${TMPDIR:-/tmp}/cathedra-XXXXXX")
    keeping_env
    keeping_db
    _done=$(sql 'SELECT migration FROM migrations' "$DATABASE" 2>/dev/null) || return 1
    for _file in database/migrations/*.php; do
        printf '%s\n' "$_done" | grep -qx "$(basename "$_file" .php)" || return 0
    done
    return 1
}

# dump_of DATABASE: all of it as one moment has it, in an order that depends on what is in it alone, so that equal
# databases give equal dumps.
dump_of() {
    mariadb-dump --defaults-file="$DB_OPTIONS" --single-transaction --quick --no-tablespaces --skip-comments \
        --skip-dump-date --order-by-primary --hex-blob --skip-add-locks --default-character-set=utf8mb4 "$1"
}

# backup_to DIR: writes a backup there, whole or not at all. Sets BACKUP.
backup_to() {
    mkdir -p "$1"
    _part=$(mktemp -d "$1/.part-XXXXXX") || fail "$1 cannot be written to."
    dump_of "$DATABASE" > "$_part/database.sql" || { rm -rf "$_part"; fail "the database could not be read."; }
    php bin/lib/manifest.php write "$_part" "$MANIFEST_FORMAT" || { rm -rf "$_part"; fail "no backup was written."; }
    gzip -6 "$_part/database.sql" || { rm -rf "$_part"; fail "$1 is full; no backup was written."; }
    BACKUP="$1/cathedra-$(date +%Y-%m-%d-%H%M%S)${2:-}.tar"
    tar -C "$_part" -cf "$_part/whole.tar" manifest.json database.sql.gz \
        && mv "$_part/whole.tar" "$BACKUP" || { rm -rf "$_part"; fail "$1 is full; no backup was written."; }
    rm -rf "$_part"
}

# keep_daily: a backup of today in var/backups, where there is none yet; those of the last seven days stay.
keep_daily() {
    ls "$VAR/backups/cathedra-$(date +%Y-%m-%d)"-*-daily.tar > /dev/null 2>&1 && return 0
    WORK=$(mktemp -d "${TMPDIR:-/tmp}/cathedra-XXXXXX")
    keeping_env
    keeping_db
    backup_to "$VAR/backups" -daily
    rm -rf "$WORK"
    ls "$VAR/backups"/cathedra-*-daily.tar | sort -r | tail -n +8 | while IFS= read -r _old; do rm -f "$_old"; done
}
