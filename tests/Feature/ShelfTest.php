<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Shelf\Motions;
use Tests\Support\FoldChecker;

final class ShelfTest extends TestCase
{
    public function testTheShelfListsAllModelsEasiestFirst(): void
    {
        $this->actingAs($this->lead());
        $models = $this->getJson('/api/models')->assertOk()->json();
        self::assertGreaterThanOrEqual(24, count($models));
        $levels = array_column($models, 'difficulty');
        $sorted = $levels;
        sort($sorted);
        self::assertSame($sorted, $levels);
        $box = array_values(array_filter($models, static fn (array $m): bool => $m['slug'] === 'oblong-box'))[0];
        // A4: 210 * 0.707143 = 148.5 mm wide, 105 long, 52.5 high.
        self::assertEqualsWithDelta(
            [148.5 / 210, 0.5, 0.25],
            [$box['measures']['width'], $box['measures']['depth'], $box['measures']['height']],
            1e-5,
        );
        self::assertSame(
            [true, 1],
            [
                array_values(array_filter($models, static fn (array $m): bool => $m['slug'] === 'dragonfly'))[0][
                    'scissors'
                ],
                $box['sheets'],
            ],
        );
    }

    public function testAModelByEachWay(): void
    {
        $this->actingAs($this->lead());
        $usual = $this->getJson('/api/models/flapping-bird')->assertOk()->json();
        $other = $this->getJson('/api/models/flapping-bird?ways[base]=squash')->assertOk()->json();
        $base = static fn (array $model): string => array_column($model['passages'], 'chosen', 'name')['base'];
        self::assertSame(['collapse', 'squash'], [$base($usual), $base($other)]);
        self::assertSame(count($usual['steps']) + 4, count($other['steps']));
        self::assertContains('petal', $usual['summary']['kinds']);
        $hard = array_filter($usual['steps'], static fn (array $s): bool => $s['hard']);
        self::assertNotEmpty($hard);
        foreach ($hard as $step) {
            self::assertNotEmpty($step['reasons'], 'a hard moment says why');
        }
        $petal = array_values(array_filter($usual['steps'], static fn (array $s): bool => $s['kind'] === 'petal'))[0];
        // Before its motions are worked out there is no middle to show; another run may have kept them.
        self::assertTrue($petal['halfway'] === null || $petal['halfway']['marks'] !== []);
        app(Motions::class)->all('flapping-bird', []);
        $petal = $this->getJson('/api/models/flapping-bird')->json('steps.'.($petal['number'] - 1));
        self::assertContains('tile-front', array_column($petal['halfway']['marks'], 'style'), 'true paper in space');
        self::assertNull($this->getJson('/api/models/flapping-bird')->json('steps.0.halfway'), 'a plain crease');
        self::assertGreaterThan(3, count($petal['raw']));
        foreach (['ways[base]=roll', 'ways[x]=squash', 'ways=squash'] as $bad) {
            $this->getJson("/api/models/flapping-bird?$bad")
                ->assertStatus(422)
                ->assertJsonPath('errors.0.pointer', '/ways');
        }
        $this->getJson('/api/models/no-such-model')->assertNotFound();
    }

    public function testALessonKeepsTheWayAndCountsItsSteps(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $this->actingAs($lead);
        $lesson = $this->postJson(
            '/api/lessons',
            $this->lessonInput($group, ['model' => 'crane', 'ways' => ['base' => 'squash']]),
        )
            ->assertCreated()
            ->json();
        self::assertSame(['squash', 21], [$lesson['models'][0]['ways']['base'], $lesson['card']['steps']]);
        self::assertCount(
            21,
            array_filter($lesson['plan']['lines'], static fn (array $l): bool => $l['kind'] === 'step'),
        );
        $this->postJson('/api/lessons', $this->lessonInput($group, ['model' => 'crane', 'ways' => ['base' => 'roll']]))
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/models/0/ways');
        $usual = $this->putJson(
            "/api/lessons/{$lesson['card']['id']}",
            $this->lessonInput($group, ['model' => 'crane', 'ways' => (object) []]),
        )
            ->assertOk()
            ->json();
        self::assertSame(17, $usual['card']['steps']);
        $this->send($lesson['card']['id'], ['kind' => 'moved', 'step' => 19])->assertStatus(422);
        $this->send($lesson['card']['id'], ['kind' => 'moved', 'step' => 18])->assertOk();
        $this->putJson(
            "/api/lessons/{$lesson['card']['id']}",
            $this->lessonInput($group, ['model' => 'crane', 'ways' => ['base' => 'squash']]),
        )->assertConflict()->assertJsonPath('errors.0.pointer', '/models');
    }

    public function testTimesForAGroup(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $this->actingAs($lead);
        $minutes = array_column(
            $this->getJson("/api/groups/{$group->id}/times")
                ->assertOk()
                ->json(),
            'minutes',
            'slug',
        );
        self::assertGreaterThan($minutes['dog-face'], $minutes['crane']);
        $lesson = $this->postJson('/api/lessons', $this->lessonInput($group, ['model' => 'crane']))
            ->assertCreated()
            ->json();
        self::assertSame(
            $lesson['plan']['needed_minutes'],
            $minutes['crane'],
            'the shelf promises what the plan needs',
        );
        $this->actingAs($this->lead('Elsewhere'))
            ->getJson("/api/groups/{$group->id}/times")
            ->assertNotFound();
    }

    public function testModelsAndStepsAreTakenAway(): void
    {
        $this->actingAs($this->lead());
        $whole = json_decode(
            (string) $this->get('/api/models/helmet/fold')
                ->assertOk()
                ->assertHeader('Content-Disposition', 'attachment; filename="helmet.fold"')
                ->getContent(),
            true,
        );
        self::assertCount(8, $whole['file_frames']);
        $step = json_decode((string) $this->get('/api/models/helmet/fold?step=3')->assertOk()->getContent(), true);
        self::assertSame([], FoldChecker::complaints($step['file_frames'][0]));
        $this->get('/api/models/helmet/fold?step=99')->assertNotFound();
        foreach (
            [
                '/api/models/helmet/creases.svg',
                '/api/models/helmet/steps/2.svg',
                '/api/models/helmet/steps/2.svg?show=after',
                '/api/models/crane/steps/10.svg?show=halfway',
                '/api/models/helmet/steps/9.svg',
            ] as $path
        ) {
            self::assertNotFalse(
                simplexml_load_string(
                    (string) $this->get($path)->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->getContent(),
                ),
            );
        }
        $this->get('/api/models/helmet/steps/2.svg?show=halfway')->assertNotFound();
    }

    public function testACreasePatternIsFoldedOrRefusedAtItsVertex(): void
    {
        $this->actingAs($this->lead());
        $document = (string) file_get_contents(dirname(__DIR__).'/fixtures/bird-base.fold');
        $answer = $this->postJson('/api/patterns', ['document' => $document])
            ->assertOk()
            ->json();
        self::assertSame([20, 8], [$answer['faces'], $answer['most_layers']]);
        self::assertSame([], FoldChecker::complaints(json_decode($answer['document'], true)['file_frames'][0]));
        $this->postJson('/api/patterns', ['document' => '{"edges_vertices": []}'])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/document');
        $this->postJson('/api/patterns', [])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.message', 'Choose a FOLD file first.');
        $this->postJson('/api/patterns', ['document' => ['x']])->assertStatus(422);
    }
}
