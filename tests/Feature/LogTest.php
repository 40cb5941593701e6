<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FinishRecord;
use App\Models\Lesson;
use App\Models\LessonEvent;
use App\Models\User;
use App\Teaching\EventRows;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Effort;

/** The log of a lesson over HTTP: kept once, all or nothing, refused with its place, ended once. */
final class LogTest extends TestCase
{
    public function testWhatIsNewAndNothingTwice(): void
    {
        [, $lesson] = $this->planned();
        [$ada, $bram] = $lesson->learnerIds();
        $deeds = $this->deeds([
            ['kind' => 'moved', 'step' => 1],
            ['kind' => 'done', 'learner' => $ada, 'step' => 1],
            ['kind' => 'help', 'learner' => $bram, 'step' => 1],
        ]);
        $first = $this->postJson("/api/lessons/{$lesson->id}/events", $deeds)
            ->assertOk()
            ->json();
        self::assertSame([3, [1, 2, 3]], [$first['newest'], array_column($first['events'], 'number')]);
        self::assertSame(
            ['Marta', 'done', $ada],
            [$first['events'][1]['by'], $first['events'][1]['kind'], $first['events'][1]['learner']],
        );
        $again = $this->postJson("/api/lessons/{$lesson->id}/events", ['after' => 2] + $deeds)
            ->assertOk()
            ->json();
        self::assertSame([3, [3]], [$again['newest'], array_column($again['events'], 'number')]);
        $this->getJson("/api/lessons/{$lesson->id}/events?after=3")
            ->assertOk()
            ->assertJsonPath('events', []);
        self::assertSame(3, LessonEvent::query()->count());
        self::assertSame([1, 'teaching'], [$lesson->refresh()->step, $lesson->status()]);
    }

    public function testEndingTwiceTakesPaperOnceAndAnswersTheSame(): void
    {
        [$lead, $lesson] = $this->planned();
        $stock = $lead->organisation
            ->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => 30]);
        $this->putJson(
            "/api/lessons/{$lesson->id}",
            $this->lessonInput($lesson->group, ['stock_id' => $stock->id]),
        )->assertOk();
        $one = $this->endLesson($lesson->id);
        $left = $stock->refresh()->count;
        $two = $this->endLesson($lesson->id);
        self::assertSame(25, $left, 'three learners, a spare and one to practise with');
        self::assertSame($left, $stock->refresh()->count);
        self::assertSame([$one['clock']['ended_ms'], $one['record']], [$two['clock']['ended_ms'], $two['record']]);
        $this->send($lesson->id, ['kind' => 'reopened'])->assertOk();
        self::assertSame('planned', $lesson->refresh()->status(), 'nobody had moved to a step');
        self::assertSame(0, FinishRecord::query()->count(), 'a lesson that goes on has no records yet');
        $this->endLesson($lesson->id);
        self::assertSame($left, $stock->refresh()->count, 'paper is taken once whatever happens');
        self::assertSame(3, FinishRecord::query()->count());
    }

    public function testLateMarksAreKeptShownAndOffered(): void
    {
        [, $lesson] = $this->planned();
        [$ada] = $lesson->learnerIds();
        $this->send($lesson->id, ['kind' => 'done', 'learner' => $ada, 'step' => 2])->assertOk();
        $this->endLesson($lesson->id);
        $this->send($lesson->id, ['kind' => 'done', 'learner' => $ada, 'step' => 7])->assertOk();
        $record = $this->getJson("/api/lessons/{$lesson->id}")->json('record');
        self::assertSame(1, $record['late']);
        self::assertSame(
            [['learner' => $ada, 'model' => 'drinking-cup', 'outcome' => 'alone', 'step' => null, 'seen' => true,
                'ways' => []]],
            $record['offers'],
        );
        self::assertSame(['stopped', 3], [$record['finishes'][0]['outcome'], $record['finishes'][0]['step']]);
        self::assertSame(
            'stopped',
            FinishRecord::query()->where('learner_id', $ada)->sole()->outcome->value,
            'not counted silently',
        );
        $this->send($lesson->id, [
            'kind' => 'corrected',
            'learner' => $ada,
            'correction' => ['model' => 'drinking-cup', 'finish' => 'alone', 'step' => null],
        ])->assertOk();
        $record = $this->getJson("/api/lessons/{$lesson->id}")->json('record');
        self::assertSame([[], 'alone'], [$record['offers'], $record['finishes'][0]['outcome']]);
        self::assertSame('alone', FinishRecord::query()->where('learner_id', $ada)->sole()->outcome->value);
    }

    public function testCorrectionsHaveAHistoryAndCanBeTakenBack(): void
    {
        [, $lesson] = $this->planned();
        [$ada] = $lesson->learnerIds();
        $set = fn (string $finish, string $key): array => [
            'kind' => 'corrected',
            'learner' => $ada,
            'key' => $key,
            'correction' => ['model' => 'drinking-cup', 'finish' => $finish, 'step' => null],
        ];
        [$first, $second] = [(string) Str::uuid(), (string) Str::uuid()];
        $this->send($lesson->id, $set('away', $first), $set('help', $second))->assertOk();
        self::assertSame('help', FinishRecord::query()->sole()->outcome->value);
        $this->send($lesson->id, ['kind' => 'taken-back', 'cancels' => $second])->assertOk();
        self::assertSame('away', FinishRecord::query()->sole()->outcome->value);
        self::assertSame(3, LessonEvent::query()->count(), 'nothing was erased');
        $this->send($lesson->id, ['kind' => 'taken-back', 'cancels' => $first])->assertOk();
        self::assertSame(0, FinishRecord::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string, int, string}> deed, pointer, status, words */
    public static function bad(): iterable
    {
        yield 'a foreign learner' => [
            ['kind' => 'done', 'learner' => 999_999, 'step' => 1],
            '/events/1/learner',
            422,
            'not in this group',
        ];
        yield 'a step too far' => [
            ['kind' => 'done', 'learner' => 'ada', 'step' => 8],
            '/events/1/step',
            422,
            'it has 1 to 7',
        ];
        yield 'a move too far' => [['kind' => 'moved', 'step' => 9], '/events/1/step', 422, 'it has 0 to 8'];
        yield 'a clock that is no number' => [
            ['kind' => 'moved', 'step' => 1, 'device_ms' => 'noon'],
            '/events/1/device_ms',
            422,
            'whole number of milliseconds',
        ];
        yield 'marked in a way that is none' => [
            ['kind' => 'started', 'marks' => 'loosely'],
            '/events/1/marks',
            422,
            'every done is tapped',
        ];
        yield 'a key that is none' => [
            ['kind' => 'moved', 'step' => 1, 'key' => 'x'],
            '/events/1/key',
            422,
            'a UUID of its own',
        ];
        yield 'a used key with other content' => [
            ['kind' => 'moved', 'step' => 5, 'key' => 'used'],
            '/events/1/key',
            409,
            'used for something else',
        ];
        yield 'taken back what is not there' => [
            ['kind' => 'taken-back', 'cancels' => '00000000-0000-4000-8000-000000000001'],
            '/events/1/cancels',
            422,
            'nothing of that key',
        ];
        yield 'taken back twice' => [
            ['kind' => 'taken-back', 'cancels' => 'gone'],
            '/events/1/cancels',
            422,
            'taken back already',
        ];
        yield 'a move taken back' => [
            ['kind' => 'taken-back', 'cancels' => 'used'],
            '/events/1/cancels',
            422,
            'cannot be taken back',
        ];
        yield 'no such kind' => [['kind' => 'danced'], '/events/1/kind', 422, 'nothing that can happen'];
        yield 'a mark without a learner' => [
            ['kind' => 'done', 'step' => 1],
            '/events/1/learner',
            422,
            'needs "learner"',
        ];
        yield 'an end with a step' => [['kind' => 'ended', 'step' => 1], '/events/1/step', 422, 'has no "step"'];
        yield 'a stop without a step' => [
            [
                'kind' => 'corrected',
                'learner' => 'ada',
                'correction' => ['model' => 'drinking-cup', 'finish' => 'stopped', 'step' => null],
            ],
            '/events/1/step',
            422,
            'at which step',
        ];
        yield 'another model' => [
            [
                'kind' => 'corrected',
                'learner' => 'ada',
                'correction' => ['model' => 'crane', 'finish' => 'alone', 'step' => null],
            ],
            '/events/1/correction/model',
            422,
            'not in this lesson',
        ];
        yield 'a note as long as a book' => [
            ['kind' => 'noted', 'text' => str_repeat('x', 401)],
            '/events/1/text',
            422,
            'at most 400',
        ];
        yield 'a list for a step' => [['kind' => 'moved', 'step' => [1]], '/events/1/step', 422, 'whole number'];
    }

    /** @param  array<string, mixed>  $deed */
    #[DataProvider('bad')]
    public function testABadDeedIsNamedAndNothingOfItsRequestIsKept(
        array $deed,
        string $pointer,
        int $status,
        string $words,
    ): void {
        [, $lesson] = $this->planned();
        [$ada] = $lesson->learnerIds();
        [$used, $gone] = [(string) Str::uuid(), (string) Str::uuid()];
        $this->send(
            $lesson->id,
            ['kind' => 'moved', 'step' => 2, 'key' => $used],
            ['kind' => 'done', 'learner' => $ada, 'step' => 1, 'key' => $gone],
            ['kind' => 'taken-back', 'cancels' => $gone],
        )->assertOk();
        $deed = array_map(
            static fn (mixed $v): mixed => match ($v) {
                'ada' => $ada,
                'used' => $used,
                'gone' => $gone,
                default => $v,
            },
            $deed,
        );
        $answer = $this->send($lesson->id, ['kind' => 'done', 'learner' => $ada, 'step' => 1], $deed)->assertStatus(
            $status,
        );
        self::assertSame($pointer, $answer->json('errors.0.pointer'));
        self::assertStringContainsString($words, $answer->json('errors.0.message'));
        self::assertSame(3, LessonEvent::query()->count(), 'the good deed before it was not kept either');
    }

    public function testTenThousandAtOnceAreRefusedAtOnce(): void
    {
        [, $lesson] = $this->planned();
        $event = $this->deeds([['kind' => 'moved', 'step' => 1]])['events'][0];
        $many = static fn (int $n): array => ['after' => 0, 'events' => array_fill(0, $n, $event)];
        $began = Effort::spent();
        $this->postJson("/api/lessons/{$lesson->id}/events", $many(10_000))->assertStatus(413);
        $this->postJson("/api/lessons/{$lesson->id}/events", $many(900))
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/events');
        $this->postJson("/api/lessons/{$lesson->id}/events", $many(101))
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/events');
        self::assertLessThan(2.0, Effort::spent() - $began);
        self::assertSame(0, LessonEvent::query()->count());
    }

    public function testAnEventOfAnotherOrganisationsLessonIsNotFound(): void
    {
        [, $lesson] = $this->planned();
        $this->actingAs($this->lead('Elsewhere'));
        $this->send($lesson->id, ['kind' => 'moved', 'step' => 1])->assertNotFound();
        $this->getJson("/api/lessons/{$lesson->id}/events")->assertNotFound();
        self::assertSame(0, LessonEvent::query()->count());
    }

    /** With nothing new: whoever is signed in, and the lesson. */
    public function testAskingWhatIsNewTakesFewQueries(): void
    {
        [$lead, $lesson] = $this->planned();
        $this->send($lesson->id, ['kind' => 'moved', 'step' => 1])->assertOk();
        $queries = 0;
        \Illuminate\Support\Facades\DB::listen(static function () use (&$queries): void {
            $queries++;
        });
        $this->actingAs($lead->refresh());
        $queries = 0;
        $this->getJson("/api/lessons/{$lesson->id}/events?after=1")
            ->assertOk()
            ->assertJsonPath('events', []);
        self::assertLessThanOrEqual(2, $queries);
        $queries = 0;
        $this->getJson("/api/lessons/{$lesson->id}/events?after=0")
            ->assertOk()
            ->assertJsonCount(1, 'events');
        self::assertLessThanOrEqual(3, $queries);
    }

    public function testATaughtLessonChangesOnlyByCorrections(): void
    {
        [$lead, $lesson] = $this->planned();
        $other = $this->group($lead);
        $input = $this->lessonInput($lesson->group);
        $this->send($lesson->id, ['kind' => 'moved', 'step' => 1])->assertOk();
        $this->putJson("/api/lessons/{$lesson->id}", ['group_id' => $other->id] + $input)
            ->assertConflict()
            ->assertJsonPath('errors.0.pointer', '/group_id');
        $this->putJson("/api/lessons/{$lesson->id}", ['models' => [['model' => 'crane']]] + $input)
            ->assertConflict()
            ->assertJsonPath('errors.0.pointer', '/models');
        $this->putJson("/api/lessons/{$lesson->id}", ['helpers' => 3] + $input)->assertOk();
        $this->endLesson($lesson->id);
        $this->putJson("/api/lessons/{$lesson->id}", $input)
            ->assertConflict()
            ->assertJsonPath('message', fn (string $m): bool => str_contains($m, 'has been taught'));
    }

    /** Clocks of 1901, 1970, 1999 and 2100: all is kept, in the server's order and by its time. */
    public function testADeviceWithAnyClockTeaches(): void
    {
        [, $lesson] = $this->planned();
        [$ada] = $lesson->learnerIds();
        $now = now()->getTimestampMs();
        foreach ([-2_177_452_800_000, 0, 946_684_799_000, 4_102_444_800_000] as $i => $clock) {
            $this->send(
                $lesson->id,
                ['kind' => 'moved', 'step' => $i + 1, 'device_ms' => $clock, 'after' => 99],
                ['kind' => 'done', 'learner' => $ada, 'step' => $i + 1, 'device_ms' => $clock + 1234],
            )->assertOk();
        }
        $events = $this->send($lesson->id, ['kind' => 'ended', 'device_ms' => PHP_INT_MAX])->assertOk()->json('events');
        self::assertSame(range(1, 9), array_column($events, 'number'));
        foreach ($events as $event) {
            self::assertEqualsWithDelta($now, $event['at_ms'], 20_000);
        }
        self::assertSame([4, 'taught'], [$lesson->refresh()->step, $lesson->status()]);
        $kept = EventRows::after($lesson, 1)[0][0]->origin->deviceMs;
        self::assertSame(-2_177_452_800_000 + 1234, $kept, 'the offset of the clock is known');
    }

    public function testALessonWithoutTapsRecordsNothingUntilItIsSaid(): void
    {
        [, $lesson] = $this->planned();
        [$ada, $bram, $cleo] = $lesson->learnerIds();
        $this->send(
            $lesson->id,
            ['kind' => 'started', 'marks' => 'close'],
            ['kind' => 'away', 'learner' => $cleo],
            ['kind' => 'moved', 'step' => 1],
            ['kind' => 'moved', 'step' => 8],
        )->assertOk();
        $finishes = $this->endLesson($lesson->id)['record']['finishes'];
        self::assertSame([[$cleo, 'away']], array_map(
            static fn (array $f): array => [$f['learner'], $f['outcome']],
            $finishes,
        ));
        self::assertSame([$cleo], FinishRecord::query()->pluck('learner_id')->all(), 'nobody else is away');
        $done = ['model' => 'drinking-cup', 'finish' => 'alone', 'step' => null];
        $this->send(
            $lesson->id,
            ['kind' => 'corrected', 'learner' => $ada, 'correction' => $done],
            ['kind' => 'corrected', 'learner' => $bram, 'correction' => $done],
        )->assertOk();
        self::assertSame(2, $this->getJson("/api/lessons/{$lesson->id}")->json('card.finished'));
    }

    public function testByExceptionSilenceIsPresumedAndWhatWasLookedAtIsSaid(): void
    {
        [, $lesson] = $this->planned();
        [$ada, $bram, $cleo] = $lesson->learnerIds();
        $others = array_slice($lesson->learnerIds(), 3);
        $this->send(
            $lesson->id,
            ['kind' => 'away', 'learner' => $cleo],
            ['kind' => 'started', 'marks' => 'exception'],
            ['kind' => 'moved', 'step' => 1],
            ['kind' => 'moved', 'step' => 3],
            ['kind' => 'not-yet', 'learner' => $bram, 'step' => 3],
            ['kind' => 'moved', 'step' => 7],
            ['kind' => 'table-done', 'learners' => [$ada, $bram], 'step' => 2],
            ['kind' => 'table-done', 'learners' => [$ada, $cleo], 'step' => 7],
        )->assertOk();
        $said = [];
        foreach ($this->endLesson($lesson->id)['record']['finishes'] as $one) {
            $said[$one['learner']] = [$one['outcome'], $one['step'], $one['seen']];
        }
        self::assertSame(['alone', null, true], $said[$ada]);
        self::assertSame(['stopped', 3, false], $said[$bram]);
        self::assertSame(['away', null, false], $said[$cleo]);
        foreach ($others as $learner) {
            self::assertSame(['alone', null, false], $said[$learner], 'nothing was said: presumed');
        }
        $seen = FinishRecord::query()->where('lesson_id', $lesson->id)->pluck('seen', 'learner_id')->all();
        self::assertSame([true, false], [(bool) $seen[$ada], (bool) $seen[$bram]]);
        $back = $this->getJson("/api/lessons/{$lesson->id}/events")->json('events');
        self::assertSame([$ada, $cleo], array_column($back, 'learners', 'step')[7]);
        foreach (['home', 'learned', "groups/{$lesson->group_id}/wall", "groups/{$lesson->group_id}/next",
            "groups/{$lesson->group_id}/times?minutes=60", "groups/{$lesson->group_id}/folds"] as $read) {
            $this->getJson("/api/$read")->assertOk(); // whoever reads lessons reads this one
        }
    }

    public function testATableOfStrangersOrOfNobodyIsRefused(): void
    {
        [, $lesson] = $this->planned();
        [$ada] = $lesson->learnerIds();
        foreach ([[$ada, 999999], [], [$ada, $ada], 'all', [['id' => $ada]], null] as $table) {
            $this->send($lesson->id, ['kind' => 'table-done', 'step' => 1, 'learners' => $table])
                ->assertUnprocessable();
        }
        $this->send($lesson->id, ['kind' => 'done', 'step' => 1, 'learner' => $ada, 'learners' => [$ada]])
            ->assertUnprocessable();
        self::assertSame([], $this->getJson("/api/lessons/{$lesson->id}/events")->json('events'));
    }

    public function testWhoIsPutBackAfterTheLessonHasTheRecordOfIt(): void
    {
        [, $lesson] = $this->planned();
        [$ada] = $lesson->learnerIds();
        $this->send($lesson->id, ['kind' => 'done', 'learner' => $ada, 'step' => 7])->assertOk();
        $this->travel(2)->seconds();
        $this->deleteJson("/api/groups/{$lesson->group_id}/learners/$ada?sure=1")->assertOk();
        $this->travel(2)->seconds();
        $this->endLesson($lesson->id);
        self::assertSame(0, FinishRecord::query()->where('learner_id', $ada)->count(), 'she lies in the bin');
        $this->postJson("/api/bin/learner/$ada/restore")->assertNoContent();
        self::assertSame('alone', FinishRecord::query()->where('learner_id', $ada)->sole()->outcome->value);
    }

    public function testOneLeadsNewDayIsNotLostToAnothersForm(): void
    {
        [, $lesson] = $this->planned();
        $input = $this->lessonInput($lesson->group, ['version' => 1]);
        $this->putJson(
            "/api/lessons/{$lesson->id}",
            ['starts_at' => '2026-12-01T16:00', 'ends_at' => '2026-12-01T17:00'] + $input,
        )
            ->assertOk()
            ->assertJsonPath('setting.version', 2);
        $answer = $this->putJson("/api/lessons/{$lesson->id}", ['helpers' => 2] + $input)->assertConflict();
        self::assertSame('/version', $answer->json('errors.0.pointer'));
        self::assertSame(
            [
                ['field' => 'start', 'theirs' => '2026-12-01 16:00', 'yours' => '2026-11-24 16:00'],
                ['field' => 'helpers', 'theirs' => '1', 'yours' => '2'],
            ],
            $answer->json('differences'),
        );
        self::assertSame('2026-12-01', $lesson->refresh()->starts_at->format('Y-m-d'));
        $this->putJson("/api/lessons/{$lesson->id}", ['helpers' => 2, 'version' => 2] + $input)->assertOk();
    }

    /** @return array{User, Lesson} */
    private function planned(): array
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $this->actingAs($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($group))->assertCreated()->json('card.id');

        return [$lead, Lesson::query()->with('group.learners')->whereKey($id)->sole()];
    }
}
