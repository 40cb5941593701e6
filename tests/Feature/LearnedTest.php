<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\Lesson;
use App\Models\User;
use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\EventKind;

/** Taught lessons change the times of those to come; what was odd does not, and nothing leaves its place. */
final class LearnedTest extends TestCase
{
    private User $lead;

    private Group $group;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->lead();
        $this->group = $this->group($this->lead, array_map(static fn (int $n): string => "Learner $n", range(1, 6)));
        $this->actingAs($this->lead);
    }

    public function testSlowMarksMakePlansLongerAndAnOddLessonDoesNot(): void
    {
        $before = $this->plan();
        self::assertStringStartsWith('Times are estimates; eight of ten are between 0.7 and 1.5', $before['source']);
        self::assertSame([0, []], [$this->learned()['marks'], $this->learned()['folds']]);

        $lesson = $this->taught(3.0); // three times as long as expected
        $learned = $this->learned();
        // seven steps, five of the six at a time of their own; the sixth asked for help
        self::assertSame(5 * 7, $learned['marks']);
        $valley = array_column($learned['folds'], null, 'kind')['valley'];
        self::assertGreaterThan(1.05 * $valley['estimate'], $valley['seconds']);
        self::assertTrue($valley['low'] < $valley['seconds'] && $valley['seconds'] < $valley['high']);
        // the expected pace is worth three lessons: one moves it a good step, not all the way
        self::assertGreaterThan(1.08, $learned['groups'][0]['pace']);
        self::assertLessThan(1.35, $learned['groups'][0]['pace']);
        self::assertSame([[$lesson->id, 35, false]], array_map(
            static fn (array $one): array => [$one['id'], $one['marks'], $one['odd']],
            $learned['lessons'],
        ));
        $after = $this->plan();
        // in spite of a fold that they know by now
        self::assertGreaterThan(1.05 * self::folding($before), self::folding($after));
        self::assertStringStartsWith('Times rest on 35 marks in one lesson', $after['source']);
        self::assertMatchesRegularExpression(
            '/This group is taken to need \d+ % longer .* from 35 marks of its lessons \(\d+ \w+ last\)/',
            $after['source'],
        );
        $factors = array_column($after['why'][1]['factors'], 'times', 'name');
        self::assertGreaterThan(1.0, $factors['learned']);
        self::assertSame(round($learned['groups'][0]['pace'], 2), round($factors['pace'], 2));

        self::assertSame([[$lesson->id, $lesson->starts_at->format('j M')]], array_map(
            static fn (array $one): array => [$one['lesson'], $one['day']],
            $after['paced_by'],
        ), 'it can be left out from the plan');
        self::assertSame([], $before['paced_by']);

        // a fire drill
        $this->putJson("/api/lessons/{$lesson->id}/odd", ['odd' => true])->assertOk()->assertJsonPath('marks', 0);
        $without = $this->plan()['why'][1]['factors'];
        self::assertSame([], array_intersect(['learned', 'pace'], array_column($without, 'name')));
        self::assertContains('known', array_column($without, 'name'), 'that they can do the fold stays known');
        $this->putJson("/api/lessons/{$lesson->id}/odd", ['odd' => false])->assertOk()->assertJsonPath('marks', 35);

        // another place has learned nothing of it
        $this->actingAs($this->lead('Elsewhere'));
        self::assertSame(0, $this->learned()['marks']);
        $this->putJson("/api/lessons/{$lesson->id}/odd", ['odd' => true])->assertNotFound();
    }

    /** The lead shows three times as long as planned and says so; the learners fold as expected. */
    public function testALongShowingIsTheLeadsNotTheGroups(): void
    {
        $before = $this->plan();
        for ($i = 0; $i < 2; $i++) {
            $this->taught(1.0, showing: 3.0);
        }
        $learned = $this->learned();
        self::assertSame(['Marta', 14], [$learned['leads'][0]['name'], $learned['leads'][0]['steps']]);
        self::assertGreaterThan(1.3, $learned['leads'][0]['showing']);
        self::assertLessThan(1.1, $learned['groups'][0]['pace'] ?? 1.0);
        $after = $this->plan();
        self::assertMatchesRegularExpression(
            '/You are taken to show \d+ % longer than usual, from 14 steps at which you pressed Shown\./',
            $after['source'],
        );
        $shows = static fn (array $plan): float => $plan['why'][1]['show'];
        $now = $learned['leads'][0]['showing'] * $shows($before);
        self::assertEqualsWithDelta($now, $shows($after), 1.0, 'to the second');

        // a substitute shows as is usual
        $this->actingAs(User::query()->create([
            'organisation_id' => $this->lead->organisation_id,
            'name' => 'Substitute',
            'email' => 'substitute@gullwick.example',
            'password' => 'not-used-here',
        ]));
        self::assertEqualsWithDelta($shows($before), $shows($this->plan()), 0.05);
    }

    public function testWhatCannotBeLeftOut(): void
    {
        $planned = $this->postJson('/api/lessons', $this->lessonInput($this->group))->json('card.id');
        $this->putJson("/api/lessons/$planned/odd", ['odd' => true])->assertStatus(409);
        $this->putJson("/api/lessons/$planned/odd", ['odd' => 'perhaps'])->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/odd');
        self::assertFalse(Lesson::query()->whereKey($planned)->sole()->odd);
    }

    /** A drinking cup, everybody so many times as slow as expected; the last one is helped at every step. */
    private function taught(float $slow, ?float $showing = null): Lesson
    {
        $made = $this->postJson('/api/lessons', $this->lessonInput($this->group, ['model' => 'drinking-cup']))->json();
        $lesson = Lesson::query()->whereKey($made['card']['id'])->sole();
        $learners = $this->group->learners()->orderBy('seat')->pluck('id')->all();
        $at = CarbonImmutable::now();
        $ms = static fn (CarbonImmutable $at): int => $at->getTimestampMs();
        foreach ($made['plan']['why'] as $why) {
            CarbonImmutable::setTestNow($at);
            $this->deed($lesson, EventKind::Moved, ['step' => $why['step']], $ms($at));
            if ($showing !== null) {
                $at = $at->addMilliseconds((int) (1000 * $showing * $why['show']));
                CarbonImmutable::setTestNow($at);
                $this->deed($lesson, EventKind::Shown, ['step' => $why['step']], $ms($at));
                $at = $at->subMilliseconds((int) (1000 * $why['show']));
            }
            foreach ($learners as $i => $learner) {
                $done = $at->addMilliseconds((int) (1000 * ($why['show'] + $slow * $why['fold'])) + 1500 * $i);
                CarbonImmutable::setTestNow($done);
                $of = ['step' => $why['step'], 'learner' => $learner];
                $i === 5 && $this->deed($lesson, EventKind::Help, $of, $ms($done));
                $this->deed($lesson, EventKind::Done, $of, $ms($done));
            }
            $at = $at->addSeconds((int) ($why['show'] + $slow * $why['fold']) + 12);
        }
        CarbonImmutable::setTestNow($at);
        $this->deed($lesson, EventKind::Ended, [], $ms($at));
        CarbonImmutable::setTestNow();

        return $lesson;
    }

    /** @param  array{step?: int, learner?: int}  $with */
    private function deed(Lesson $lesson, EventKind $kind, array $with, int $ms): void
    {
        $this->postJson("/api/lessons/{$lesson->id}/events", ['after' => 0, 'events' => [[
            'key' => (string) \Illuminate\Support\Str::uuid(),
            'kind' => $kind->value,
            'device' => 'tablet',
            'device_ms' => $ms,
            'after' => 0,
        ] + $with]])->assertSuccessful();
    }

    /** @return array<string, mixed> */
    private function learned(): array
    {
        return $this->getJson('/api/learned')->assertOk()->json();
    }

    /** @return array<string, mixed> the plan of a lesson made for it */
    private function plan(): array
    {
        return $this->postJson('/api/lessons', $this->lessonInput($this->group, ['model' => 'drinking-cup']))
            ->assertCreated()
            ->json('plan');
    }

    /** @param  array<string, mixed>  $plan */
    private static function folding(array $plan): int
    {
        return array_sum(array_column($plan['why'], 'fold'));
    }
}
