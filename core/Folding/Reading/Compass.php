<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Geometry\Tolerance;

/** Names the corners and sides of an outline by direction, and finds them by name. */
final readonly class Compass
{
    private float $tie;

    public function __construct(public Outline $outline, float $diagonal)
    {
        $this->tie = 1e-6 * $diagonal;
    }

    /** @throws CannotFold when two corners lie equally far that way */
    public function corner(Direction $direction): Point
    {
        $found = $this->furthest($direction);
        if (count($found) > 1) {
            throw CannotFold::notFound(
                "Two corners lie equally far to the {$direction->value}: ".
                    self::numbered(array_map(fn (int $i): Point => $this->outline->corners[$i], $found)).
                    '. Name one of them by another direction, or turn the paper first.',
                $this->outline->corners[$found[0]],
            );
        }

        return $this->outline->corners[$found[0]];
    }

    /**
     * @throws CannotFold when two sides face that way equally, or none does
     */
    public function side(Direction $direction): Segment
    {
        $found = $this->facing($direction);
        if (count($found) !== 1) {
            throw CannotFold::notFound(
                $found === []
                    ? "No edge faces the {$direction->value}."
                    : "Two edges face the {$direction->value} equally: ".
                        self::numbered(array_map(
                            fn (int $i): Point => $this->outline->sides()[$i]->middle(),
                            $found,
                        )).
                        ' (their middles). Name one of them by its ends: line POINT to POINT.',
            );
        }

        return $this->outline->sides()[$found[0]];
    }

    public function nameOfCorner(int $corner): ?Direction
    {
        foreach (Direction::cases() as $direction) {
            if ($this->furthest($direction) === [$corner]) {
                return $direction;
            }
        }

        return null;
    }

    public function nameOfSide(int $side): ?Direction
    {
        foreach (Direction::cases() as $direction) {
            if ($this->facing($direction) === [$side]) {
                return $direction;
            }
        }

        return null;
    }

    /** @param  list<Point>  $places */
    private static function numbered(array $places): string
    {
        $texts = [];
        foreach ($places as $i => $p) {
            $texts[] = sprintf('%d at (%.1f, %.1f)', $i + 1, $p->x, $p->y);
        }

        return implode(', ', $texts);
    }

    /** @return list<int> */
    private function furthest(Direction $direction): array
    {
        $reach = array_map(static fn (Point $p): float => $p->dot($direction->vector()), $this->outline->corners);

        return array_keys(array_filter($reach, fn (float $r): bool => $r >= max([-INF, ...$reach]) - $this->tie));
    }

    /** @return list<int> sides facing that way best, and by less than 60 degrees off */
    private function facing(Direction $direction): array
    {
        $facing = [];
        foreach ($this->outline->sides() as $i => $side) {
            $facing[$i] = -$side->direction()->turnedLeft()->dot($direction->vector());
        }
        $best = max([-INF, ...$facing]);

        $isBest = static fn (float $f): bool => $f >= $best - Tolerance::ANGLE;

        return $best < 0.5 ? [] : array_keys(array_filter($facing, $isBest));
    }
}
