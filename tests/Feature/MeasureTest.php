<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Reading;

final class MeasureTest extends TestCase
{
    public function testAPyramidIsMeasuredBySideSlopeAndHeightInTheUnitsOfTheLead(): void
    {
        $lead = $this->lead();
        $lead->update(['unit' => 'in']);
        $group = $this->group($lead);
        $this->actingAs($lead);
        $id = $this->postJson(
            '/api/lessons',
            $this->lessonInput($group, ['model' => 'pyramid', 'side_mm' => 152.4]),
        )->json('card.id');
        $measures = $this->getJson("/api/lessons/$id/measures")->assertOk()->json('0');
        self::assertSame('triangular-pyramid', $measures['solid']);
        self::assertSame(['width', 'slope', 'height'], array_column($measures['predicted'], 'name'));
        self::assertStringStartsWith('Slope: up a side face', $measures['predicted'][1]['title']);
        // From 6 in: 6 in wide, slope 3 in, height 6 / sqrt 6 = 2.449 in; 6 cubed / (12 * sqrt 2) = 12.7 in3.
        self::assertEqualsWithDelta([152.4, 76.2, 62.2], array_column($measures['predicted'], 'mm'), 0.051);
        // Half a sixteenth of an inch: twice in the side, once in the height: 2/32/6 + 1/32/2.449 = 2.3 %.
        self::assertSame(['value' => 12.7, 'unit' => 'in³', 'off' => 2.3], $measures['volume']);
        $this->putJson("/api/lessons/$id/readings", [
            'learner' => $group->learners[0]->id,
            'model' => 'pyramid',
            'name' => 'slope',
            'value' => '3',
            'unit' => 'in',
        ])->assertNoContent();
        self::assertStringContainsString(
            'As predicted',
            $this->getJson("/api/lessons/$id/measures")->json('0.readings.0.why'),
        );
    }

    public function testABoxIsMeasuredByItsLearners(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $stock = $lead->organisation
            ->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 20]);
        $this->actingAs($lead);
        $id = $this->postJson(
            '/api/lessons',
            $this->lessonInput($group, ['model' => 'oblong-box', 'stock_id' => $stock->id]),
        )->json('card.id');
        // From A4, the floor is half the sheet each way: 148.5 * 105 * 52.5 mm, 818.6 ml.
        $measures = $this->getJson("/api/lessons/$id/measures")
            ->assertOk()
            ->json('0');
        self::assertEqualsWithDelta([148.5, 105.0, 52.5], array_column($measures['predicted'], 'mm'), 0.051);
        self::assertSame('box', $measures['solid']);
        self::assertEqualsWithDelta(818.6, $measures['volume']['value'], 0.2);
        // Half a mm of each length: 0.5/148.5 + 0.5/105 + 0.5/52.5 = 1.8 %.
        self::assertSame(['cm³', 1.8], [$measures['volume']['unit'], $measures['volume']['off']]);
        // From letter paper: 279.4 / 2, 215.9 / 2 and 215.9 / 4, not A4 made larger (152.7 mm).
        $letter = $lead->organisation
            ->stocks()
            ->create(['name' => 'Letter', 'width_mm' => 215.9, 'height_mm' => 279.4]);
        $other = $this->postJson(
            '/api/lessons',
            $this->lessonInput($group, ['model' => 'oblong-box', 'stock_id' => $letter->id]),
        )->json();
        $found = $this->getJson("/api/lessons/{$other['card']['id']}/measures")->json('0');
        self::assertEqualsWithDelta([139.7, 107.95, 53.975], array_column($found['predicted'], 'mm'), 0.051);
        self::assertEqualsWithDelta(139.7 * 107.95 * 53.975 / 1000, $found['volume']['value'], 0.2);
        self::assertStringContainsString('139.7 × 107.9', $other['paper']['models'][0]['finished']);
        [$ada, $bram] = $group->learners->pluck('id')->all();
        $read = fn (int $learner, string $value, string $unit = 'mm') => $this->putJson("/api/lessons/$id/readings", [
            'learner' => $learner,
            'model' => 'oblong-box',
            'name' => 'depth',
            'value' => $value,
            'unit' => $unit,
        ]);
        $read($ada, '104')->assertNoContent();
        $read($bram, '4 1/8', 'in')->assertNoContent();
        $of = fn (int $learner): array => array_values(
            array_filter(
                $this->getJson("/api/lessons/$id/measures")->json('0.readings'),
                static fn (array $r): bool => $r['learner'] === $learner,
            ),
        )[0] ?? [];
        self::assertSame(
            [-1.0, true],
            [(float) $of($ada)['difference_mm'], str_contains($of($ada)['why'], 'As predicted')],
        );
        self::assertEqualsWithDelta(104.78, $of($bram)['mm'], 0.01, '4 1/8 in');
        $read($ada, '10.5')->assertNoContent();
        self::assertStringContainsString('another unit', $of($ada)['why'], '10.5 was read in cm');
        $read($ada, '')->assertNoContent();
        self::assertSame([], $of($ada), 'taken back');
        foreach (['wide', '-4', '4 1/8', '9 m'] as $bad) {
            $read($ada, $bad)->assertStatus(422)->assertJsonPath('errors.0.pointer', '/value');
        }
        self::assertSame(
            [],
            $this->getJson(
                '/api/lessons/'.
                    $this->postJson('/api/lessons', $this->lessonInput($group))->json('card.id').
                    '/measures',
            )->json(),
            'a cup lies flat',
        );
    }

    /** Each body of a lesson has its own sizes and its own readings; what was read before there were several stays. */
    public function testEveryBodyOfALessonIsMeasured(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $this->actingAs($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($group, [
            'models' => [
                ['model' => 'dog-face'],
                ['model' => 'square-box', 'side_mm' => 120],
                ['model' => 'square-pyramid', 'side_mm' => 200],
            ],
        ]))->assertCreated()->json('card.id');
        $bodies = fn (): array => (array) $this->getJson("/api/lessons/$id/measures")->assertOk()->json();
        self::assertSame(['square-box', 'square-pyramid'], array_column($bodies(), 'model'), 'a dog lies flat');
        self::assertEquals([120, 200], array_column($bodies(), 'side_mm'));
        $learner = $group->learners[0]->id;
        Reading::query()->create(['lesson_id' => $id, 'learner_id' => $learner, 'name' => 'width', 'mm' => 41]);
        $read = static fn (array $body): array => array_column($body['readings'], 'mm', 'name');
        self::assertEquals([['width' => 41], []], array_map($read, $bodies()), 'read before: of the first body');
        $keep = fn (string $model, string $value) => $this->putJson("/api/lessons/$id/readings", [
            'learner' => $learner, 'model' => $model, 'name' => 'width', 'value' => $value, 'unit' => 'mm',
        ]);
        $keep('square-pyramid', '99')->assertNoContent();
        $keep('square-box', '42')->assertNoContent();
        self::assertEquals([['width' => 42], ['width' => 99]], array_map($read, $bodies()));
        $keep('square-box', '')->assertNoContent();
        self::assertEquals([[], ['width' => 99]], array_map($read, $bodies()), 'taken back, and nothing older returns');
        $keep('crane', '9')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/model');
    }

    public function testADiagonalTellsASquare(): void
    {
        $this->actingAs($this->lead());
        $check = fn (array $with) => $this->getJson(
            '/api/square-check?'.
                http_build_query($with + ['side' => '150', 'first' => '212', 'second' => '212.5', 'model' => 'crane']),
        );
        $check([])->assertOk()->assertJsonPath('passes', true);
        // 3.7 mm is one degree; the crane forgives 0.6, the dog 2.
        $check(['second' => '215.7'])
            ->assertOk()
            ->assertJsonPath('passes', false);
        $check(['second' => '215.7', 'model' => 'dog-face'])
            ->assertOk()
            ->assertJsonPath('passes', true);
        $check(['second' => '150'])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/second');
        $check(['first' => 'x'])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/first');
        $check(['model' => 'none'])->assertStatus(422);
    }

    public function testAStringOfCranes(): void
    {
        $this->actingAs($this->lead());
        $ask = ['model' => 'crane', 'side' => 150, 'models' => 10, 'gap' => 25, 'goal' => 1000, 'per_lesson' => 14];
        $string = $this->getJson('/api/display-string?'.http_build_query($ask))
            ->assertOk()
            ->json();
        self::assertSame([10, 72], [$string['beads'], $string['lessons']], '1000 / 14 = 71.4');
        self::assertEqualsWithDelta(18.0, $string['weight_g'], 1e-9, '10 squares of 150 mm at 80 g/m2');
        $this->getJson('/api/display-string?'.http_build_query(['models' => 0] + $ask))->assertStatus(422);
    }
}
