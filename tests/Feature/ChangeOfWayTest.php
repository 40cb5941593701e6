<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FinishRecord;
use App\Models\Group;
use App\Models\Lesson;
use App\Models\LessonEvent;
use App\Models\User;
use App\Teaching\ChangeWay;
use App\Teaching\Deeds;
use App\Teaching\LessonLog;
use Cathedra\Core\Lesson\EventKind;

/**
 * Showing a passage the other way while teaching. The crane's neck and tail: steps 14 and 15 where they are folded
 * inside, 14 to 22 where they are turned like pages; then the head and the wings.
 */
final class ChangeOfWayTest extends TestCase
{
    private User $lead;

    private Group $group;

    public function testTheOtherWayIsShownFromTheBirdBaseOn(): void
    {
        $lesson = $this->crane(['legs' => 'pages']);
        [$ada, $bram, $cleo] = $this->group->learners()->orderBy('seat')->pluck('id')->all();
        self::assertSame(24, $this->steps($lesson));
        $this->send(
            $lesson,
            ['kind' => 'moved', 'step' => 14],
            ['kind' => 'done', 'learner' => $ada, 'step' => 22], // quick: has drawn out neck and tail already
            ['kind' => 'done', 'learner' => $bram, 'step' => 13],
        )->assertOk();
        $way = $this->change($lesson, 'legs', 'reverse');
        self::assertSame([['first' => 14, 'was' => 9, 'now' => 2]], $way['spans']);
        $newest = $this->send($lesson, ['kind' => 'way-changed', 'way' => $way])->assertOk()->json('newest');
        self::assertSame(17, $this->steps($lesson));
        $this->send(
            $lesson,
            ['kind' => 'done', 'learner' => $bram, 'step' => 15, 'after' => $newest],
            // tapped on a device that had not heard of it
            ['kind' => 'done', 'learner' => $cleo, 'step' => 22, 'device' => 'phone'],
            ['kind' => 'moved', 'step' => 17, 'after' => $newest],
            ['kind' => 'done', 'learner' => $ada, 'step' => 17, 'after' => $newest],
            ['kind' => 'done', 'learner' => $bram, 'step' => 17, 'after' => $newest],
        )->assertOk();
        $record = $this->endLesson($lesson)['record'];
        $of = array_column($record['finishes'], null, 'learner');
        self::assertSame('stopped', $of[$cleo]['outcome']);
        self::assertSame(16, $of[$cleo]['step'], 'the head is next, by the new count');
        $pages = 'Turned like pages, folded up and drawn out';
        $reverse = 'Folded inside, each between its own layers';
        self::assertSame(
            [[$ada, 'alone', $pages], [$bram, 'alone', $reverse], [$cleo, 'stopped', $pages]],
            array_map(
                static fn (array $finish): array => [
                    $finish['learner'],
                    $finish['outcome'],
                    array_column($finish['ways'], 'way', 'title')['How do neck and tail get up?'],
                ],
                [$of[$ada], $of[$bram], $of[$cleo]],
            ),
        );
        $kept = FinishRecord::query()->where('learner_id', $bram)->sole()->ways;
        self::assertSame('reverse', $kept['legs'] ?? null);
    }

    /** Each had read the lesson before the other changed it, as two requests at once do. */
    public function testTwoDevicesChangeTwoPassagesAtOnceAndBothAreKept(): void
    {
        $lesson = $this->crane([]);
        $this->send($lesson, ['kind' => 'moved', 'step' => 1])->assertOk();
        $read = Lesson::query()->with(LessonLog::WITH)->findOrFail($lesson);
        $this->send($lesson, ['kind' => 'way-changed', 'way' => $this->change($lesson, 'wings', 'low')])->assertOk();
        $legs = Deeds::make(EventKind::WayChanged, [
            'way' => app(ChangeWay::class)->to(Lesson::query()->findOrFail($lesson), 'crane', 'legs', 'pages'),
        ]);
        app(LessonLog::class)->append($read, $this->lead, [$legs]);
        $ways = $this->getJson("/api/lessons/$lesson")->json('models.0.ways');
        self::assertSame(['low', 'pages'], [$ways['wings'], $ways['legs']]);
    }

    /** Two tabs of one device: the one that had not heard of the change goes on counting by the old way. */
    public function testASecondTabThatHadNotHeardOfAChangedWayLosesNobody(): void
    {
        $lesson = $this->crane(['legs' => 'pages']);
        [$ada] = $this->group->learners()->orderBy('seat')->pluck('id')->all();
        $this->send($lesson, ['kind' => 'moved', 'step' => 14, 'device' => 'desk.one'])->assertOk();
        $way = $this->change($lesson, 'legs', 'reverse');
        $this->send($lesson, ['kind' => 'way-changed', 'way' => $way, 'device' => 'desk.one.a'])->assertOk();
        $this->send($lesson, ['kind' => 'done', 'learner' => $ada, 'step' => 24, 'device' => 'desk.two', 'after' => 1])
            ->assertOk();
        $finish = $this->endLesson($lesson)['record']['finishes'][0];
        self::assertSame([$ada, 'alone', null], [$finish['learner'], $finish['outcome'], $finish['step']]);
    }

    public function testPastTheBirdBaseItIsTooLate(): void
    {
        $lesson = $this->crane([]);
        $this->send($lesson, ['kind' => 'moved', 'step' => 15])->assertOk();
        $way = $this->change($lesson, 'legs', 'pages');
        $this->refused($lesson, $way, 'until step 14 only, and the group is at step 15');
        self::assertSame(17, $this->steps($lesson));
        $this->send($lesson, ['kind' => 'moved', 'step' => 14])->assertOk();
        $this->send($lesson, ['kind' => 'way-changed', 'way' => $way])->assertOk();
        self::assertSame(24, $this->steps($lesson));
        $this->refused($lesson, $way, 'is shown already', 'from a second device, which chose the same');
        $this->endLesson($lesson);
        $this->refused($lesson, $this->change($lesson, 'wings', 'low'), 'has ended');
    }

    public function testWhatIsSaidOfTheStepsMustBeSo(): void
    {
        $lesson = $this->crane([]);
        $way = $this->change($lesson, 'legs', 'pages');
        $bad = [
            [['option' => 'flying'], 'does not offer that way'],
            [['passage' => 'tails'], 'does not offer that way'],
            [['model' => 'cat'], 'not in this lesson'],
            [['spans' => [['first' => 14, 'was' => 2, 'now' => 1]]], 'changed meanwhile'],
            [['spans' => []], null],
            [['spans' => 'many'], null],
            [['begins' => 'one'], null],
            [['option' => ['pages']], null],
        ];
        foreach ($bad as [$change, $said]) {
            $this->refused($lesson, [...$way, ...$change], $said);
        }
        $this->send($lesson, ['kind' => 'way-changed'])->assertStatus(422);
        self::assertSame(0, LessonEvent::query()->count());
        self::assertSame(17, $this->steps($lesson));
        $this->getJson("/api/lessons/$lesson/ways/cat")->assertNotFound();
    }

    /** With a drinking cup before it, helpers and squares made in the lesson: minutes are those of the whole lesson. */
    public function testTheMinutesAreThoseOfTheLesson(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead);
        $input = fn (array $ways): array => $this->lessonInput(
            $group,
            ['square_in_lesson' => true, 'helpers' => 2, 'further' => [['model' => 'crane', 'ways' => $ways]]],
        );
        $id = $this->postJson('/api/lessons', $input([]))->assertCreated()->json('card.id');
        $asked = $this->getJson("/api/lessons/$id/ways/crane?ways[legs]=pages")->assertOk()->json();
        self::assertSame([null], array_values(array_unique(array_column($asked['passages'][5]['options'], 'change'))));
        $now = $this->getJson("/api/lessons/$id/ways/crane")->assertOk()->json();
        $planned = $this->putJson("/api/lessons/$id", $input(['legs' => 'pages']) + ['version' => 1])->assertOk();
        $needed = $planned->json('plan.needed_minutes');
        self::assertGreaterThan($now['minutes'], $needed);
        self::assertSame($needed, $asked['minutes']);
        self::assertSame($needed, array_column($now['passages'][5]['options'], 'minutes', 'key')['pages']);
    }

    public function testUsualWaysAreKeptForWhoeverTeachesSo(): void
    {
        $this->crane([]);
        $ways = ['legs' => 'pages', 'base' => 'squash'];
        $this->putJson('/api/models/crane/ways', ['ways' => $ways])->assertOk()->assertJson(['ways' => $ways]);
        $this->putJson('/api/models/crane/ways', ['ways' => ['legs' => 'pages']])->assertOk();
        self::assertSame(
            [['model' => 'crane', 'ways' => ['legs' => 'pages']]],
            $this->getJson('/api/me')->assertOk()->json('ways'),
        );
        foreach ([['legs' => 'flying'], 'pages', null, ['legs' => ['pages']]] as $bad) {
            $this->putJson('/api/models/crane/ways', ['ways' => $bad])
                ->assertStatus(422)
                ->assertJsonPath('errors.0.pointer', '/ways');
        }
        $this->putJson('/api/models/origami/ways', ['ways' => []])->assertNotFound();
        $this->putJson('/api/models/crane/ways', ['ways' => []])->assertOk();
        self::assertSame([], $this->getJson('/api/me')->json('ways'));
    }

    /** @param  array<string, string>  $ways */
    private function crane(array $ways): int
    {
        $this->lead = $this->lead();
        $this->group = $this->group($this->lead);
        $this->actingAs($this->lead);
        $input = $this->lessonInput($this->group, ['model' => 'crane', 'ways' => $ways]);

        return (int) $this->postJson('/api/lessons', $input)->assertCreated()->json('card.id');
    }

    private function steps(int $lesson): int
    {
        return (int) array_sum(array_column($this->getJson("/api/lessons/$lesson")->json('models'), 'steps'));
    }

    /** @return array<string, mixed> the change that this option would be, as the lesson stands */
    private function change(int $lesson, string $passage, string $option): array
    {
        $passages = $this->getJson("/api/lessons/$lesson/ways/crane")->assertOk()->json('passages');
        $options = array_column($passages, 'options', 'name')[$passage];

        return array_column($options, 'change', 'key')[$option];
    }

    /** @param  array<string, mixed>  $way */
    private function refused(int $lesson, array $way, ?string $said, string $why = ''): void
    {
        $answer = $this->send($lesson, ['kind' => 'way-changed', 'way' => $way])->assertStatus(422);
        $pointer = $answer->json('errors.0.pointer');
        self::assertStringStartsWith('/events/0/way', $pointer);
        $said === null || self::assertStringContainsString($said, (string) $answer->json('errors.0.message'), $why);
    }
}
