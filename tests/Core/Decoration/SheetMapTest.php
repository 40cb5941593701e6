<?php

declare(strict_types=1);

namespace Tests\Core\Decoration;

use Cathedra\Core\Decoration\SeenPart;
use Cathedra\Core\Decoration\SheetMap;
use Cathedra\Core\Decoration\View;
use Cathedra\Core\Folding\Reading\Outline;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Folds;

/** Where the flat sheet ends up. */
final class SheetMapTest extends TestCase
{
    /**
     * A square of 100 mm, front up, its left 30 mm folded over to the right: from the front 30 x 100 of the back are
     * seen on the left (folded over) and 40 x 100 of the front beside it; from behind the front of 70 x 100.
     */
    public function testAFoldedStripShowsItsOtherSide(): void
    {
        $state = Folds::steps("  - {fold: valley, strip: edge left, wide: 3/10}\n")->end();
        $map = SheetMap::of($state);
        self::assertEqualsWithDelta(3000.0, $map->area(View::Front, Side::Back), 1e-3);
        self::assertEqualsWithDelta(4000.0, $map->area(View::Front, Side::Front), 1e-3);
        self::assertEqualsWithDelta(7000.0, $map->area(View::Behind, Side::Back), 1e-3);
        self::assertEqualsWithDelta(0.0, $map->area(View::Behind, Side::Front), 1e-3);
        foreach ($map->parts as $part) {
            if ($part->view === View::Front && $part->side === Side::Back) {
                self::assertEqualsWithDelta(0.0, $part->onSheet->box()->left, 1e-6, 'it lies at the left of the sheet');
                self::assertEqualsWithDelta([0.0, 1.0], [$part->up->x, $part->up->y], 1e-9, 'and stands upright');
            }
        }
    }

    /** Folded in half from the top, what was the upper half stands on its head. */
    public function testWhatIsTurnedOverStandsOnItsHead(): void
    {
        $map = SheetMap::of(Folds::steps("  - {fold: valley, bring: edge top, to: edge bottom}\n")->end());
        $front = array_values(array_filter($map->parts, static fn (SeenPart $p): bool => $p->view === View::Front));
        self::assertSame([Side::Back], array_values(array_unique(array_column($front, 'side'), SORT_REGULAR)));
        self::assertEqualsWithDelta([0.0, -1.0], [$front[0]->up->x, $front[0]->up->y], 1e-9);
        self::assertGreaterThan(49.9, $front[0]->onSheet->box()->bottom, 'the upper half of the sheet');
    }

    /** Pieces that hang together have one line round them: of an unfolded sheet with creases its four edges. */
    public function testCreasesThatLieFlatDivideNothing(): void
    {
        $map = SheetMap::of(Folds::steps(
            "  - {fold: crease, bring: edge left, to: edge right}\n  - {fold: crease, bring: A, to: C}\n",
        )->end());
        $around = array_sum(array_map(
            static fn (array $line): float => $line['view'] === View::Front ? $line['at']->length() : 0.0,
            $map->outlines(),
        ));
        self::assertEqualsWithDelta(400.0, $around, 1e-3);
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach (Folds::slugs() as $slug) {
            yield $slug => [$slug];
        }
    }

    /**
     * A thousand places of finished models in all: what the layers say is on top there is what the map says, place of
     * the sheet and side; and the areas of the map are the area of what is seen.
     */
    #[DataProvider('models')]
    public function testTheMapIsWhatIsSeen(string $slug): void
    {
        $end = Folds::library($slug)->end();
        $map = SheetMap::of($end);
        $chance = new Randomizer(new Mt19937(strlen($slug)));
        foreach (View::cases() as $view) {
            $state = $view === View::Front ? $end : $end->turnedOver();
            $parts = array_values(array_filter($map->parts, static fn (SeenPart $p): bool => $p->view === $view));
            $box = $state->box();
            for ($i = 0; $i < 12; $i++) {
                // a share no crease lies at
                $share = static fn (): float => ($chance->getInt(1, 998) + 0.3717) / 1000;
                $p = new Point($box->left + $share() * $box->width(), $box->bottom + $share() * $box->height());
                $top = Stacks::facesAt($state, $p)[0] ?? null;
                $here = array_filter($parts, static fn (SeenPart $s): bool => $s->onModel->contains($p, -1e-6));
                self::assertSame($top === null, $here === [], "$slug: paper is seen there, or none");
                if ($top === null) {
                    continue;
                }
                $onSheet = $state->placements[$top]->inverse()->of($p);
                $side = $state->frontUp[$top] ? Side::Front : Side::Back;
                // on the line between two pieces either may be meant
                $right = array_filter($here, static fn (SeenPart $s): bool => $s->side === $side &&
                    $s->onSheet->contains($onSheet, -1e-4));
                self::assertNotSame([], $right, "$slug: side and place on the sheet");
            }
            $seen = $map->area($view, Side::Front) + $map->area($view, Side::Back);
            self::assertEqualsWithDelta(Outline::of($state)->area(), $seen, 1e-3 * $state->sheet->area(), $slug);
        }
    }
}
