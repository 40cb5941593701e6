<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Settle;

use Cathedra\Core\Space\Mesh\Mesh;
use Cathedra\Core\Space\Transition;

/**
 * The motion of a fold of several creases at once, found by letting paper settle while its creases are drawn on.
 * docs/space.md has the equations, the weights and where they come from.
 *
 * Three ways of holding it, tried in this order: `all` that is still lies on the table; one still cell alone (`base`);
 * and, where some crease turns from mountain to valley, nothing but the ridge between the two `halves` of the flap,
 * which then opens alike to both sides. A flap that hangs on two others opens only when their layers are left to
 * themselves (`loose`).
 */
final class Relaxed
{
    /** Weights of the energy, as measured on the library; hinges by length unless they change. */
    private const STILL = 0.05;

    private const FLIPS = 4.0;

    private const ANCHOR = 0.02;

    private const RIDGE = 30.0;

    /**
     * Stiffness of bars and of one-sided rows, and how far a ridge opens on the way as a share of half a turn; the
     * first that does is taken. Measured on the library: most open by a quarter turn; a sandwiched tail wants less, a
     * beak between wings more.
     */
    private const SETTINGS = [[1e4, 3e4, 0.5], [1e4, 3e4, 0.8], [1e4, 3e4, 0.15], [3e4, 1e5, 0.5], [1e4, 1e5, 0.5]];

    /** The same once more, with layers that stay left to themselves: slower, and the only way for some. */
    private const LOOSE = [[1e4, 3e4, 0.5], [1e4, 1e5, 0.5]];

    /**
     * @param  array<int, array<int, array{float, float, float}>>  $frames  by moment, by vertex, mm; without the slide
     */
    private function __construct(
        public readonly array $frames,
        public readonly bool $lands,
        public readonly int $unknowns,
        public readonly int $solves,
        public readonly string $mode,
    ) {
    }

    /** @return iterable<self> the ways it can be tried, the likeliest first; each is worked out when it is asked for */
    public static function ways(Transition $transition): iterable
    {
        if (Ridges::areIn($transition->mesh)) {
            foreach (self::SETTINGS as $setting) {
                yield self::of($transition, 'halves', ...$setting);
            }
            foreach (self::LOOSE as $setting) {
                yield self::of($transition, 'loose', ...$setting);
            }

            return;
        }
        foreach (['all', 'base'] as $mode) {
            yield self::of($transition, $mode, ...self::SETTINGS[0]);
        }
    }

    private static function of(Transition $transition, string $mode, float $stiff, float $oneSided, float $opens): self
    {
        $mesh = $transition->mesh;
        $stacks = $mode === 'all' ? null : new TiedStacks($transition, $mode === 'loose');
        $isOpened = $mode === 'halves' || $mode === 'loose';
        $nodeOf = $stacks->nodeOf ?? range(0, $mesh->vertexCount() - 1);
        $nodes = $stacks->nodes ?? $mesh->vertexCount();
        $fixed = array_fill(0, $nodes, false);
        foreach ($isOpened ? [] : self::pinned($transition, $mode === 'all') as $vertex) {
            $fixed[$nodeOf[$vertex]] = true;
        }
        [$bars, $hinges, $starts, $ends, $ridges] = self::parts($mesh, $nodeOf, $fixed, $isOpened);
        $paper = new BarsAndHinges(
            x: self::numbers($transition->start, $nodeOf, $nodes),
            fixed: $fixed,
            bars: $bars,
            hinges: $hinges,
            angles: $starts,
            side: $mesh->side,
            kb: $stiff,
            ties: $stacks->ties ?? [],
            kt: 1e4,
            rows: $isOpened && $stacks !== null ? [...$stacks->rows, ...$stacks->sides()] : [],
            ko: $oneSided,
        );
        $course = new Continuation(
            paper: $paper,
            targets: static function (float $t) use ($starts, $ends, $ridges, $opens): array {
                $targets = [];
                foreach ($starts as $h => $start) {
                    $targets[] = isset($ridges[$h])
                        ? $start * (1 - $opens * sin(M_PI * $t))
                        : $start + ($ends[$h] - $start) * $t;
                }

                return $targets;
            },
            end: self::numbers($transition->end, $nodeOf, $nodes),
            side: $mesh->side,
            anchors: $mode === 'all' ? [] : self::anchors($transition, $nodeOf, $fixed),
            holds: $isOpened ? self::ridge($transition, $nodeOf) : [],
        );
        $lands = $course->run();

        return new self(
            frames: array_map(static fn (array $x): array => self::points($x, $nodeOf), $course->frames),
            lands: $lands,
            unknowns: $paper->unknowns(),
            solves: $paper->solves,
            mode: $mode,
        );
    }

    /** @return array<int, int> vertices that keep their place */
    private static function pinned(Transition $transition, bool $all): array
    {
        $cells = $transition->mesh->cells;
        $still = array_filter(array_keys($cells), $transition->isStill(...));
        if (! $all) {
            $bent = [];
            foreach ($transition->mesh->hinges as $hinge) {
                if ($hinge['start'] !== $hinge['end']) {
                    $bent[$hinge['a']] = $bent[$hinge['b']] = true;
                }
            }
            $polygons = $transition->laid(false);
            usort($still, static fn (int $i, int $j): int => [
                count(array_intersect_key(array_flip($cells[$i]), $bent)),
                -$polygons[$i]->area(),
            ] <=> [
                count(array_intersect_key(array_flip($cells[$j]), $bent)),
                -$polygons[$j]->area(),
            ]);
            $still = array_slice($still, 0, 1);
        }

        return array_merge(...array_map(static fn (int $cell): array => $cells[$cell], array_values($still)));
    }

    /**
     * @param  array<int, int>  $nodeOf
     * @param  array<int, bool>  $fixed
     * @return array<int, array{float, float, float, float}> weak pulls on what stays, against drifting
     */
    private static function anchors(Transition $transition, array $nodeOf, array $fixed): array
    {
        $anchors = [];
        foreach ($transition->mesh->cells as $cell => $loop) {
            foreach ($transition->isStill($cell) ? $loop : [] as $vertex) {
                if (! $fixed[$nodeOf[$vertex]]) {
                    $anchors[$nodeOf[$vertex]] = [self::ANCHOR, ...$transition->start[$vertex]];
                }
            }
        }

        return $anchors;
    }

    /**
     * The still corners of the ridge that turns inside out, and of the creases that go on from it in a line.
     *
     * @param  array<int, int>  $nodeOf
     * @return array<int, array{float, float, float, float}>
     */
    private static function ridge(Transition $transition, array $nodeOf): array
    {
        $still = [];
        foreach ($transition->mesh->cells as $cell => $loop) {
            $still += $transition->isStill($cell) ? array_fill_keys($loop, true) : [];
        }
        $ridges = new Ridges($transition->mesh);
        $pulls = [];
        foreach ($transition->mesh->hinges as $hinge) {
            if (Ridges::turns($hinge) || $ridges->goOnIn($hinge)) {
                foreach ([$hinge['a'], $hinge['b']] as $vertex) {
                    if (isset($still[$vertex])) {
                        $pulls[$nodeOf[$vertex]] = [self::RIDGE, ...$transition->start[$vertex]];
                    }
                }
            }
        }

        return $pulls;
    }

    /**
     * @param  array<int, int>  $nodeOf  by vertex
     * @param  array<int, bool>  $fixed  by node
     * @return array{array<int, array{int, int, float}>, array<int, array{int, int, int, int, float}>,
     *     array<int, float>, array<int, float>, array<int, true>} bars, hinges, angles before and after, ridges
     *     that open on the way
     */
    private static function parts(Mesh $mesh, array $nodeOf, array $fixed, bool $opens): array
    {
        $creases = [];
        foreach ($mesh->hinges as $hinge) {
            $creases["{$hinge['a']}-{$hinge['b']}"] = $creases["{$hinge['b']}-{$hinge['a']}"] = $hinge;
        }
        $edges = $mesh->edges();
        $lengths = [];
        foreach ($edges as $i => ['a' => $a, 'b' => $b]) {
            [$p, $q] = [$mesh->sheet[$a], $mesh->sheet[$b]];
            $lengths[$i] = hypot($p[0] - $q[0], $p[1] - $q[1]);
        }
        $sorted = array_values(array_filter(
            $lengths,
            static fn (int $i): bool => $edges[$i]['right'] !== null,
            ARRAY_FILTER_USE_KEY,
        ));
        sort($sorted);
        $median = $sorted[intdiv(count($sorted), 2)] ?? 1.0;
        $opening = $opens ? new Ridges($mesh) : null;
        [$bars, $hinges, $starts, $ends, $ridges] = [[], [], [], [], []];
        foreach ($edges as $i => ['a' => $a, 'b' => $b, 'left' => $left, 'right' => $right]) {
            [$na, $nb, $nl, $nr] = [
                $nodeOf[$a], $nodeOf[$b], $nodeOf[$left], $right === null ? null : $nodeOf[$right],
            ];
            if (! $fixed[$na] || ! $fixed[$nb]) {
                $bars[min($na, $nb).'-'.max($na, $nb)] = [$na, $nb, $lengths[$i]];
            }
            if ($nr === null || $nl === $nr || ($fixed[$na] && $fixed[$nb] && $fixed[$nl] && $fixed[$nr])) {
                continue;
            }
            $crease = $creases["$a-$b"] ?? null;
            [$start, $end] = [$crease['start'] ?? 0.0, $crease['end'] ?? 0.0];
            $ridge = $crease !== null && $opening?->goOnIn($crease) === true;
            $ridges += $ridge ? [count($hinges) => true] : [];
            $hinges[] = [$na, $nb, $nl, $nr, match (true) {
                $crease === null => $lengths[$i] / $median,
                $ridge => 1.0,
                $start === $end => self::STILL * $lengths[$i] / $median,
                $start * $end < 0 => self::FLIPS,
                default => 1.0,
            }];
            $starts[] = $start;
            $ends[] = $end;
        }

        return [array_values($bars), $hinges, $starts, $ends, $ridges];
    }

    /**
     * @param  array<int, array{float, float, float}>  $points  by vertex
     * @param  array<int, int>  $nodeOf
     * @return array<int, float> three numbers a node
     */
    private static function numbers(array $points, array $nodeOf, int $nodes): array
    {
        $x = array_fill(0, 3 * $nodes, 0.0);
        foreach ($points as $vertex => $p) {
            [$x[3 * $nodeOf[$vertex]], $x[3 * $nodeOf[$vertex] + 1], $x[3 * $nodeOf[$vertex] + 2]] = $p;
        }

        return $x;
    }

    /**
     * @param  array<int, float>  $x
     * @param  array<int, int>  $nodeOf
     * @return array<int, array{float, float, float}> by vertex
     */
    private static function points(array $x, array $nodeOf): array
    {
        return array_map(static fn (int $n): array => [$x[3 * $n], $x[3 * $n + 1], $x[3 * $n + 2]], $nodeOf);
    }
}
