<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * Tuck: a flap is folded over and pushed between the layers it meets. They are counted at its tip, where it slips in;
 * where it meets too few there, because the tip comes out again beyond them, they are counted where it meets the most.
 */
final readonly class Tuck
{
    /** Where between the tip and the middle of a face layers are counted, as shares; none of them at a rim. */
    private const BESIDE = [0.15, 0.45, 0.75, 1.0];

    /**
     * @param  Line  $line  in the folded plane, its positive side moves
     * @param  list<int>  $flap  faces of the flap beyond the line
     * @param  bool  $valley  over the front (else over the back)
     * @param  int  $under  how many of the outermost layers lie over it in the end, at least 1
     *
     * @throws CannotFold when there are not so many layers, or paper would tear or pass through paper
     */
    public static function apply(
        FoldedState $state,
        Line $line,
        array $flap,
        bool $valley,
        int $under,
        string $origin,
    ): FoldedState {
        $sketch = new Sketch($state, $origin);
        [$moved] = $sketch->split($flap, $line);
        if ($moved === []) {
            throw CannotFold::nothingBeyond();
        }
        $sketch->move($moved, Isometry::reflection($line));
        [$probe, $met] = self::entered($sketch, $moved, $line, $under);
        usort($met, static fn (int $i, int $j): int => $sketch->above($i, $j) === $valley ? -1 : 1);
        if (count($met) < $under) {
            throw CannotFold::notFound(
                sprintf('The flap is to go under %d layers, but it meets only %d.', $under, count($met)),
                $probe,
            );
        }
        $over = self::layers($sketch, array_slice($met, 0, $under), $moved);
        $below = array_diff_key(self::layers($sketch, array_slice($met, $under), $moved), $over);
        $pin = static function (int $i, int $j) use ($sketch, $over, $below, $valley): ?bool {
            $iMoved = $sketch->hasMoved($i);
            if ($iMoved && $sketch->hasMoved($j)) {
                $above = $sketch->above($i, $j);

                return $above === null ? null : ! $above;
            }
            $still = $iMoved ? $j : $i;

            return isset($over[$still]) || isset($below[$still])
                ? ($iMoved === isset($below[$still])) === $valley
                : null;
        };
        $wish = static function (int $i, int $j) use ($sketch, $over, $valley): bool {
            $iMoved = $sketch->hasMoved($i);
            $still = $iMoved ? $j : $i;
            foreach (array_keys($over) as $face) {
                if ($sketch->above($still, $face) === $valley) {
                    return $iMoved !== $valley;
                }
            }

            return $iMoved === $valley;
        };

        return $sketch->finish($pin, $wish);
    }

    /**
     * Whole layers: an open crease does not end the layer that a flap goes under.
     *
     * @param  list<int>  $faces
     * @param  list<int>  $moved
     * @return array<int, true> by face
     */
    private static function layers(Sketch $sketch, array $faces, array $moved): array
    {
        $all = array_merge(...array_map(static fn (int $face): array => $sketch->layer($face, []), $faces));

        return array_fill_keys(array_diff($all, $moved), true);
    }

    /**
     * Where the landing flap is counted: at its tip if it meets more than it is to go under, else where it meets most.
     *
     * @param  list<int>  $moved
     * @return array{Point, list<int>} the place, and the faces that stay there
     */
    private static function entered(Sketch $sketch, array $moved, Line $line, int $under): array
    {
        $tip = self::tip($sketch, $moved, $line);
        $best = [$line->reflected($tip), []];
        foreach (self::BESIDE as $share) {
            foreach ($moved as $face) {
                $place = $line->reflected($tip->toward($sketch->polygon($face)->centroid(), $share));
                $met = array_values(
                    array_filter(
                        $sketch->faces(),
                        static fn (int $f): bool => ! in_array($f, $moved, true) &&
                            $sketch->polygon($f)->contains($place),
                    ),
                );
                if (count($met) > count($best[1])) {
                    $best = [$place, $met];
                }
            }
            if (count($best[1]) > $under) {
                break;
            }
        }

        return $best;
    }

    /** @param  list<int>  $moved */
    private static function tip(Sketch $sketch, array $moved, Line $line): Point
    {
        $tip = null;
        foreach ($moved as $face) {
            foreach ($sketch->polygon($face)->points as $p) {
                if ($tip === null || $line->distanceTo($p) > $line->distanceTo($tip)) {
                    $tip = $p;
                }
            }
        }

        return $tip ?? throw new \LogicException('A face has corners.');
    }
}
