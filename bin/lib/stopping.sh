#!/bin/sh
# Starts the application as bin/start does, on ports and with a database of its own, lets its warming end, and stops it
# by each signal and by the death of its database; then nothing may listen or run any more. Also: no other user of the
# machine may read what was written. bin/lib/stopping.sh (bin/test calls it)
set -eu
ROOT=$(cd "$(dirname "$0")/../.." && pwd)
cd "$ROOT"
. bin/lib/common.sh
# as a newcomer's shell has it: what bin/test says of its own servers is not meant here
unset DB_PASSWORD DB_DATABASE APP_ENV APP_KEY APP_URL APP_TIMEZONE CACHE_STORE SESSION_DRIVER
export CATHEDRA_PORT="${CATHEDRA_STOP_PORT:-8123}" CATHEDRA_DB_PORT="${CATHEDRA_STOP_DB_PORT:-33123}"
export CATHEDRA_DATA="$VAR/mariadb-stopping" CATHEDRA_WARM=usual CATHEDRA_DEMO=false
OUT="$VAR/log/stopping.log"
START=''
trap '[ -z "$START" ] || kill "$START" 2>/dev/null || true' EXIT
trap 'exit 130' INT TERM HUP

until_true() { # SECONDS COMMAND...: whether the command comes true in that time
    _left=$(($1 * 10)); shift
    until "$@"; do _left=$((_left - 1)); [ "$_left" -gt 0 ] || return 1; sleep 0.1; done
}
is_up() { grep -q 'Ctrl-C stops it' "$OUT"; }
is_gone() { ! kill -0 "$START" 2>/dev/null; }
silent() { ! port_busy "$CATHEDRA_PORT" && ! port_busy "$CATHEDRA_DB_PORT"; }

touch "$VAR/log/older.log" && chmod 644 "$VAR/log/older.log" # as starts before this one left their logs

for how in INT TERM HUP database; do
    : > "$OUT"
    # A shell starts what it sends into the background deaf to INT; a terminal's Ctrl-C is no such thing.
    php -r 'pcntl_signal(SIGINT, SIG_DFL); pcntl_exec("/bin/sh", ["bin/start"]);' > "$OUT" 2>&1 &
    START=$!
    until_true 120 is_up || { tail -5 "$OUT" >&2; fail "bin/start did not come up in two minutes."; }
    sleep 1.5 # the warming has ended by itself
    open=$(find "$VAR/cache" "$VAR/log" storage/logs storage/framework .env -perm /077 -print | head -3)
    [ -z "$open" ] || fail "other users can read: $open"
    if [ "$how" = database ]; then kill -9 "$(cat "$CATHEDRA_DATA/pid")"; else kill "-$how" "$START"; fi
    until_true 30 is_gone || fail "bin/start went on after $how."
    until_true 5 silent || fail "a server of bin/start still listens after $how."
    START=''
done
say "Four starts, stopped by INT, TERM, HUP and the death of the database: nothing was left behind"
