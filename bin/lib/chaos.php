<?php

// One round of bin/chaos: php bin/lib/chaos.php ADDRESS ROUND CLIENTS MARKS. Eight clients mark, two end at once, all
// try again until they are answered; then the log must hold every deed once, and the paper must be taken once.

declare(strict_types=1);

use Bin\Client;
use Database\Seeders\DatabaseSeeder;

require dirname(__DIR__, 2).'/vendor/autoload.php';
require __DIR__.'/Client.php';

[$base, $round] = [(string) $argv[1], (int) $argv[2]];
[$clients, $marks] = [(int) ($argv[3] ?? 8), (int) ($argv[4] ?? 400)];
$until = microtime(true) + 90; // bounded whatever happens

$client = new Client($base);
/** Asks until it is answered; what is no answer (503, no connection) is asked again. */
$ask = static function (string $method, string $path, array $body = []) use ($client, $until): array {
    do {
        [$status, $text] = $client->send($method, $path, $body ?: null);
        if ($status === 500) {
            exit("500: $method $path\n");
        }
        if ($status !== 0 && $status < 500 && $status !== 419) {
            return [$status, (array) json_decode($text, true)];
        }
        usleep(200_000);
    } while (microtime(true) < $until);
    exit("no answer to $method $path within the time of a round\n");
};
$client->signIn(DatabaseSeeder::EMAIL, DatabaseSeeder::PASSWORD);
$names = array_map(static fn (int $n): array => ['id' => null, 'name' => "N$n"], range(1, 58));
$tag = "$round ".bin2hex(random_bytes(3));
$group = $ask('POST', '/api/groups', [
    'name' => "Chaos $tag",
    'age_band' => 'adult',
    'helpers' => 0,
    'learners' => $names,
])[1];
$paper = ['name' => "Paper $tag", 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 500];
$stock = $ask('POST', '/api/stocks', $paper)[1];
$lesson = $ask('POST', '/api/lessons', [
    'group_id' => $group['id'],
    'models' => [['model' => 'drinking-cup']],
    'helpers' => 0,
    'starts_at' => '2026-12-01T10:00',
    'ends_at' => '2026-12-01T11:00',
    'stock_ids' => [$stock['id']],
    'method' => 'scissors',
    'square_in_lesson' => false,
    'paper_ready' => true,
])[1]['card']['id'];
fwrite(STDERR, "ready\n"); // from now on the database may be killed

$deed = static function (string $kind, array $with = []): array {
    $key = sprintf('%s-0000-4000-8000-%s', bin2hex(random_bytes(4)), bin2hex(random_bytes(6)));

    return [
        'key' => $key,
        'kind' => $kind,
        'device' => 'chaos',
        'device_ms' => (int) (microtime(true) * 1000),
        'after' => 0,
    ] + $with;
};
$queues = array_fill(0, $clients, []);
for ($n = 0; $n < $marks; $n++) {
    $learner = $group['learners'][$n % 58]['id'];
    $queues[$n % $clients][] = $deed('done', ['learner' => $learner, 'step' => 1 + (intdiv($n, 58) % 7)]);
}
$expected = array_merge(...array_map(static fn (array $q): array => array_column($q, 'key'), $queues));
$statuses = [];
/** Empties all queues at once, each in its order; a deed that is not acknowledged is sent again. */
$drain = static function (array $queues) use ($client, $lesson, $until, &$statuses): void {
    $multi = curl_multi_init();
    $open = [];
    $start = static function (int $q) use (&$queues, &$open, $multi, $client, $lesson): void {
        if ($queues[$q] !== []) {
            $curl = $client->request('POST', "/api/lessons/$lesson/events", [
                'after' => 0xFFFFFFFF,
                'events' => [$queues[$q][0]],
            ]);
            $open[spl_object_id($curl)] = [$q, $curl];
            curl_multi_add_handle($multi, $curl);
        }
    };
    array_map($start, array_keys($queues));
    while ($open !== [] && microtime(true) < $until) {
        curl_multi_exec($multi, $running);
        curl_multi_select($multi, 0.02);
        while ($done = curl_multi_info_read($multi)) {
            [$q] = $open[spl_object_id($done['handle'])];
            unset($open[spl_object_id($done['handle'])]);
            $status = curl_getinfo($done['handle'], CURLINFO_HTTP_CODE);
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
            if ($status === 500) {
                exit('500: '.substr((string) curl_multi_getcontent($done['handle']), 0, 300)."\n");
            }
            curl_multi_remove_handle($multi, $done['handle']);
            $status === 200 ? array_shift($queues[$q]) : usleep(30_000);
            $start($q);
        }
    }
    $open === [] || exit("marks were still not acknowledged at the end of the time of a round\n");
};
$drain($queues);
$ends = [[$deed('ended')], [$deed('ended')]];
$drain($ends);
$expected = [...$expected, $ends[0][0]['key'], $ends[1][0]['key']];

$events = $ask('GET', "/api/lessons/$lesson/events")[1]['events'];
$keys = array_column($events, 'key');
$changes = $ask('GET', "/api/stocks/{$stock['id']}/changes")[1];
$faults = [];
count($keys) === count(array_unique($keys)) || ($faults[] = 'an event is there twice');
array_diff($expected, $keys) === [] ||
    ($faults[] = count(array_diff($expected, $keys)).' acknowledged events are gone');
array_column($events, 'number') === range(1, count($events)) || ($faults[] = 'numbers have gaps');
count($changes) === 1 || ($faults[] = count($changes).' changes of the paper instead of one');
ksort($statuses);
printf(
    "round %s: %d events, answers %s, paper taken once: %s\n",
    $round,
    count($keys),
    implode(', ', array_map(static fn (int $s, int $n): string => "$s: $n", array_keys($statuses), $statuses)),
    $faults === [] ? 'yes' : implode('; ', $faults),
);
exit($faults === [] ? 0 : 1);
