<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern\FaceGraph;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * The two walls of a pocket that opens between two corners: which layers hang together when only the folds from the
 * corners to its end may open. What hangs on neither (a corner folded round the side) goes with the wall it lies on.
 */
final readonly class PocketWalls
{
    /** How far inside the mouth the layers are counted, as a share of the way to the end of the pocket. */
    private const INWARD = 0.02;

    /**
     * @return array<int, bool> whether a face belongs to the wall nearer the folder
     *
     * @throws CannotFold when no pocket opens there
     */
    public static function of(FoldedState $state, Point $corner, Point $other, Point $end): array
    {
        $ridges = array_filter([Line::through($corner, $end), Line::through($other, $end)]);
        $near = $state->tolerance->sight;
        $holds = static fn (Edge $edge): bool => array_filter(
            $ridges,
            static fn (Line $ridge): bool => $state->segment($edge)->liesOn($ridge, $near),
        ) === [];
        $parts = FaceGraph::of($state->pattern, $holds)->parts();
        $partOf = [];
        foreach ($parts as $part => $faces) {
            $partOf += array_fill_keys($faces, $part);
        }
        $stack = Stacks::facesAt($state, self::probe($corner, $other, $end));
        $front = self::frontParts(array_map(static fn (int $face): int => $partOf[$face], $stack)) ??
            throw CannotFold::because('No pocket opens between these two corners.', $corner->toward($other, 0.5));
        $isFront = array_map(static fn (int $part): ?bool => $front[$part] ?? null, $partOf);
        foreach ($isFront as $face => $known) {
            $isFront[$face] = $known ?? self::liesInFront($state, $face, $isFront);
        }

        return $isFront;
    }

    /** Beside the middle of the mouth, so that no crease down the middle runs through it. */
    private static function probe(Point $corner, Point $other, Point $end): Point
    {
        return $corner->toward($other, 0.5 - self::INWARD)->toward($end, self::INWARD);
    }

    /**
     * Where the stack can be parted so that no part lies on both sides; of several places the one nearest the middle.
     *
     * @param  list<int>  $stack  parts from the top down
     * @return array<int, bool>|null whether a part lies above; null when it cannot be parted
     */
    private static function frontParts(array $stack): ?array
    {
        $cuts = array_filter(
            range(1, max(1, count($stack) - 1)),
            static fn (int $k): bool => $k < count($stack) &&
                array_intersect(array_slice($stack, 0, $k), array_slice($stack, $k)) === [],
        );
        $off = static fn (int $k): float => abs($k - count($stack) / 2);
        usort($cuts, static fn (int $a, int $b): int => $off($a) <=> $off($b));

        return $cuts === []
            ? null
            : array_fill_keys(array_slice($stack, 0, $cuts[0]), true) +
                array_fill_keys(array_slice($stack, $cuts[0]), false);
    }

    /** @param  array<int, bool|null>  $isFront */
    private static function liesInFront(FoldedState $state, int $face, array $isFront): bool
    {
        foreach ($isFront as $wall => $front) {
            if ($front === false && $state->order->above($wall, $face) === true) {
                return false;
            }
        }

        return true;
    }
}
