<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

/** The times the plan starts from, in seconds; data with their source (library/base-times.yaml). */
final readonly class BaseTimes
{
    /**
     * @param  array<string, array{fold: float|int, show: float|int}>  $folds  by kind of fold: an adult beginner's
     *     median, and the demonstration
     * @param  array<string, array{label: string, factor: float|int}>  $ages  by age band
     * @param  array<int, float|int>  $stuckRate  share who need help at a step, by difficulty 1 to 5
     * @param  array<string, float|int>  $blocks  arrive, hand_out, checkpoint, clear
     */
    public function __construct(
        public array $folds,
        public array $ages,
        public float $layersFactor,
        public float $spread,
        public float $alsoFactor,
        public float $helpSeconds,
        public array $stuckRate,
        public array $blocks,
        public string $source,
    ) {
    }
}
