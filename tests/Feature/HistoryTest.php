<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\Lesson;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\History;

/** A group with years behind it: what is shown stays true, and asking for it does not grow with the years. */
final class HistoryTest extends TestCase
{
    public function testTheWallChartFollowsEveryChange(): void
    {
        [, $group] = $this->years(3, 5);
        // of 5 learners the first stopped in every lesson, the others finished; 3 lessons, 3 models
        $wall = $this->wall($group);
        self::assertSame([12, 3, 15], [$wall['finished'], count($wall['models']), count($wall['cells'])]);
        $lesson = $group->lessons()->firstOrFail();
        $model = $lesson->models()->firstOrFail()->model;
        $first = $group->learners()->firstOrFail();
        self::assertSame(['stopped', 2], $this->cell($group, $first->id, $model));

        $this->send($lesson->id, [
            'kind' => 'corrected',
            'learner' => $first->id,
            'correction' => ['model' => $model, 'finish' => 'help', 'step' => null],
        ])->assertOk();
        self::assertSame(['help', null], $this->cell($group, $first->id, $model), 'a correction shows at once');
        self::assertSame(13, $this->wall($group)['finished']);

        $this->deleteJson("/api/lessons/{$lesson->id}?sure=1")->assertOk();
        $wall = $this->wall($group);
        self::assertSame([8, 2, 10], [$wall['finished'], count($wall['models']), count($wall['cells'])]);
        $this->postJson("/api/bin/lesson/{$lesson->id}/restore")->assertSuccessful();
        self::assertSame(13, $this->wall($group)['finished'], 'back as it was');

        $this->deleteJson("/api/groups/{$group->id}/learners/{$first->id}?sure=1")->assertOk();
        $wall = $this->wall($group);
        self::assertSame([12, 12], [$wall['finished'], count($wall['cells'])], 'who lies in the bin is not shown');
        $this->postJson("/api/bin/learner/{$first->id}/restore")->assertSuccessful();
        self::assertSame(13, $this->wall($group)['finished']);

        $this->deleteJson("/api/groups/{$group->id}/learners/{$first->id}?sure=1")->assertOk();
        $this->deleteJson("/api/bin/learner/{$first->id}")->assertSuccessful();
        $this->wall($group);
        $kept = (array) Cache::get("wall:{$group->id}");
        self::assertCount(12, $kept['sum']['cells'], 'who was erased is not kept beside the database either');
        self::assertNotContains($first->id, array_column($kept['sum']['cells'], 'learner'));
    }

    public function testABetterEndHidesAWorseOneAndTheLatestStopIsShown(): void
    {
        [$lead, $group] = $this->years(0, 1);
        $ada = $group->learners()->firstOrFail();
        $ends = [
            ['2026-01-05', 'stopped', 4],
            ['2026-01-12', 'stopped', 2],
            ['2025-12-01', 'stopped', 5],
            ['2026-02-02', 'help', null],
            ['2026-03-02', 'stopped', 6],
        ];
        $shown = [];
        foreach ($ends as [$day, $finish, $step]) {
            $lesson = Lesson::query()->create([
                'organisation_id' => $lead->organisation_id,
                'group_id' => $group->id,
                'starts_at' => CarbonImmutable::parse("$day 16:00"),
                'minutes' => 60,
                'helpers' => 0,
            ]);
            $lesson->models()->create(['place' => 0, 'model' => 'drinking-cup']);
            $this->send($lesson->id, ['kind' => 'ended'], [
                'kind' => 'corrected',
                'learner' => $ada->id,
                'correction' => ['model' => 'drinking-cup', 'finish' => $finish, 'step' => $step],
            ])->assertOk();
            $shown[] = $this->cell($group, $ada->id, 'drinking-cup');
        }
        self::assertSame(
            [['stopped', 4], ['stopped', 2], ['stopped', 2], ['help', null], ['help', null]],
            $shown,
            'the latest of equal ends by the day of the lesson, not by the day of writing',
        );
    }

    public function testModelsStandInTheOrderInWhichTheyWereFirstTaught(): void
    {
        [, $group] = $this->years(4, 2);
        $order = $group->lessons()->with('models')->get()->map(
            static fn (Lesson $lesson): string => $lesson->models[0]->model ?? '',
        );
        self::assertSame($order->all(), array_column($this->wall($group)['models'], 'slug'));
    }

    /** @return iterable<string, array{string, int}> path, most queries */
    public static function lists(): iterable
    {
        yield 'wall chart' => ['/api/groups/{group}/wall', 3];
        yield 'home' => ['/api/home', 10];
        yield 'lessons' => ['/api/lessons', 9];
        yield 'groups' => ['/api/groups', 3];
    }

    /** Counted twice: with 3 lessons and with 12; the second time nothing of the first is kept by the request. */
    #[DataProvider('lists')]
    public function testQueriesDoNotGrowWithTheYears(string $path, int $most): void
    {
        [$lead, $group] = $this->years(3, 4);
        $path = str_replace('{group}', (string) $group->id, $path);
        $this->getJson($path)->assertOk(); // what is kept between requests is kept now
        $few = $this->queries($lead, $path);
        History::teach($group, $lead, 9);
        $this->getJson($path)->assertOk();
        $many = $this->queries($lead, $path);
        self::assertLessThanOrEqual($most, $few);
        self::assertSame($few, $many);
    }

    public function testWhoStoppedIsNamedOnHomeUntilTheModelIsFinished(): void
    {
        [$lead, $group] = $this->years(1, 6);
        // learners 1 and 6 stopped
        $unfinished = $this->getJson('/api/home')->assertOk()->json('unfinished');
        self::assertSame(['N1', 'N6'], $unfinished[0]['names']);
        $lesson = $group->lessons()->firstOrFail();
        $model = $lesson->models()->firstOrFail()->model;
        $this->send($lesson->id, [
            'kind' => 'corrected',
            'learner' => $group->learners()->firstOrFail()->id,
            'correction' => ['model' => $model, 'finish' => 'alone', 'step' => null],
        ])->assertOk();
        self::assertSame(['N6'], $this->getJson('/api/home')->json('unfinished.0.names'));
        $lesson->update(['starts_at' => CarbonImmutable::now()->subDays(70)]);
        self::assertSame([], $this->getJson('/api/home')->json('unfinished'), 'after two months nobody is asked');
        self::assertSame($lead->organisation_id, $group->organisation_id);
    }

    public function testAHistoryIsErasedWithAllThatHangsOnIt(): void
    {
        [, $group] = $this->years(2, 3);
        History::erase($group);
        foreach (['lessons', 'lesson_models', 'lesson_events', 'finishes', 'learners', 'groups'] as $table) {
            self::assertSame(0, DB::table($table)->count(), $table);
        }
    }

    /** @return array{User, Group} */
    private function years(int $lessons, int $learners): array
    {
        $lead = $this->lead();
        $this->actingAs($lead);

        return [$lead, History::write($lead->organisation, $lead, $lessons, $learners)];
    }

    /** @return array<string, mixed> */
    private function wall(Group $group): array
    {
        return (array) $this->getJson("/api/groups/{$group->id}/wall")->assertOk()->json();
    }

    /** @return array{string, int|null}|null */
    private function cell(Group $group, int $learner, string $model): ?array
    {
        foreach ($this->wall($group)['cells'] as $cell) {
            if ([$cell['learner'], $cell['model']] === [$learner, $model]) {
                return [$cell['outcome'], $cell['step']];
            }
        }

        return null;
    }

    private function queries(User $lead, string $path): int
    {
        $count = 0;
        DB::listen(static function () use (&$count): void {
            $count++;
        });
        $this->actingAs($lead->refresh());
        $count = 0;
        $this->getJson($path)->assertOk();

        return $count;
    }
}
