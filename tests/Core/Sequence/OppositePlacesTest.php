<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Folding\Sameness;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Wording\StepText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Steps written for one way to lie, folded with the model half a turn round: the same paper, the other words. */
final class OppositePlacesTest extends TestCase
{
    private const TURN = "  - {fold: rotate, by: 180, places: opposite}\n";

    private const START = "  - {fold: rotate, by: 45}\n  - {fold: valley, bring: corner bottom, to: corner top}\n";

    /** Each word of direction, `also` both ways, marks, and a repetition behind. */
    private const STEPS = <<<'YAML'
      - {fold: valley, id: ear, bring: corner left, to: corner top, layers: all, marks: {tip: corner right}}
      - {fold: crease, bring: edge bottom-left, to: edge top-left, layers: all, name: guide}
      - {fold: turn-over}
      - {fold: valley, along: crease guide, move: mark tip, layers: all}

    YAML;

    public function testThePaperIsTheSame(): void
    {
        $plain = Folds::steps(self::START.self::STEPS);
        $turned = Folds::steps(self::START.self::TURN.self::STEPS.self::TURN);
        self::assertNull(Sameness::difference($plain->end(), $turned->end()));
        foreach ($plain->steps as $i => $step) {
            $twin = $turned->steps[$i + ($i > 1 ? 1 : 0)];
            self::assertNull(Sameness::difference($step->after, $twin->after), "step {$i}");
        }
    }

    public function testItIsSaidFromTheOtherEnd(): void
    {
        $said = static fn (string $steps, int $of): string => StepText::of(
            Folds::steps($steps)->steps[$of],
            Folds::words(),
        )->sentence;
        self::assertStringStartsWith('Bring the left corner to the far corner', $said(self::START.self::STEPS, 2));
        self::assertStringStartsWith(
            'Bring the right corner to the near corner',
            $said(self::START.self::TURN.self::STEPS, 3),
        );
    }

    /** Crane, flapping bird and dragonfly with the open end away from the folder end as the same paper. */
    #[DataProvider('birds')]
    public function testABirdWithItsOpenEndAway(string $slug): void
    {
        $near = Folds::library($slug);
        $away = Folds::library($slug, ['open' => 'away']);
        self::assertNull(Sameness::difference($near->end(), $away->end()));
        self::assertCount(count($near->steps) + 1, $away->steps, 'it is turned round once more');
        $loose = static fn (array $steps): string => implode(' ', array_map(
            static fn ($step): string => StepText::of($step, Folds::words())->sentence,
            $steps,
        ));
        self::assertStringContainsString('Lift the top layer at the near corner', $loose($near->steps));
        self::assertStringContainsString('Lift the top layer at the far corner', $loose($away->steps));
    }

    /** @return iterable<string, array{string}> */
    public static function birds(): iterable
    {
        foreach (['crane', 'flapping-bird', 'dragonfly'] as $slug) {
            yield $slug => [$slug];
        }
    }

    public function testAnotherWordIsRefused(): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessage('"places" must be one of: seen, opposite');
        Folds::steps("  - {fold: rotate, by: 180, places: kept}\n");
    }
}
