<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Turn;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Transition;

/**
 * In which order the parts of a simple fold must turn: what lies on another one leaves first, what comes to lie on
 * another one lands last; the rest turns together.
 *
 * @phpstan-import-type Part from HalfTurn
 */
final readonly class Rounds
{
    /**
     * @param  array<int, Part>  $parts
     * @return array<int, int>|null  by part; null when two parts would have to wait for one another
     */
    public static function of(Transition $transition, array $parts): ?array
    {
        $first = [];
        $layers = count($parts) < 2 ? [[], []] : [$transition->layers(false), $transition->layers(true)];
        foreach ($parts as $i => $one) {
            foreach ($parts as $j => $other) {
                if ($i !== $j && self::mustWait($transition, $layers, $one, $other)) {
                    $first[$i][] = $j;
                }
            }
        }
        $round = array_fill(0, count($parts), 0);
        for ($k = 0; $k <= count($parts); $k++) {
            $changed = false;
            foreach ($first as $i => $others) {
                $least = 1 + max(array_map(static fn (int $j): int => $round[$j], $others));
                $changed = $changed || $round[$i] < $least;
                $round[$i] = max($round[$i], $least);
            }
            if (! $changed) {
                return $round;
            }
        }

        return null;
    }

    /**
     * Whether $one can turn only after $other has.
     *
     * @param  array{array<int, array<int, bool>>, array<int, array<int, bool>>}  $layers  before and after
     * @param  Part  $one
     * @param  Part  $other
     */
    private static function mustWait(Transition $transition, array $layers, array $one, array $other): bool
    {
        $up = self::liftsUp($transition, $one);
        if ($up !== self::liftsUp($transition, $other)) {
            return false; // on either side of the table
        }
        foreach ($one['cells'] as $c) {
            foreach ($other['cells'] as $g) {
                if (($layers[0][$g][$c] ?? null) === $up || ($layers[1][$c][$g] ?? null) === $up) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Whether a part turns on the folder's side of the table.
     *
     * @param  Part  $part
     */
    public static function liftsUp(Transition $transition, array $part): bool
    {
        foreach ($part['cells'] as $cell) {
            foreach ($transition->mesh->cells[$cell] as $vertex) {
                [$x, $y] = $transition->start[$vertex];
                $out = $part['axis']->distanceTo(new Point($x, $y));
                if (abs($out) > $transition->before->tolerance->aside) {
                    return $out > 0;
                }
            }
        }

        return true;
    }
}
