<?php

declare(strict_types=1);

namespace Cathedra\Core\Insight;

/** The weights of the difficulty formula and what folds build on; data with a source, see library/difficulty.yaml. */
final readonly class Scale
{
    /**
     * @param  array<string, float>  $kinds  by kind of fold
     * @param  float  $creases  for each crease bent at once beyond the first
     * @param  float  $layers  for each layer under the crease beyond two
     * @param  float  $smallness  for each halving of the shortest crease below $smallMm
     * @param  float  $smallMm  on a square of 150 mm
     * @param  float  $hidden  for each landmark out of sight
     * @param  float  $byEye  for each landmark that nothing marks
     * @param  list<float>  $levels  upper limits of levels 1 to 4
     * @param  int  $hardFrom  level from which a step is a hard moment
     * @param  array<string, list<string>>  $buildsOn  kinds by kind
     */
    public function __construct(
        public array $kinds,
        public float $creases,
        public float $layers,
        public float $smallness,
        public float $smallMm,
        public float $hidden,
        public float $byEye,
        public array $levels,
        public int $hardFrom,
        public array $buildsOn,
        public string $source,
    ) {
    }

    /** @return int 1 to 5 */
    public function level(float $score): int
    {
        return 1 + count(array_filter($this->levels, static fn (float $limit): bool => $score > $limit));
    }
}
