<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** How long the paper takes before the lesson, and when to begin. Seconds. */
final readonly class Preparation
{
    private function __construct(
        public int $cutting,
        public int $sorting,
        public int $folding,
        public int $people,
    ) {
    }

    /**
     * @param  int  $cuts  separate cutting goes: sheets, or stacks where a stack is cut at once
     * @param  float  $secondsPerCut  for one of them
     * @param  int  $kits  learners whose pieces are put together
     * @param  float  $secondsPerKit  for one of them
     * @param  int  $people  who work at it, at least 1
     * @param  float  $foldsPerKit  seconds to fold what one learner finds folded already
     */
    public static function of(
        int $cuts,
        float $secondsPerCut,
        int $kits,
        float $secondsPerKit,
        int $people,
        float $foldsPerKit = 0.0,
    ): self {
        $people = max(1, $people);

        return new self(
            (int) ceil(ceil($cuts / $people) * $secondsPerCut),
            (int) ceil(ceil($kits / $people) * $secondsPerKit),
            (int) ceil(ceil($kits / $people) * $foldsPerKit),
            $people,
        );
    }

    public function seconds(): int
    {
        return $this->cutting + $this->sorting + $this->folding;
    }

    /** Seconds since 1970 by which to begin, with five minutes in hand. */
    public function startBy(int $lesson): int
    {
        return $lesson - $this->seconds() - 300;
    }
}
