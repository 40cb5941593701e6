<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
use Closure;

/**
 * All ways to cut squares of up to a few sizes from one sheet by straight cuts from edge to edge, in any number of
 * stages: the count vectors that no other way beats in every size, each with its cuts.
 *
 * Every such pattern can be pushed down and to the left, so cuts need be tried only where squares and kerfs add up, and
 * a rectangle is as good as the largest one of such measures inside it.
 */
final class GuillotinePatterns
{
    /** Rounding slack in mm: 297 / 3 = 99 must give three squares of 99. */
    private const SLACK = 1e-6;

    /** Products of part patterns made in the time of one step of the budget. */
    private const PRODUCTS_A_STEP = 2;

    /** Steps that keeping a new way takes, and sifting it once. */
    private const STEPS_A_WAY = 4;

    /** Steps that putting two parts together takes beside their products. */
    private const STEPS_A_PAIR = 10;

    /**
     * Bits of a vector for each size, the highest of them a guard that is 0: up to 16,383 squares of each of four
     * sizes.
     */
    private const BITS = 15;

    /** With more sizes the patterns are too many to list. */
    public const MOST_SIZES = 4;

    /**
     * @var array<string, array<int, array{string, float, int, int}|null>> by rectangle and packed vector of counts: the
     *     cut (direction, where, vectors of both parts); null: one square or nothing
     */
    private array $known = [];

    /** The guard bits. */
    private int $guards = 0;

    /** All caps, packed. */
    private int $most = 0;

    /** @var list<float> lengths that squares and kerfs add up to, ascending */
    private array $rasters;

    private int $told = 0;

    /**
     * @param  list<float>  $sides  mm, no two alike
     * @param  array<int, int>  $caps  squares wanted of each; more are not counted
     * @param  Closure(): void|null  $still
     */
    private function __construct(
        private readonly array $sides,
        private readonly array $caps,
        private readonly float $kerf,
        float $longest,
        private readonly Budget $budget,
        private readonly ?Closure $still,
    ) {
        $this->rasters = $this->sums($longest);
        foreach ($caps as $i => $cap) {
            $this->guards |= 1 << ($i * self::BITS + self::BITS - 1);
            $this->most |= $cap << ($i * self::BITS);
        }
    }

    /**
     * @param  list<float>  $sides
     * @param  array<int, int>  $caps
     * @param  Budget  $budget  a step for some ten products of part patterns; given up when it is spent
     * @param  Closure(): void|null  $still  called now and then while it works
     * @return list<array{counts: array<int, int>, squares: list<array{x: float, y: float, size: int}>}>|null null when
     *     it would take too long; squares from the sheet's own corner
     */
    public static function of(
        float $width,
        float $height,
        array $sides,
        array $caps,
        float $kerf,
        float $trim,
        Budget $budget,
        ?Closure $still = null,
    ): ?array {
        [$w, $h] = [$width - 2 * $trim, $height - 2 * $trim];
        $self = new self(sides: $sides, caps: $caps, kerf: $kerf, longest: max($w, $h), budget: $budget, still: $still);
        $vectors = $self->best($w, $h);
        if ($vectors === null) {
            return null;
        }
        $patterns = [];
        foreach (array_keys($vectors) as $key) {
            if ($key > 0) {
                $counts = $self->counts($key);
                $squares = [];
                $self->place(width: $w, height: $h, key: $key, x: $trim, y: $trim, squares: $squares);
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

    /** @return array<int, array{string, float, int, int}|null>|null */
    private function best(float $width, float $height): ?array
    {
        [$w, $h] = [$this->raster($width), $this->raster($height)];
        $name = self::name($w, $h);
        if (isset($this->known[$name])) {
            return $this->known[$name];
        }
        $found = [0 => null];
        if (min($w, $h) > 0) {
            foreach ($this->sides as $i => $side) {
                if ($side <= min($w, $h) + self::SLACK && $this->caps[$i] > 0) {
                    $found[1 << ($i * self::BITS)] = null;
                }
            }
            $sift = 400;
            foreach ([['|', $w], ['-', $h]] as [$way, $length]) {
                foreach ($this->rasters as $at) {
                    $rest = $length - $at - $this->kerf;
                    if (
                        $at <= 0 ||
                        $rest < $this->sides[count($this->sides) - 1] - self::SLACK ||
                        $at > $this->raster($rest) + self::SLACK
                    ) {
                        if ($at > 0) {
                            break; // the two parts may change places: only the shorter one first
                        }

                        continue;
                    }
                    $a = $way === '|' ? $this->best($at, $h) : $this->best($w, $at);
                    $b = $way === '|' ? $this->best($rest, $h) : $this->best($w, $rest);
                    if ($a === null || $b === null || ! $this->combine(
                        found: $found,
                        a: $a,
                        b: $b,
                        way: $way,
                        at: $at,
                        sift: $sift,
                    )) {
                        return null;
                    }
                }
            }
        }

        return $this->known[$name] = $this->unbeaten($found);
    }

    /**
     * @param  array<int, array{string, float, int, int}|null>  $found
     * @param  array<int, array{string, float, int, int}|null>  $a
     * @param  array<int, array{string, float, int, int}|null>  $b
     * @param  int  $sift  ways from which on those that are beaten are taken out
     */
    private function combine(array &$found, array $a, array $b, string $way, float $at, int &$sift): bool
    {
        if (! $this->budget->spend(self::STEPS_A_PAIR + intdiv(count($a) * count($b), self::PRODUCTS_A_STEP))) {
            return false;
        }
        if ($this->still !== null && ++$this->told % 64 === 0) {
            ($this->still)();
        }
        $before = count($found);
        $others = array_keys($b);
        $guards = $this->guards;
        $most = $this->most | $guards;
        foreach (array_keys($a) as $one) {
            foreach ($others as $other) {
                $sum = $one + $other;
                if ((($most - $sum) & $guards) !== $guards) {
                    // more than wanted of some size
                    $sum = $this->capped($sum);
                }
                if (! array_key_exists($sum, $found)) {
                    $found[$sum] = [$way, $at, $one, $other];
                }
            }
        }
        $this->budget->spend(self::STEPS_A_WAY * (count($found) - $before));
        if (count($found) > $sift) {
            $found = $this->unbeaten($found);
            $sift = 400 + 2 * count($found);
        }

        return true;
    }

    private function capped(int $vector): int
    {
        $capped = 0;
        foreach ($this->caps as $i => $cap) {
            $capped |= min($cap, ($vector >> ($i * self::BITS)) & ((1 << self::BITS) - 1)) << ($i * self::BITS);
        }

        return $capped;
    }

    /** @return array<int, int> */
    private function counts(int $vector): array
    {
        return array_map(
            static fn (int $i): int => ($vector >> ($i * self::BITS)) & ((1 << self::BITS) - 1),
            array_keys($this->sides),
        );
    }

    /**
     * Without the vectors that another one beats or equals in every size. One that beats another is the larger number.
     *
     * @param  array<int, array{string, float, int, int}|null>  $found
     * @return array<int, array{string, float, int, int}|null>
     */
    private function unbeaten(array $found): array
    {
        $this->budget->spend(self::STEPS_A_WAY * count($found));
        krsort($found);

        return count($this->sides) <= 3 ? self::unbeatenOfThree($found) : $this->unbeatenOfMany($found);
    }

    /**
     * A vector is beaten when one before it (which has no fewer of the third size) has no fewer of the first and
     * second: of all
     * before it, the most of the first size is kept for every number of the second.
     *
     * @param  array<int, array{string, float, int, int}|null>  $found  largest first
     * @return array<int, array{string, float, int, int}|null>
     */
    private static function unbeatenOfThree(array $found): array
    {
        $mask = (1 << self::BITS) - 1;
        $kept = [];
        $most = []; // of the first size, with at least so many of the second
        foreach ($found as $vector => $cut) {
            $first = $vector & $mask;
            $second = ($vector >> self::BITS) & $mask;
            if (($most[$second] ?? -1) >= $first) {
                continue;
            }
            $kept[$vector] = $cut;
            for ($n = $second; $n >= 0 && ($most[$n] ?? -1) < $first; $n--) {
                $most[$n] = $first;
            }
        }

        return $kept;
    }

    /**
     * @param  array<int, array{string, float, int, int}|null>  $found  largest first
     * @return array<int, array{string, float, int, int}|null>
     */
    private function unbeatenOfMany(array $found): array
    {
        $kept = [];
        $guards = $this->guards;
        $better = [];
        foreach ($found as $vector => $cut) {
            foreach ($better as $other) {
                if ((($other - $vector) & $guards) === $guards) {
                    continue 2;
                }
            }
            $kept[$vector] = $cut;
            $better[] = $vector | $guards;
        }

        return $kept;
    }

    /** @param  list<array{x: float, y: float, size: int}>  $squares */
    private function place(float $width, float $height, int $key, float $x, float $y, array &$squares): void
    {
        [$w, $h] = [$this->raster($width), $this->raster($height)];
        $cut = $this->known[self::name($w, $h)][$key];
        if ($cut === null) {
            foreach ($this->counts($key) as $i => $count) {
                if ($count === 1) {
                    $squares[] = ['x' => round($x, 3), 'y' => round($y, 3), 'size' => $i];
                }
            }

            return;
        }
        [$way, $at, $keyA, $keyB] = $cut;
        if ($way === '|') {
            $this->place(width: $at, height: $h, key: $keyA, x: $x, y: $y, squares: $squares);
            $this->place(
                width: $w - $at - $this->kerf,
                height: $h,
                key: $keyB,
                x: $x + $at + $this->kerf,
                y: $y,
                squares: $squares,
            );
        } else {
            $this->place(width: $w, height: $at, key: $keyA, x: $x, y: $y, squares: $squares);
            $this->place(
                width: $w,
                height: $h - $at - $this->kerf,
                key: $keyB,
                x: $x,
                y: $y + $at + $this->kerf,
                squares: $squares,
            );
        }
    }

    private static function name(float $w, float $h): string
    {
        return round($w * 1e6).'x'.round($h * 1e6);
    }
}
