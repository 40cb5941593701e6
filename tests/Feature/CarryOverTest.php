<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/**
 * A database made by the code before there were logs is carried over without loss, also when the migration is killed
 * after any of its statements and run again. In a database of its own, since DDL ends transactions.
 */
final class CarryOverTest extends Base
{
    private string $database = '';

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->database = config('database.connections.mariadb.database').'_carry';
        DB::statement("CREATE DATABASE IF NOT EXISTS `{$this->database}`");
        config(['database.connections.mariadb.database' => $this->database]);
        DB::purge('mariadb');
    }

    protected function tearDown(): void
    {
        DB::statement("DROP DATABASE IF EXISTS `{$this->database}`");
        DB::purge('mariadb');
        parent::tearDown();
    }

    public function testNothingIsLostAndTimesAreKept(): void
    {
        $this->before();
        Artisan::call('migrate', ['--force' => true]);
        $kinds = DB::table('lesson_events')
            ->where('lesson_id', 1)
            ->orderBy('number')
            ->get(['number', 'kind', 'learner_id', 'step', 'at']);
        self::assertSame(
            [
                [1, 'started', null, null, '2026-11-01 16:00:05.000'],
                [2, 'done', 1, 1, '2026-11-01 16:05:00.000'],
                [3, 'help', 2, 1, '2026-11-01 16:06:00.000'],
                [4, 'done', 1, 2, '2026-11-01 16:10:00.000'],
                [5, 'moved', null, 6, '2026-11-01 16:50:00.000'],
                [6, 'ended', null, null, '2026-11-01 16:50:00.000'],
                [7, 'corrected', 1, null, '2026-11-01 16:50:00.000'],
                [8, 'corrected', 2, null, '2026-11-01 16:55:30.000'],
                [9, 'done', 2, 5, '2026-11-01 17:20:00.000'],
            ],
            $kinds->map(static fn ($e): array => [$e->number, $e->kind, $e->learner_id, $e->step, $e->at])->all(),
        );
        self::assertSame(
            'aaaaaaaa-0000-4000-8000-000000000001',
            DB::table('lesson_events')->where('number', 2)->where('lesson_id', 1)->value('key'),
        );
        self::assertSame(
            ['help', null],
            array_values(
                (array) DB::table('lesson_events')
                    ->where('number', 7)
                    ->first(['finish', 'finish_step']),
            ),
        );
        self::assertSame(
            ['stopped', 3],
            array_values(
                (array) DB::table('lesson_events')
                    ->where('number', 8)
                    ->first(['finish', 'finish_step']),
            ),
        );
        self::assertSame(
            [9, 1, 0],
            DB::table('lessons')->orderBy('id')->pluck('newest')->all(),
            'by hand in the second, nothing in the third',
        );
        self::assertSame(
            [[1, 0, 'dog-face', null], [2, 0, 'crane', '{"base": "squash"}'], [2, 1, 'cat', null], [3, 0, 'fan', null]],
            DB::table('lesson_models')
                ->orderBy('lesson_id')
                ->orderBy('place')
                ->get()
                ->map(static fn ($m): array => [$m->lesson_id, $m->place, $m->model, $m->ways])
                ->all(),
        );
        self::assertSame(
            [[1, 1, 0], [2, 2, 0], [2, 1, 1], [2, 3, 2]],
            DB::table('lesson_stock')
                ->orderBy('lesson_id')
                ->orderBy('place')
                ->get()
                ->map(static fn ($s): array => [$s->lesson_id, $s->stock_id, $s->place])
                ->all(),
        );
        self::assertSame(3, DB::table('finishes')->count());
    }

    public function testKilledAfterAnyStatementAndRunAgain(): void
    {
        $whole = null;
        for ($last = 0; ; $last++) {
            $this->before();
            $left = $last;
            $killed = false;
            DB::connection()->beforeExecuting(static function (string $sql) use (&$left): void {
                if (
                    preg_match('/^\s*(create|alter|drop|insert|update)/i', $sql) === 1 &&
                    ! str_contains($sql, '`migrations`') &&
                    $left-- === 0
                ) {
                    throw new RuntimeException('killed');
                }
            });
            try {
                Artisan::call('migrate', ['--force' => true]);
            } catch (RuntimeException $e) {
                self::assertStringContainsString('killed', $e->getMessage());
                $killed = true;
            }
            DB::purge('mariadb');
            Artisan::call('migrate', ['--force' => true]);
            $found = $this->dump();
            $whole ??= $found;
            self::assertSame($whole, $found, "killed before statement $last");
            if (! $killed) {
                break;
            }
        }
        self::assertGreaterThan(15, $last, 'every statement was a place to be killed');
    }

    /** Everything that matters, row by row. */
    private function dump(): string
    {
        $all = [];
        $order = [
            'lesson_events' => 'lesson_id, number',
            'lesson_models' => 'lesson_id, place',
            'lesson_stock' => 'lesson_id, place',
        ];
        $tables = [...array_keys($order), 'finishes', 'lessons', 'groups', 'learners', 'stocks'];
        foreach ($tables as $table) {
            $rows = DB::table($table)
                ->orderByRaw($order[$table] ?? 'id')
                ->get()
                ->map(static fn ($row): array => array_diff_key((array) $row, ['id' => 0]));
            $all[$table] = $rows->all();
        }

        $made = (array) DB::select('SHOW CREATE TABLE lesson_events')[0];
        $made = preg_replace('/ AUTO_INCREMENT=\d+/', '', (string) $made['Create Table']);

        return (string) json_encode([$all, DB::select('SHOW TABLES'), $made], JSON_PRETTY_PRINT);
    }

    /** The database as the code before made it: taught with a late mark, planned with records by hand, planned. */
    private function before(): void
    {
        DB::purge('mariadb');
        Artisan::call('db:wipe', ['--force' => true]);
        Artisan::call('migrate:install');
        $old = array_filter(
            glob(database_path('migrations/*.php')) ?: [],
            static fn (string $f): bool => basename($f) < '2026_11_26',
        );
        foreach ($old as $file) {
            Artisan::call('migrate', ['--force' => true, '--path' => $file, '--realpath' => true]);
        }
        $now = ['created_at' => '2026-10-01 08:00:00', 'updated_at' => '2026-11-01 16:50:00'];
        DB::table('organisations')->insert(['name' => 'House'] + $now);
        DB::table('groups')->insert(['organisation_id' => 1, 'name' => 'Room', 'age_band' => 'junior'] + $now);
        foreach (['Ada', 'Bram'] as $i => $name) {
            DB::table('learners')->insert(['group_id' => 1, 'name' => $name, 'seat' => $i + 1] + $now);
        }
        foreach (['A4', 'A5', 'Ends'] as $name) {
            DB::table('stocks')->insert(
                ['organisation_id' => 1, 'name' => $name, 'width_mm' => 210, 'height_mm' => 297] + $now,
            );
        }
        $lesson =
            [
                'organisation_id' => 1,
                'group_id' => 1,
                'starts_at' => '2026-11-01 16:00:00',
                'minutes' => 60,
                'helpers' => 0,
            ] + $now;
        DB::table('lessons')->insert(
            [
                'model' => 'dog-face',
                'stock_id' => 1,
                'step' => 6,
                'started_at' => '2026-11-01 16:00:05',
                'ended_at' => '2026-11-01 16:50:00',
            ] + $lesson,
        );
        DB::table('lessons')->insert(['model' => 'crane', 'ways' => '{"base": "squash"}', 'stock_id' => 2] + $lesson);
        DB::table('lessons')->insert(['model' => 'fan'] + $lesson);
        DB::table('lesson_models')->insert(['lesson_id' => 2, 'place' => 1, 'model' => 'cat']);
        DB::table('lesson_stock')->insert([['lesson_id' => 2, 'stock_id' => 1], ['lesson_id' => 2, 'stock_id' => 3]]);
        $mark = static fn (int $n, int $learner, int $step, string $kind, string $at): array => [
            'key' => "aaaaaaaa-0000-4000-8000-00000000000$n",
            'lesson_id' => 1,
            'learner_id' => $learner,
            'step' => $step,
            'kind' => $kind,
            'at' => "2026-11-01 $at",
        ];
        DB::table('marks')->insert([
            $mark(1, 1, 1, 'done', '16:05:00'),
            $mark(2, 2, 1, 'help', '16:06:00'),
            $mark(3, 1, 2, 'done', '16:10:00'),
            $mark(4, 2, 5, 'done', '17:20:00'),
        ]);
        $finish = static fn (
            int $lesson,
            int $learner,
            string $model,
            string $outcome,
            ?int $step,
            string $at,
        ): array => [
            'lesson_id' => $lesson,
            'learner_id' => $learner,
            'model' => $model,
            'outcome' => $outcome,
            'step' => $step,
            'created_at' => "2026-11-01 $at",
            'updated_at' => "2026-11-01 $at",
        ];
        DB::table('finishes')->insert([
            $finish(1, 1, 'dog-face', 'help', null, '16:50:00'),
            $finish(1, 2, 'dog-face', 'stopped', 3, '16:55:30'),
            $finish(2, 1, 'crane', 'alone', null, '18:00:00'),
        ]);
    }
}
