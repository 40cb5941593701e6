<?php

declare(strict_types=1);

namespace Cathedra\Core\Space;

/**
 * The motion of a fold of several creases at once, found by letting paper settle while its creases are drawn on. The
 * still paper lies on the table. docs/space.md has the equations, the weights and where they come from.
 */
final readonly class Relaxed
{
    /** Weights of the energy, as measured on the library: bars, facets by length, still creases by length. */
    private const BARS = 1e4;

    private const STILL = 0.05;

    private const FLIPS = 4.0;

    /**
     * @param  list<list<array{float, float, float}>>  $frames  by moment, by vertex, mm; without the slide
     */
    private function __construct(public array $frames, public bool $lands, public int $unknowns, public int $solves)
    {
    }

    public static function of(Passage $passage): self
    {
        $mesh = $passage->mesh;
        $fixed = array_fill(0, $mesh->vertexCount(), false);
        foreach ($mesh->cells as $cell => $loop) {
            foreach ($passage->isStill($cell) ? $loop : [] as $vertex) {
                $fixed[$vertex] = true;
            }
        }
        [$bars, $hinges, $starts, $ends] = self::parts($mesh, $fixed);
        $paper = new BarsAndHinges(
            self::flat($passage->start),
            $fixed,
            $bars,
            $hinges,
            $starts,
            $mesh->side,
            self::BARS,
        );
        $course = new Continuation(
            $paper,
            static function (float $t) use ($starts, $ends): array {
                $targets = [];
                foreach ($starts as $h => $start) {
                    $targets[] = $start + ($ends[$h] - $start) * $t;
                }

                return $targets;
            },
            self::flat($passage->end),
            $mesh->side,
        );
        $lands = $course->run();

        return new self(
            array_map(self::points(...), $course->frames),
            $lands,
            $paper->unknowns(),
            $paper->solves,
        );
    }

    /**
     * @param  list<bool>  $fixed  by vertex
     * @return array{list<array{int, int, float}>, list<array{int, int, int, int, float}>, list<float>, list<float>}
     *     bars, hinges, angles before and after
     */
    private static function parts(Mesh $mesh, array $fixed): array
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
        $inner = array_filter($edges, static fn (array $e): bool => $e['right'] !== null);
        $sorted = array_values(array_intersect_key($lengths, $inner));
        sort($sorted);
        $median = $sorted[intdiv(count($sorted), 2)] ?? 1.0;
        [$bars, $hinges, $starts, $ends] = [[], [], [], []];
        foreach ($edges as $i => ['a' => $a, 'b' => $b, 'left' => $left, 'right' => $right]) {
            if (! $fixed[$a] || ! $fixed[$b]) {
                $bars[] = [$a, $b, $lengths[$i]];
            }
            if ($right === null || ($fixed[$a] && $fixed[$b] && $fixed[$left] && $fixed[$right])) {
                continue;
            }
            $crease = $creases["$a-$b"] ?? null;
            [$start, $end] = [$crease['start'] ?? 0.0, $crease['end'] ?? 0.0];
            $hinges[] = [$a, $b, $left, $right, match (true) {
                $crease === null => $lengths[$i] / $median,
                $start === $end => self::STILL * $lengths[$i] / $median,
                $start * $end < 0 => self::FLIPS,
                default => 1.0,
            }];
            $starts[] = $start;
            $ends[] = $end;
        }

        return [$bars, $hinges, $starts, $ends];
    }

    /**
     * @param  list<array{float, float, float}>  $points
     * @return list<float>
     */
    private static function flat(array $points): array
    {
        return array_merge(...$points);
    }

    /**
     * @param  list<float>  $numbers
     * @return list<array{float, float, float}>
     */
    private static function points(array $numbers): array
    {
        $points = [];
        for ($i = 0; $i < count($numbers); $i += 3) {
            $points[] = [$numbers[$i], $numbers[$i + 1], $numbers[$i + 2]];
        }

        return $points;
    }
}
