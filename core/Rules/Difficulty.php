<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** The weights of the difficulty formula, from library/difficulty.yaml and folds.yaml, which state their sources. */
final readonly class Difficulty
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
    private function __construct(
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

    /**
     * @param  array<string, mixed>  $data  the file as it is read
     *
     * @throws BadRules naming the rule
     */
    public static function fromArray(array $data, FoldTable $folds): self
    {
        $file = new RuleFile('library/difficulty.yaml', $data);
        $levels = array_values($file->numbers('levels', [0, 1, 2, 3], 0, 20));
        for ($i = 1; $i < 4; $i++) {
            if ($levels[$i] <= $levels[$i - 1]) {
                throw new BadRules('library/difficulty.yaml: levels rise from one to the next.');
            }
        }

        return new self(
            kinds: $folds->weights,
            creases: $file->number('creases', 0, 5),
            layers: $file->number('layers', 0, 5),
            smallness: $file->number('smallness', 0, 5),
            smallMm: $file->number('small_mm', 1, 150),
            hidden: $file->number('hidden', 0, 5),
            byEye: $file->number('by_eye', 0, 5),
            levels: $levels,
            hardFrom: (int) $file->number('hard_from', 1, 5),
            buildsOn: $folds->buildsOn,
            source: $file->sentence('source'),
        );
    }

    /** @return int 1 to 5 */
    public function level(float $score): int
    {
        return 1 + count(array_filter($this->levels, static fn (float $limit): bool => $score > $limit));
    }
}
