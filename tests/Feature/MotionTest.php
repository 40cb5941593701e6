<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Process\Process;

/** How steps move, as a screen asks for it and as the command prints it. */
final class MotionTest extends TestCase
{
    /** The house's first step: the near half lies still, the far edge goes over by half a turn. */
    public function testAStepIsSentPacked(): void
    {
        $this->actingAs($this->lead());
        $motion = $this->getJson('/api/models/house/steps/1/motion')->assertOk()->json();
        self::assertSame([1, 150], [$motion['step'], $motion['side']]);
        self::assertCount(1, $motion['pieces']);
        $piece = $motion['pieces'][0];
        $numbers = array_values((array) unpack('v*', (string) base64_decode($piece['at'], true)));
        self::assertCount(3 * $piece['vertices'] * $piece['moments'], $numbers);
        self::assertLessThanOrEqual(24, $piece['moments']);
        self::assertSame(0, count($piece['corners']) % 3);
        self::assertCount(count($piece['corners']) / 3, $piece['ranks']);
        $highest = 0;
        foreach ($numbers as $i => $number) {
            $highest = $i % 3 === 2 ? max($highest, $number > 0x7FFF ? 0 : $number) : $highest;
        }
        self::assertEqualsWithDelta(750, $highest, 8, 'half the sheet stands upright on the way: 75.0 mm');
    }

    /** A box: four movements one after the other, seen from above and aside as its picture is, and 53 mm at the end. */
    public function testAFinishedFormIsSentWithItsView(): void
    {
        $this->actingAs($this->lead());
        $motion = $this->getJson('/api/models/square-box/steps/6/motion')->assertOk()->json();
        self::assertSame(['roll' => 25, 'turn' => 0, 'tilt' => 52, 'stands' => true], $motion['view']);
        self::assertCount(4, $motion['pieces']);
        $last = $motion['pieces'][3];
        $numbers = array_map(
            static fn (int $n): int => $n > 0x7FFF ? $n - 0x10000 : $n,
            array_values((array) unpack('v*', (string) base64_decode($last['at'], true))),
        );
        $x = array_values(array_filter(
            array_slice($numbers, -3 * $last['vertices']),
            static fn (int $i): bool => $i % 3 === 0,
            ARRAY_FILTER_USE_KEY,
        ));
        self::assertEqualsWithDelta(530, max([0, ...$x]) - min([9999, ...$x]), 1, '53.0 mm wide');
        self::assertFalse($this->getJson('/api/models/house/steps/1/motion')->json('view.stands'));
        $brief = $this->getJson('/api/models/square-box')->assertOk();
        self::assertNull($brief->json('summary.opened'), 'the picture shows it open');
    }

    public function testAStillHasNoPieces(): void
    {
        $this->actingAs($this->lead());
        self::assertSame([], $this->getJson('/api/models/cat/steps/9/motion')->assertOk()->json('pieces'));
    }

    public function testWhatIsNotThereIsSaid(): void
    {
        $this->actingAs($this->lead());
        $this->getJson('/api/models/house/steps/99/motion')->assertNotFound();
        $this->getJson('/api/models/unknown/steps/1/motion')->assertNotFound();
        $this->getJson('/api/models/house/steps/1/motion?ways[base]=squash')
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/ways');
    }

    /** Every step of the crane fits a slow line, and from the cache it is there at once. */
    public function testAStepIsSmall(): void
    {
        $this->actingAs($this->lead());
        foreach ([1, 10, 14, 17] as $step) {
            $body = (string) $this->getJson("/api/models/crane/steps/$step/motion")->assertOk()->getContent();
            self::assertLessThan(60_000, strlen((string) gzencode($body)), "step $step");
        }
    }

    public function testTheCommandPrintsEveryMoment(): void
    {
        Artisan::call('cathedra:motion', ['file' => 'house', '--step' => '1']);
        $document = json_decode(Artisan::output(), true);
        self::assertSame(1.2, $document['file_spec']);
        $first = $document['file_frames'][0];
        self::assertSame(['foldedForm'], $first['frame_classes']);
        self::assertSame(['3D'], $first['frame_attributes']);
        self::assertSame(['number' => 1, 'fold' => 'valley'], $first['cathedra:step']);
        self::assertEquals(1, end($document['file_frames'])['cathedra:t']);
    }

    public function testTheCommandSaysWhatIsWrong(): void
    {
        foreach ([
            [['house', '--step=99'], 'There is no step 99; the model has 4.'],
            [['house', '--step=two'], 'The step (--step) must be a number.'],
            [['nothing'], 'There is no model "nothing" on the shelf'],
            [['house', '--side=wide'], 'The side must be a number of millimetres.'],
        ] as [$arguments, $says]) {
            $process = new Process([PHP_BINARY, 'artisan', 'cathedra:motion', ...$arguments], base_path());
            self::assertSame(1, $process->run());
            self::assertStringContainsString($says, $process->getErrorOutput());
            self::assertSame('', $process->getOutput());
        }
    }
}
