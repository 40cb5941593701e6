<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** How often a screen asks the database: a number for each, which does not grow with what a place has. */
final class QueriesTest extends TestCase
{
    /** Of the second asking, when what is kept by its state is kept; fewer are welcome, and are written down here. */
    private const QUERIES = [
        '/api/me' => 1,
        '/api/home' => 1,
        '/api/groups' => 2,
        '/api/stocks' => 1,
        '/api/lessons' => 9,
        '/api/lessons?when=past' => 9,
        '/api/lessons/{lesson}' => 9,
        '/api/lessons/{lesson}/events?after=99' => 1,
        '/api/lessons/{lesson}/forecast' => 7,
        '/api/lessons/{lesson}/kits' => 5,
        '/api/groups/{group}/wall' => 3,
        '/api/groups/{group}/folds' => 3,
        '/api/groups/{group}/next' => 9,
        '/api/groups/{group}/times?minutes=60' => 4,
        '/api/groups/{group}/records.csv' => 4,
        '/api/learned' => 6,
        '/api/paper-ahead' => 5,
        '/api/paper-needs' => 5,
        '/api/people' => 2,
        '/api/bin' => 4,
    ];

    public function testNoScreenAsksMoreOftenForAPlaceThatHasMore(): void
    {
        $few = $this->counted(groups: 1, lessons: 2);
        $many = $this->counted(groups: 5, lessons: 4);
        self::assertSame($few, $many, 'more groups and lessons, as many queries');
        self::assertSame(self::QUERIES, $many);
    }

    /** @return array<string, int> queries by path, in a place of its own */
    private function counted(int $groups, int $lessons): array
    {
        $lead = $this->lead(uniqid('Place '));
        $this->actingAs($lead);
        [$group, $lesson] = $this->filled($lead, $groups, $lessons);
        $counts = [];
        foreach (array_keys(self::QUERIES) as $path) {
            $asked = strtr($path, ['{group}' => (string) $group->id, '{lesson}' => (string) $lesson]);
            $this->get($asked)->assertOk();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get($asked)->assertOk();
            $counts[$path] = count(DB::getQueryLog());
            DB::disableQueryLog();
        }

        return $counts;
    }

    /** @return array{Group, int} a group, and a lesson of it that is to come */
    private function filled(User $lead, int $groups, int $lessons): array
    {
        $paper = ['width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 500];
        $stock = $this->postJson('/api/stocks', ['name' => uniqid('Paper ')] + $paper)->assertCreated()->json('id');
        for ($g = 0; $g < $groups; $g++) {
            $group = $this->group($lead);
            for ($n = 0; $n < $lessons; $n++) {
                $at = sprintf('2026-1%d-%02dT%02d', $n % 2, 2 + $n, 9 + $g);
                $lesson = (int) $this->postJson('/api/lessons', $this->lessonInput($group, [
                    'stock_id' => $stock, 'starts_at' => "$at:00", 'ends_at' => "$at:50",
                ]))->assertCreated()->json('card.id');
                if ($n > 0) {
                    $this->send(
                        $lesson,
                        ['kind' => 'started', 'marks' => 'exception'],
                        ['kind' => 'moved', 'step' => 1],
                        ['kind' => 'moved', 'step' => 8],
                    )->assertOk();
                    $this->endLesson($lesson);
                } else {
                    $coming = $lesson;
                }
            }
        }

        return [$group ?? $this->group($lead), $coming ?? 0];
    }
}
