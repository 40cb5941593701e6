<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\Unfolding;
use Cathedra\Core\Folding\Reading\Flaps;
use Cathedra\Core\Folding\Reading\Outline;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Folding\SimpleFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Folds;

/** Whatever folds chance chooses, the paper stays paper or the fold is refused by name. */
final class RandomFoldsTest extends TestCase
{
    private const RUNS = 60;

    private const FOLDS = 5;

    public function testRandomFoldsKeepEveryInvariant(): void
    {
        $folded = 0;
        for ($seed = 1; $seed <= self::RUNS; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $state = FoldedState::flat($this->sheet($chance), $seed % 2 === 0 ? Side::Front : Side::Back);
            for ($i = 0; $i < self::FOLDS; $i++) {
                try {
                    $state = $this->randomFold($state, $chance, (string) $i);
                    $folded++;
                } catch (CannotFold $e) {
                    self::assertNotSame('', $e->getMessage());
                }
                Folds::assertPaper($state, "seed $seed fold $i");
            }
        }
        self::assertGreaterThan(self::RUNS * 2, $folded, 'most random folds are possible');
    }

    public function testFoldThenUnfoldRestores(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $chance = new Randomizer(new Mt19937(1000 + $seed));
            $state = FoldedState::flat(Sheet::square(100), Side::Front);
            for ($i = 0; $i < 3; $i++) {
                try {
                    $next = $this->randomFold($state, $chance, (string) $i);
                } catch (CannotFold) {
                    continue;
                }
                if (
                    count($next->order->pairs()) === 0 ||
                    $next->overlaps->common === [] ||
                    $this->onlyCreased($state, $next)
                ) {
                    $state = $next;

                    continue;
                }
                $again = Unfolding::of($next, $state, $next);
                $this->assertSameLying($state, $again, "seed $seed fold $i");
                Folds::assertPaper($again);
                $state = $next;
            }
        }
    }

    public function testTurningOverTwiceAndAroundRestores(): void
    {
        $state = Folds::library('helmet')->steps[5]->after;
        $this->assertSameLying($state, $state->turnedOver()->turnedOver(), 'twice about the upright axis');
        $this->assertSameLying(
            $state,
            $state
                ->rotated(0.3)
                ->rotated(-0.3)
                ->rotated(M_PI)
                ->rotated(M_PI),
            'round and back',
        );
        Folds::assertPaper($state->turnedOver(false)->rotated(1.0));
    }

    public function testAMirroredFoldGivesTheMirroredState(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $state = FoldedState::flat(Sheet::square(100), Side::Front);
            $line = $this->line($state, $chance);
            $mirrored = Line::along(
                new Point(100 - $line->foot()->x, $line->foot()->y),
                new Point(-$line->direction()->x, $line->direction()->y),
            );
            $mirrored =
                $mirrored->distanceTo(new Point(100 - $line->normal->x * 1000, $line->normal->y * 1000)) > 0
                    ? $mirrored
                    : $mirrored->reversed();
            $mirrored =
                $line->distanceTo(new Point(30, 60)) > 0 === $mirrored->distanceTo(new Point(70, 60)) > 0
                    ? $mirrored
                    : $mirrored->reversed();
            $a = $this->foldAll($state, $line);
            $b = $this->foldAll($state, $mirrored);
            if ($a === null || $b === null) {
                continue;
            }
            self::assertEqualsWithDelta($a->box()->left, 100 - $b->box()->right, 1e-9);
            self::assertEqualsWithDelta($a->box()->top, $b->box()->top, 1e-9);
        }
    }

    private function onlyCreased(FoldedState $before, FoldedState $after): bool
    {
        return abs(Outline::of($before)->area() - Outline::of($after)->area()) < 1e-6;
    }

    private function foldAll(FoldedState $state, Line $line): ?FoldedState
    {
        $faces = Flaps::beyond($state, $line)->all();

        return $faces === [] ? null : SimpleFold::apply(
            state: $state,
            line: $line,
            valley: true,
            moving: $faces,
            origin: 'x',
        );
    }

    private function sheet(Randomizer $chance): Sheet
    {
        return Sheet::of(100, $chance->getInt(60, 200));
    }

    private function line(FoldedState $state, Randomizer $chance): Line
    {
        $box = $state->box();
        $at = new Point(
            $box->left + ($box->width() * $chance->getInt(15, 85)) / 100,
            $box->bottom + ($box->height() * $chance->getInt(15, 85)) / 100,
        );
        $angle = $chance->getInt(0, 3) === 0 ? (M_PI / 4) * $chance->getInt(0, 7) : $chance->getInt(0, 628) / 100;

        return Line::along($at, new Point(cos($angle), sin($angle)));
    }

    private function randomFold(FoldedState $state, Randomizer $chance, string $origin): FoldedState
    {
        $line = $this->line($state, $chance);
        $flaps = Flaps::beyond($state, $line);
        $valley = $chance->getInt(0, 1) === 1;
        $faces =
            $flaps->count() > 1 && $chance->getInt(0, 1) === 1 ? $flaps->outermost(1, $valley, null) : $flaps->all();

        return $chance->getInt(0, 5) === 0
            ? SimpleFold::crease(state: $state, line: $line, valley: $valley, moving: $faces, origin: $origin)
            : SimpleFold::apply(state: $state, line: $line, valley: $valley, moving: $faces, origin: $origin);
    }

    /**
     * The folded points have the same distances from one another: the same shape, wherever the whole lies on the table.
     */
    private function assertSameLying(FoldedState $a, FoldedState $b, string $what): void
    {
        $folded = static function (FoldedState $s): array {
            $points = [];
            foreach ([0.03, 0.29, 0.52, 0.77, 0.96] as $u) {
                foreach ([0.05, 0.34, 0.61, 0.93] as $v) {
                    $points[] =
                        $s->positionOf($s->sheet->at($u, $v)) ?? throw new \LogicException('Nothing was cut away.');
                }
            }

            return $points;
        };
        [$pa, $pb] = [$folded($a), $folded($b)];
        foreach ($pa as $i => $p) {
            foreach ($pa as $j => $q) {
                self::assertEqualsWithDelta($p->distanceTo($q), $pb[$i]->distanceTo($pb[$j]), 1e-6, $what);
            }
        }
        self::assertSame(count($a->overlaps->common) > 0, count($b->overlaps->common) > 0, $what);
    }
}
