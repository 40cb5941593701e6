<?php

// What a backup is: php manifest.php write FOLDER FORMAT        writes FOLDER/manifest.json of FOLDER/database.sql
//                   php manifest.php read FILE.tar FORMAT WORK  checks a backup and unpacks its database into WORK
// A manifest says its format, when it was made, the migrations that were run, and bytes and SHA-256 of the database's
// text. Nothing of an archive is trusted: its members are known by name, and no more is unpacked than was written.

declare(strict_types=1);

/** Bytes; a manifest holds no more. */
const MOST = 65536;

/** @return never */
function refuse(string $why): void
{
    fwrite(STDERR, "cathedra: $why\n");
    exit(1);
}

/** @return list<string> migrations named in a dump, in its order */
function migrationsIn(string $file): array
{
    $found = [];
    $lines = fopen($file, 'r') ?: refuse('the dump cannot be read.');
    $isThem = false;
    while (($line = fgets($lines)) !== false) {
        $isThem = str_starts_with($line, 'INSERT INTO ') ? str_contains($line, '`migrations`') : $isThem;
        if ($isThem && preg_match_all("/\\(\\d+,'([a-z0-9_]+)',\\d+\\)/", $line, $m) > 0) {
            array_push($found, ...$m[1]);
        }
    }
    fclose($lines);

    return $found;
}

/** @return list<string> */
function knownMigrations(): array
{
    $files = glob(dirname(__DIR__, 2).'/database/migrations/*.php') ?: [];

    return array_map(static fn (string $file): string => basename($file, '.php'), $files);
}

[, $do, $from] = $argv + ['', '', ''];
if ($do === 'write') {
    $dump = "$from/database.sql";
    $migrations = migrationsIn($dump);
    $migrations !== [] || refuse('the database is empty; there is nothing to keep.');
    file_put_contents("$from/manifest.json", json_encode([
        'format' => (int) $argv[3],
        'made' => date(DATE_ATOM),
        'migrations' => $migrations,
        'bytes' => filesize($dump),
        'sha256' => hash_file('sha256', $dump),
    ], JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n") !== false || refuse('the folder is full.');
    exit(0);
}

[, , , $format, $work] = $argv;
is_file($from) || refuse("there is no file $from.");
exec('tar -tf '.escapeshellarg($from).' 2>/dev/null', $members, $code);
if ($code !== 0 || $members !== ['manifest.json', 'database.sql.gz']) {
    refuse("$from is no backup of Cathedra: it holds other things than a manifest and a database.");
}
$member = static fn (string $name) => popen('tar -xOf '.escapeshellarg($from)." $name 2>/dev/null", 'r') ?: refuse(
    'tar could not be started.',
);
$manifest = json_decode((string) stream_get_contents($member('manifest.json'), MOST), true);
if (
    ! is_array($manifest) || ! is_int($manifest['bytes'] ?? null) || ! is_string($manifest['sha256'] ?? null)
    || ! is_array($manifest['migrations'] ?? null) || ! is_string($manifest['made'] ?? null)
) {
    refuse("$from cannot be read: its manifest is broken. Take another backup.");
}
($manifest['format'] ?? null) === (int) $format || refuse(
    "$from has the format ".json_encode($manifest['format'] ?? null)."; this version of Cathedra reads $format.",
);
$newer = array_diff($manifest['migrations'], knownMigrations());
$newer === [] || refuse("$from is newer than this installation. Update Cathedra first, then restore.");

$packed = popen('tar -xOf '.escapeshellarg($from).' database.sql.gz 2>/dev/null | gzip -dc 2>/dev/null', 'r')
    ?: refuse('gzip could not be started.');
$to = fopen("$work/database.sql", 'w') ?: refuse("$work cannot be written to.");
$hash = hash_init('sha256');
$bytes = 0;
while (! feof($packed)) {
    $part = (string) fread($packed, 1 << 20);
    $bytes += strlen($part);
    $bytes <= $manifest['bytes'] || refuse("$from unpacks to more than was written into it. Take another backup.");
    hash_update($hash, $part);
    fwrite($to, $part) === strlen($part) || refuse('the disk is full; nothing was changed.');
}
fclose($to);
if ($bytes !== $manifest['bytes'] || hash_final($hash) !== $manifest['sha256']) {
    refuse("$from is damaged: its database is not what was written. Take another backup.");
}
echo $manifest['sha256'], ' ', $manifest['made'], "\n";
