<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Numeric\Normal;

/**
 * The chance of a rehearsal, drawn once and shared by all that is compared with it: for every run a number for each
 * learner's pace, and one for each learner at each step. Of 28 bits the lower 12 say how long, the upper 16 whether
 * stuck. Run r draws the same whatever the gate, the helpers, the paces or the spreads; every machine draws the same.
 */
final readonly class Chance
{
    /** Equal shares of the normal distribution that a number is taken from. */
    public const LEVELS = 4096;

    /** Shares of the chance to get stuck. */
    public const STUCK = 65536;

    /**
     * @param  list<list<int>>  $pace  by run, by learner: 12 bits
     * @param  list<list<int>>  $draws  by run, by step and learner: 28 bits
     */
    private function __construct(public array $pace, public array $draws)
    {
    }

    public static function of(int $learners, int $steps, int $runs, int $seed): self
    {
        [$pace, $draws] = [[], []];
        for ($r = 0; $r < $runs; $r++) {
            // every run has a stream of its own, so that more runs leave the first as they are
            $x = self::mixed($seed, $r);
            $of = [];
            for ($i = 0; $i < $learners; $i++) {
                $x ^= ($x << 13) & 0xFFFFFFFF;
                $x ^= $x >> 17;
                $x ^= ($x << 5) & 0xFFFFFFFF;
                $of[] = $x >> 20;
            }
            $pace[] = $of;
            $of = [];
            for ($i = $learners * $steps; $i > 0; $i--) {
                $x ^= ($x << 13) & 0xFFFFFFFF; // Marsaglia's xorshift of 32 bits
                $x ^= $x >> 17;
                $x ^= ($x << 5) & 0xFFFFFFFF;
                $of[] = $x >> 4;
            }
            $draws[] = $of;
        }

        return new self($pace, $draws);
    }

    public function runs(): int
    {
        return count($this->draws);
    }

    /**
     * exp(sigma z) with z at the middles of equal shares of the normal, rescaled to unit variance.
     *
     * @return list<float>
     */
    public static function factors(float $sigma): array
    {
        if ($sigma === 0.0) {
            return array_fill(0, self::LEVELS, 1.0);
        }
        /** @var list<float>|null $z */
        static $z = null;
        if ($z === null) {
            $z = [];
            for ($i = 0; $i < self::LEVELS; $i++) {
                $z[] = Normal::quantile(($i + 0.5) / self::LEVELS);
            }
            $scale = sqrt(array_sum(array_map(static fn (float $v): float => $v * $v, $z)) / self::LEVELS);
            $z = array_map(static fn (float $v): float => $v / $scale, $z);
        }

        return array_map(static fn (float $v): float => exp($sigma * $v), $z);
    }

    /** A beginning of a stream: 32 bits that are never all 0. */
    private static function mixed(int $seed, int $run): int
    {
        return ((int) hexdec(substr(hash('xxh32', "$seed/$run"), 0, 8))) | 1;
    }
}
