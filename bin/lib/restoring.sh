#!/bin/sh
# Keeps the data of an installation of its own while eight clients mark a lesson, loses them, and puts them back; what
# was there comes back as it was, and no broken file changes anything. bin/lib/restoring.sh (bin/test calls it)
set -eu
ROOT=$(cd "$(dirname "$0")/../.." && pwd)
cd "$ROOT"
. bin/lib/common.sh
. bin/lib/keeping.sh
# as a newcomer's shell has it: what bin/test says of its own servers is not meant here
unset DB_PASSWORD DB_DATABASE APP_ENV APP_KEY APP_URL APP_TIMEZONE CACHE_STORE SESSION_DRIVER
export CATHEDRA_PORT="${CATHEDRA_KEEP_PORT:-8124}" CATHEDRA_DB_PORT="${CATHEDRA_KEEP_DB_PORT:-33124}"
export CATHEDRA_DATA="$VAR/mariadb-restoring" CATHEDRA_WARM=usual CATHEDRA_DEMO=true
OUT="$VAR/log/restoring.log"
TRIAL=$(mktemp -d "${TMPDIR:-/tmp}/cathedra-XXXXXX")
WORK="$TRIAL"
trap 'bin/stop > /dev/null 2>&1 || true; rm -rf "$TRIAL"' EXIT
trap 'exit 130' INT TERM HUP

until_true() { # SECONDS COMMAND...: whether the command comes true in that time
    _left=$(($1 * 10)); shift
    until "$@"; do _left=$((_left - 1)); [ "$_left" -gt 0 ] || return 1; sleep 0.1; done
}
is_up() { grep -q 'Ctrl-C stops it' "$OUT"; }
# holds: what the database holds now, in one number
holds() { dump_of "$DATABASE" | sha256sum | cut -d' ' -f1; }
# refuses WORDS COMMAND...: it ends with a fault, says these words, and changes nothing
refuses() {
    _words=$1; shift
    _was=$(holds)
    if "$@" > "$TRIAL/said" 2>&1; then fail "it was not refused: $*"; fi
    grep -q "$_words" "$TRIAL/said" || { cat "$TRIAL/said" >&2; fail "it does not say \"$_words\": $*"; }
    [ "$(holds)" = "$_was" ] || fail "what was refused has changed something: $*"
}
manifest_of() { tar -xOf "$1" manifest.json | sed -n "s/.*\"$2\": \"\{0,1\}\([^\",]*\).*/\1/p"; }

: > "$OUT"
bin/start --fresh > "$OUT" 2>&1 &
until_true 180 is_up || { tail -5 "$OUT" >&2; fail "bin/start did not come up in three minutes."; }
keeping_env
keeping_db
bin/start > "$TRIAL/said" 2>&1 && fail "a second start began beside the first."
grep -q 'it runs already' "$TRIAL/said" || fail "a second start does not say that one runs."

# 1 kept while a lesson is marked: what was acknowledged before is in it
php bin/lib/chaos.php "http://127.0.0.1:$CATHEDRA_PORT" keep 8 400 > "$TRIAL/marks" 2> "$TRIAL/ready" &
MARKS=$!
until_true 30 grep -q ready "$TRIAL/ready" || fail "the lesson did not begin."
sleep 1
before=$(sql 'SELECT COUNT(*) FROM lesson_events' "$DATABASE")
bin/backup "$TRIAL" > "$TRIAL/said" || { cat "$TRIAL/said" >&2; fail "bin/backup failed beside a lesson."; }
kept=$(ls "$TRIAL"/cathedra-*.tar)
after=$(sql 'SELECT COUNT(*) FROM lesson_events' "$DATABASE")
wait "$MARKS" || { cat "$TRIAL/marks" >&2; fail "the lesson was disturbed by the backup."; }
[ "$(find "$TRIAL" -maxdepth 1 -name '.part*' | wc -l)" = 0 ] || fail "a backup left its parts behind."
[ -z "$(find "$kept" -perm /077)" ] || fail "others can read the backup."

# 2 lost and put back
sql 'SET foreign_key_checks = 0; DELETE FROM lesson_events; DELETE FROM learners; DROP TABLE stocks' "$DATABASE"
bin/restore "$kept" > "$TRIAL/said" 2>&1 || { cat "$TRIAL/said" >&2; fail "bin/restore failed."; }
[ "$(holds)" = "$(manifest_of "$kept" sha256)" ] || fail "what was restored is not what was kept."
there=$(sql 'SELECT COUNT(*) FROM lesson_events' "$DATABASE")
[ "$there" -ge "$before" ] && [ "$there" -le "$after" ] || fail "of $before to $after events $there came back."
old=$(sed -n 's/.*as the database \(cathedra[a-z0-9_]*\).*/\1/p' "$TRIAL/said")
[ "$(sql 'SELECT COUNT(*) FROM learners' "$old")" = 0 ] || fail "what was there before is not kept as it was."
php -r 'exit(@file_get_contents($argv[1]) === false ? 1 : 0);' "http://127.0.0.1:$CATHEDRA_PORT/api/health" \
    || fail "the application does not go on with what was restored."

# 3 what is refused
echo 'a letter' > "$TRIAL/letter.txt"
refuses 'is no backup of Cathedra' bin/restore "$TRIAL/letter.txt"
refuses 'there is no file' bin/restore "$TRIAL/nothing.tar"
refuses 'say the file' bin/restore
head -c 20000 "$kept" > "$TRIAL/half.tar"
refuses 'cathedra:' bin/restore "$TRIAL/half.tar"
mkdir "$TRIAL/in" && tar -C "$TRIAL/in" -xf "$kept"
( cd "$TRIAL/in" && mkdir sub && touch sub/x && tar -cf ../more.tar manifest.json database.sql.gz sub/x )
refuses 'holds other things' bin/restore "$TRIAL/more.tar"
packed() { ( cd "$TRIAL/in" && tar -cf "../$1.tar" manifest.json database.sql.gz ); }
cp "$TRIAL/in/manifest.json" "$TRIAL/manifest.json"
sed -i 's/"format": 1/"format": 7/' "$TRIAL/in/manifest.json" && packed format
refuses 'format 7' bin/restore "$TRIAL/format.tar"
sed 's/"2026_11_2[0-9]*_000001[a-z_]*"/"2031_01_01_000001_wings"/; t; s/"migrations": \[/&"2031_01_01_000001_wings",/' \
    "$TRIAL/manifest.json" > "$TRIAL/in/manifest.json" && packed newer
refuses 'newer than this installation' bin/restore "$TRIAL/newer.tar"
cp "$TRIAL/manifest.json" "$TRIAL/in/manifest.json"
gzip -dc "$TRIAL/in/database.sql.gz" | sed 's/Gullwick/Gullwack/' | gzip > "$TRIAL/in/x" \
    && mv "$TRIAL/in/x" "$TRIAL/in/database.sql.gz" && packed changed
refuses 'is damaged' bin/restore "$TRIAL/changed.tar"
head -c 300000000 /dev/zero | gzip > "$TRIAL/in/database.sql.gz" && packed bomb
refuses 'more than was written' bin/restore "$TRIAL/bomb.tar"
sql 'UPDATE lessons SET started_at = NOW(), ended_at = NULL ORDER BY id DESC LIMIT 1' "$DATABASE"
refuses 'a lesson is being taught' bin/restore "$kept"
bin/restore --even-now "$kept" > /dev/null 2>&1 || fail "bin/restore --even-now did not restore."
[ "$(holds)" = "$(manifest_of "$kept" sha256)" ] || fail "what was restored even now is not what was kept."

# 4 stopped, and kept without a running application
bin/stop > /dev/null || fail "bin/stop failed."
{ ! port_busy "$CATHEDRA_PORT" && ! port_busy "$CATHEDRA_DB_PORT"; } || fail "something still listens after bin/stop."
bin/stop | grep -q 'Nothing runs here' || fail "bin/stop does not say that nothing runs."
mkdir "$TRIAL/idle"
bin/backup "$TRIAL/idle" > /dev/null || fail "bin/backup failed without a running application."
[ "$(manifest_of "$TRIAL"/idle/*.tar sha256)" = "$(manifest_of "$kept" sha256)" ] || fail "two backups of one differ."
port_busy "$CATHEDRA_DB_PORT" && fail "bin/backup left its database running."
say "Kept beside a lesson of eight clients ($there events), lost, put back as it was; ten refusals changed nothing"
