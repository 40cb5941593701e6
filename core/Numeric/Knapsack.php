<?php

declare(strict_types=1);

namespace Cathedra\Core\Numeric;

/**
 * How often to take each item offered, so that what fits into a room of whole steps is worth most. Items may be offered
 * one after the other.
 */
final class Knapsack
{
    /** @var array<int, float> by room */
    private array $worth;

    /**
     * @var list<array{name: int, times: int, size: int, taken: string}> taken: by room, whether this part is in the
     *     best filling of it
     */
    private array $parts = [];

    /** @param  int  $room  steps, not negative */
    public function __construct(private readonly int $room, private readonly ?Budget $budget = null)
    {
        $this->worth = array_fill(0, $room + 1, 0.0);
    }

    /**
     * @param  int  $size  steps, at least 1
     * @param  float  $value  of one
     * @param  int  $most  of it that are of any use
     */
    public function offer(int $name, int $size, float $value, int $most): void
    {
        $left = min($most, intdiv($this->room, max(1, $size)));
        for ($times = 1; $left > 0; $times *= 2) {
            // one, two, four ... at once: every number up to the most adds up
            $times = min($times, $left);
            $left -= $times;
            $this->budget?->spend(1 + intdiv($this->room, 2)); // two places in the time of a step
            $taken = str_repeat('0', $this->room + 1);
            for ($r = $this->room, $at = $r - $times * $size; $at >= 0; $r--, $at--) {
                $with = $this->worth[$at] + $times * $value;
                if ($with > $this->worth[$r] + 1e-9) {
                    $this->worth[$r] = $with;
                    $taken[$r] = '1';
                }
            }
            $this->parts[] = ['name' => $name, 'times' => $times, 'size' => $times * $size, 'taken' => $taken];
        }
    }

    /** @return array<int, int> how often, by name; none of 0 */
    public function best(): array
    {
        $counts = [];
        $r = $this->room;
        for ($p = count($this->parts) - 1; $p >= 0; $p--) {
            ['name' => $name, 'times' => $times, 'size' => $size, 'taken' => $taken] = $this->parts[$p];
            if ($taken[$r] === '1') {
                $counts[$name] = ($counts[$name] ?? 0) + $times;
                $r -= $size;
            }
        }

        return $counts;
    }
}
