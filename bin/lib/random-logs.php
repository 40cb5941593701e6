<?php

// 2,000 random logs with what the core says of them, for the browser's reducer to agree with (log.test.ts).

declare(strict_types=1);

use Cathedra\Core\Lesson\Outcomes;
use Cathedra\Core\Lesson\Standing;
use Tests\Support\Logs;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$cases = [];
for ($seed = 1; $seed <= 2000; $seed++) {
    $case = Logs::random($seed);
    $programme = Logs::programme($case['programme']);
    $log = Logs::of($case['events']);
    $cases[] = ['name' => "seed $seed", ...$case, 'standing' => Standing::of($log, $programme)->toArray(),
        'outcomes' => Outcomes::of($log, $programme, $case['learners'])->toArray()];
}
echo json_encode($cases, JSON_THROW_ON_ERROR);
