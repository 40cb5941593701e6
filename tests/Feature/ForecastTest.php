<?php

declare(strict_types=1);

namespace Tests\Feature;

/** A lesson rehearsed: how it is likely to go, and what would help; the same answer each time it is asked. */
final class ForecastTest extends TestCase
{
    public function testALessonIsRehearsed(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead, array_map(static fn (int $n): string => "Learner $n", range(1, 20)));
        $id = $this->postJson('/api/lessons', $this->lessonInput($group, [
            'models' => [['model' => 'crane']],
            'starts_at' => '2030-01-05T10:00',
            'ends_at' => '2030-01-05T11:00',
            'helpers' => 1,
            'square_in_lesson' => true,
            'decorate' => 'after',
        ]))->assertCreated()->json('card.id');
        $forecast = $this->getJson("/api/lessons/$id/forecast")->assertOk()->json();
        self::assertSame($forecast, $this->getJson("/api/lessons/$id/forecast")->json());
        ['early' => $early, 'middle' => $middle, 'late' => $late] = $forecast['finish'];
        self::assertTrue($early <= $middle && $middle <= $late && $early > 40);
        self::assertSame([0, 0], [$forecast['wave'][0]['slowest'], $forecast['wave'][0]['t']]);
        $last = $forecast['wave'][count($forecast['wave']) - 1];
        self::assertSame([17, 17, 17], [$last['slowest'], $last['middle'], $last['fastest']]);
        $levers = array_column($forecast['levers'], null, 'name');
        // decorating is a block of ten minutes: leaving it out gains just that
        self::assertEqualsWithDelta(10.0, $levers['decorate']['minutes'], 0.05);
        self::assertGreaterThan(0, $levers['prepared']['steps']);
        foreach ($forecast['holds'] as $hold) {
            self::assertEqualsWithDelta(60 * $hold['minutes'], $hold['to'] - $hold['from'], 4);
        }

        // and every time says why
        $plan = $this->getJson("/api/lessons/$id")->json('plan');
        self::assertSame(range(1, 17), array_column($plan['why'], 'step'));
        $petal = $plan['why'][9];
        self::assertSame([150, 90], [$petal['base'], $petal['show']]);
        self::assertContains('age', array_column($petal['factors'], 'name'));
        self::assertContains('again', array_column($plan['why'][10]['factors'], 'name'), 'step 11 does two again');

        // one press: what a lever promised is what the next rehearsal says
        $lesson = $this->getJson("/api/lessons/$id")->json();
        $this->putJson("/api/lessons/$id", $this->lessonInput($group, [
            'models' => [['model' => 'crane']],
            'starts_at' => '2030-01-05T10:00',
            'ends_at' => '2030-01-05T11:00',
            'helpers' => 1,
            'square_in_lesson' => true,
            'decorate' => 'none',
            'version' => $lesson['setting']['version'],
        ]))->assertOk();
        $then = $this->getJson("/api/lessons/$id/forecast")->assertOk()->json();
        self::assertEqualsWithDelta($late - $levers['decorate']['minutes'], $then['finish']['late'], 1.0);
        self::assertEqualsWithDelta($levers['decorate']['share'], $then['share'] - $forecast['share'], 0.002);
        self::assertNotContains('decorate', array_column($then['levers'], 'name'));
    }

    public function testALessonOfAnotherPlaceIsNotRehearsed(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($this->group($lead)))->json('card.id');
        $this->actingAs($this->lead('Elsewhere'));
        $this->getJson("/api/lessons/$id/forecast")->assertNotFound();
        $this->getJson('/api/lessons/999999/forecast')->assertNotFound();
    }
}
