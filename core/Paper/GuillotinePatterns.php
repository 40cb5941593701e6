<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * All ways to cut squares of up to a few sizes from one sheet by straight cuts from edge to edge, in any number of
 * stages: the count vectors that no other way beats in every size, each with its cuts.
 *
 * Every such pattern can be pushed down and to the left, so cuts need be tried only where squares and kerfs add up, and a
 * rectangle is as good as the largest one of such measures inside it.
 */
final class GuillotinePatterns
{
    /** Rounding slack in mm: 297 / 3 = 99 must give three squares of 99. */
    private const SLACK = 1e-6;

    /** Products of part patterns tried before the sizes are too many and too small for an exact answer. */
    private const MAX_WORK = 1_500_000;

    /** @var array<string, array<string, array{array<int, int>, array{string, float, string, string}|null}>> by rectangle and vector: counts and the cut (direction, where, vectors of both parts) */
    private array $known = [];

    /** @var list<float> lengths that squares and kerfs add up to, ascending */
    private array $rasters;

    private int $work = 0;

    /**
     * @param  list<float>  $sides  mm, no two alike
     * @param  array<int, int>  $caps  squares wanted of each; more are not counted
     */
    private function __construct(private readonly array $sides, private readonly array $caps, private readonly float $kerf, float $longest)
    {
        $this->rasters = $this->sums($longest);
    }

    /**
     * @param  list<float>  $sides
     * @param  array<int, int>  $caps
     * @return list<array{counts: array<int, int>, squares: list<array{x: float, y: float, size: int}>}>|null null when it would take too long; squares from the sheet's own corner
     */
    public static function of(float $width, float $height, array $sides, array $caps, float $kerf, float $trim): ?array
    {
        [$w, $h] = [$width - 2 * $trim, $height - 2 * $trim];
        $self = new self($sides, $caps, $kerf, max($w, $h));
        $vectors = $self->best($w, $h);
        if ($vectors === null) {
            return null;
        }
        $patterns = [];
        foreach ($vectors as $key => [$counts]) {
            if (array_sum($counts) > 0) {
                $squares = [];
                $self->place($w, $h, $key, $trim, $trim, $squares);
                $patterns[] = ['counts' => $counts, 'squares' => $squares];
            }
        }

        return $patterns;
    }

    /** @return list<float> */
    private function sums(float $longest): array
    {
        $sums = [0 => 0.0];
        $queue = [0.0];
        while ($queue !== []) {
            $sum = array_pop($queue);
            foreach ($this->sides as $side) {
                $next = $sum === 0.0 ? $side : $sum + $this->kerf + $side;
                $name = (int) round($next * 1e6);
                if ($next <= $longest + self::SLACK && ! isset($sums[$name])) {
                    $sums[$name] = $next;
                    $queue[] = $next;
                }
            }
        }
        sort($sums);

        return $sums;
    }

    /** The largest sum of squares and kerfs that is not longer. */
    private function raster(float $length): float
    {
        $low = 0;
        $high = count($this->rasters) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($this->rasters[$middle] <= $length + self::SLACK) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $length < -self::SLACK ? 0.0 : $this->rasters[$low];
    }

    /** @return array<string, array{array<int, int>, array{string, float, string, string}|null}>|null */
    private function best(float $width, float $height): ?array
    {
        [$w, $h] = [$this->raster($width), $this->raster($height)];
        $name = self::name($w, $h);
        if (isset($this->known[$name])) {
            return $this->known[$name];
        }
        $none = array_fill(0, count($this->sides), 0);
        $found = [self::key($none) => [$none, null]];
        if (min($w, $h) > 0) {
            foreach ($this->sides as $i => $side) {
                if ($side <= min($w, $h) + self::SLACK && $this->caps[$i] > 0) {
                    $one = $none;
                    $one[$i] = 1;
                    $found[self::key($one)] = [$one, null];
                }
            }
            foreach ([['|', $w], ['-', $h]] as [$way, $length]) {
                foreach ($this->rasters as $at) {
                    $rest = $length - $at - $this->kerf;
                    if ($at <= 0 || $rest < $this->sides[count($this->sides) - 1] - self::SLACK || $at > $this->raster($rest) + self::SLACK) {
                        if ($at > 0) {
                            break; // the two parts may change places: only the shorter one first
                        }

                        continue;
                    }
                    $a = $way === '|' ? $this->best($at, $h) : $this->best($w, $at);
                    $b = $way === '|' ? $this->best($rest, $h) : $this->best($w, $rest);
                    if ($a === null || $b === null || ! $this->combine($found, $a, $b, $way, $at)) {
                        return null;
                    }
                }
            }
        }

        return $this->known[$name] = self::unbeaten($found);
    }

    /**
     * @param  array<string, array{array<int, int>, array{string, float, string, string}|null}>  $found
     * @param  array<string, array{array<int, int>, array{string, float, string, string}|null}>  $a
     * @param  array<string, array{array<int, int>, array{string, float, string, string}|null}>  $b
     */
    private function combine(array &$found, array $a, array $b, string $way, float $at): bool
    {
        $this->work += count($a) * count($b);
        if ($this->work > self::MAX_WORK) {
            return false;
        }
        foreach ($a as $keyA => [$countsA]) {
            foreach ($b as $keyB => [$countsB]) {
                $sum = [];
                foreach ($countsA as $i => $count) {
                    $sum[] = min($this->caps[$i], $count + $countsB[$i]);
                }
                $key = implode(',', $sum).',';
                $found[$key] ??= [$sum, [$way, $at, $keyA, $keyB]];
            }
        }
        if (count($found) > 400) {
            $found = self::unbeaten($found);
        }

        return true;
    }

    /**
     * @param  array<string, array{array<int, int>, array{string, float, string, string}|null}>  $found
     * @return array<string, array{array<int, int>, array{string, float, string, string}|null}>
     */
    private static function unbeaten(array $found): array
    {
        uasort($found, static fn (array $p, array $q): int => array_sum($q[0]) <=> array_sum($p[0]));
        $kept = [];
        foreach ($found as $key => $entry) {
            foreach ($kept as [$counts]) {
                foreach ($entry[0] as $i => $count) {
                    if ($count > $counts[$i]) {
                        continue 2;
                    }
                }

                continue 2;
            }
            $kept[$key] = $entry;
        }

        return $kept;
    }

    /** @param  list<array{x: float, y: float, size: int}>  $squares */
    private function place(float $width, float $height, string $key, float $x, float $y, array &$squares): void
    {
        [$w, $h] = [$this->raster($width), $this->raster($height)];
        [$counts, $cut] = $this->known[self::name($w, $h)][$key];
        if ($cut === null) {
            foreach ($counts as $i => $count) {
                if ($count === 1) {
                    $squares[] = ['x' => round($x, 3), 'y' => round($y, 3), 'size' => $i];
                }
            }

            return;
        }
        [$way, $at, $keyA, $keyB] = $cut;
        if ($way === '|') {
            $this->place($at, $h, $keyA, $x, $y, $squares);
            $this->place($w - $at - $this->kerf, $h, $keyB, $x + $at + $this->kerf, $y, $squares);
        } else {
            $this->place($w, $at, $keyA, $x, $y, $squares);
            $this->place($w, $h - $at - $this->kerf, $keyB, $x, $y + $at + $this->kerf, $squares);
        }
    }

    private static function name(float $w, float $h): string
    {
        return round($w * 1e6).'x'.round($h * 1e6);
    }

    /** @param  array<int, int>  $counts */
    private static function key(array $counts): string
    {
        return implode(',', $counts).',';
    }
}
