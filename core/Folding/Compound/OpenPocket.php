<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * A pocket is opened to its end and pressed flat the other way: its two corners come together, both walls are creased
 * down their middle, and the folds from the corners to the end open flat. What was its front and back is then its two
 * sides.
 */
final readonly class OpenPocket
{
    /**
     * @param  Point  $corner  of the mouth, that comes to lie in front; mm in the folded plane
     * @param  Point  $other  that comes to lie behind it
     * @param  Point  $end  where the pocket is closed, between both
     *
     * @throws CannotFold when the paper there is no such pocket, or would tear or pass through paper
     */
    public static function apply(
        FoldedState $state,
        Point $corner,
        Point $other,
        Point $end,
        string $origin,
    ): FoldedState {
        [$middle, $ridge] = [Line::bringing($corner, $other), Line::through($corner, $end)];
        if ($middle === null || $ridge === null || abs($middle->distanceTo($end)) > $state->tolerance->sight) {
            throw CannotFold::because(
                'The end of the pocket must lie in the middle between its two corners, and away from them.',
                $end,
            );
        }
        $sketch = new Sketch($state, $origin);
        [$near, $far] = $sketch->split($sketch->faces(), $middle);
        $isNear = array_fill_keys($near, true);
        $walls = PocketWalls::of($state, $corner, $other, $end);
        $isFront = array_map(
            static fn (int $face): bool => $walls[$sketch->parentOf($face)],
            array_combine($sketch->faces(), $sketch->faces()),
        );
        $swing = self::swing($corner, $middle, $end);
        $mirror = Isometry::reflection($middle);
        $lap = Isometry::reflection($ridge);
        foreach ($sketch->faces() as $face) {
            $own = isset($isNear[$face]) ? Isometry::identity() : $mirror;
            $sketch->move([$face], ($isFront[$face] ? $own : $own->then($lap))->then($swing));
        }
        $turned = static fn (int $f): bool => isset($isNear[$f]) !== $isFront[$f];
        $pin = static fn (int $i, int $j): ?bool => match (true) {
            isset($isNear[$i]) !== isset($isNear[$j]) => isset($isNear[$i]),
            $isFront[$i] !== $isFront[$j], $sketch->above($i, $j) === null => null,
            default => $sketch->above($i, $j) !== $turned($i),
        };

        return $sketch->finish($pin, static fn (): ?bool => null);
    }

    /** The corner swings about the end of the pocket onto the middle line, so that the mouth stays on its side. */
    public static function swing(Point $corner, Line $middle, Point $end): Isometry
    {
        $from = $corner->minus($end);
        $foot = $middle->nearest($corner)->minus($end);

        return Isometry::rotation(atan2($from->cross($foot), $from->dot($foot)), $end);
    }
}
