<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;

/** How the rest of a lesson under way is likely to go, as the stage asks for it. */
final class RestTest extends TestCase
{
    private const START = '2026-11-24T16:00';

    public function testItSaysUntilWhenAndWho(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead, ['Ada', 'Bram', 'Cleo', 'Dov', 'Edda', 'Finn', 'Gus', 'Hana']);
        $id = $this->postJson('/api/lessons', $this->lessonInput($group, [
            'models' => [['model' => 'swan']],
            'starts_at' => self::START,
            'ends_at' => '2026-11-24T17:00',
        ]))->assertCreated()->json('card.id');
        $bell = $this->at(60);
        $rest = fn (): array => (array) $this->getJson("/api/lessons/$id/rest")->assertOk()->json();

        $this->travelTo($this->at(5));
        self::assertSame([null, null, null, []], self::band($rest()), 'nothing before the first step');
        $learners = array_column($this->getJson("/api/lessons/$id")->json('group.learners'), 'id');

        $this->travelTo($this->at(8));
        $this->say($id, ['kind' => 'started', 'marks' => 'exception']);
        $this->say($id, ['kind' => 'moved', 'step' => 1]);
        foreach ([2, 3, 4] as $step) {
            $this->travelTo($this->at(8 + 2 * $step));
            $this->say($id, ['kind' => 'moved', 'step' => $step]);
        }
        $now = $rest();
        [$early, $middle, $late] = self::band($now);
        self::assertTrue($early < $middle && $middle < $late);
        self::assertGreaterThan(CarbonImmutable::now()->getTimestampMs(), $early);
        self::assertLessThan($bell->getTimestampMs(), $now['by_ms'], 'clearing up comes after');
        self::assertSame([1, [], null], [$now['everybody'], $now['unlikely'], $now['until']]);
        self::assertSame($now, $rest());

        // the same three steps in three quarters of an hour, and one of them is still at the first
        $this->travelTo($this->at(52));
        $this->say($id, ['kind' => 'not-yet', 'learner' => $learners[4], 'step' => 1]);
        $slow = $rest();
        self::assertGreaterThan($late, $slow['late_ms']);
        self::assertContains($learners[4], $slow['unlikely']);
        self::assertLessThan(0.2, $slow['everybody']);

        $this->say($id, ['kind' => 'ended']);
        self::assertSame([null, null, null, []], self::band($rest()), 'nothing after the end');
        $this->actingAs($this->lead('Elsewhere'))->getJson("/api/lessons/$id/rest")->assertNotFound();
    }

    /** Four hours after its slot there is no bell to keep: it counts from its own beginning. */
    public function testALessonAtAnotherTimeCountsFromItsOwnBeginning(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($this->group($lead), ['starts_at' => self::START]))
            ->assertCreated()
            ->json('card.id');
        $this->travelTo($this->at(240));
        $this->say($id, ['kind' => 'started', 'marks' => 'exception']);
        $this->say($id, ['kind' => 'moved', 'step' => 1]);
        $rest = (array) $this->getJson("/api/lessons/$id/rest")->assertOk()->json();
        self::assertEqualsWithDelta(1.0, $rest['everybody'], 0.05);
        self::assertGreaterThan($this->at(260)->getTimestampMs(), $rest['by_ms']);
    }

    private function at(int $minutes): CarbonImmutable
    {
        return CarbonImmutable::parse(self::START, config('app.timezone'))->addMinutes($minutes);
    }

    /** @param  array<string, mixed>  $event */
    private function say(int $lesson, array $event): void
    {
        $this->send($lesson, $event)->assertOk();
    }

    /**
     * @param  array<string, mixed>  $rest
     * @return array{int|null, int|null, int|null, list<int>}
     */
    private static function band(array $rest): array
    {
        return [$rest['early_ms'], $rest['middle_ms'], $rest['late_ms'], $rest['unlikely']];
    }
}
