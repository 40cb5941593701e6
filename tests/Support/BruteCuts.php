<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * An independent answer to small cutting problems, in whole units: every straight cut at every unit, in any number of
 * stages, then every mix of sheets. No shortcuts but remembering.
 */
final class BruteCuts
{
    /** @var array<string, array<string, array<int, int>>> */
    private array $cut = [];

    /** @var array<string, array{int, int}|null> */
    private array $mixed = [];

    /**
     * @param  list<int>  $sides
     * @param  list<array{int, int, int}>  $stock  width, height, count
     */
    private function __construct(
        private readonly array $sides,
        private readonly array $stock,
        private readonly int $kerf,
    ) {
    }

    /**
     * @param  list<int>  $sides
     * @param  array<int, int>  $need
     * @param  list<array{int, int, int}>  $stock
     * @return array{int, int}|null least area and, for it, fewest sheets; null when it cannot be done
     */
    public static function least(array $sides, array $need, array $stock, int $kerf): ?array
    {
        return (new self($sides, $stock, $kerf))->mix(0, array_column($stock, 2), $need);
    }

    /**
     * @param  array<int, int>  $left
     * @param  array<int, int>  $need
     * @return array{int, int}|null
     */
    private function mix(int $from, array $left, array $need): ?array
    {
        $need = array_map(static fn (int $n): int => max(0, $n), $need);
        if (array_sum($need) === 0) {
            return [0, 0];
        }
        $key = $from.'|'.implode(',', $left).'|'.implode(',', $need);
        if (array_key_exists($key, $this->mixed)) {
            return $this->mixed[$key];
        }
        $best = null;
        for ($s = $from; $s < count($this->stock); $s++) {
            if ($left[$s] === 0) {
                continue;
            }
            [$w, $h] = $this->stock[$s];
            $rest = $left;
            $rest[$s]--;
            foreach ($this->ways($w, $h) as $counts) {
                $found =
                    array_sum($counts) === 0
                        ? null
                        : $this->mix($s, $rest, array_map(static fn (int $n, int $c): int => $n - $c, $need, $counts));
                if ($found !== null) {
                    $with = [$found[0] + $w * $h, $found[1] + 1];
                    $best = $best === null || $with < $best ? $with : $best;
                }
            }
        }

        return $this->mixed[$key] = $best;
    }

    /** @return array<string, array<int, int>> */
    private function ways(int $w, int $h): array
    {
        $name = "{$w}x$h";
        if (isset($this->cut[$name])) {
            return $this->cut[$name];
        }
        $ways = [implode(',', array_fill(0, count($this->sides), 0)) => array_fill(0, count($this->sides), 0)];
        foreach ($this->sides as $i => $side) {
            if ($side <= min($w, $h)) {
                $one = array_fill(0, count($this->sides), 0);
                $one[$i] = 1;
                $ways[implode(',', $one)] = $one;
            }
        }
        for ($x = 1; $x < $w; $x++) {
            $this->join(
                $ways,
                $this->ways($x, $h),
                $w - $x > $this->kerf ? $this->ways($w - $x - $this->kerf, $h) : [],
            );
        }
        for ($y = 1; $y < $h; $y++) {
            $this->join(
                $ways,
                $this->ways($w, $y),
                $h - $y > $this->kerf ? $this->ways($w, $h - $y - $this->kerf) : [],
            );
        }

        return $this->cut[$name] = $ways;
    }

    /**
     * @param  array<string, array<int, int>>  $ways
     * @param  array<string, array<int, int>>  $a
     * @param  array<string, array<int, int>>  $b
     */
    private function join(array &$ways, array $a, array $b): void
    {
        foreach ($a as $p) {
            $ways[implode(',', $p)] ??= $p;
            foreach ($b as $q) {
                $sum = array_map(static fn (int $m, int $n): int => $m + $n, $p, $q);
                $ways[implode(',', $sum)] ??= $sum;
            }
        }
    }
}
