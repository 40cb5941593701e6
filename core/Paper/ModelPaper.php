<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** What one model of a lesson asks of the paper. */
final readonly class ModelPaper
{
    /**
     * @param  float  $ratio  of the model's sheet, height over width; 1 for a square, else the sheets stay uncut
     * @param  list<array{title: string, scale: float}>  $parts  further pieces; scale: side over that of the main one
     * @param  float|null  $side  mm, of the main square; null: the largest one the first stock gives
     * @param  int  $learners  who get one each
     * @param  int  $spares  beyond that
     * @param  int  $practice  for the lead, to fold before
     */
    public function __construct(
        public string $title,
        public float $ratio,
        public array $parts,
        public ?float $side,
        public int $learners,
        public int $spares,
        public int $practice,
    ) {
    }

    public function uncut(): bool
    {
        return abs($this->ratio - 1) > 1e-6;
    }

    /** Sets of pieces in all. */
    public function sets(): int
    {
        return $this->learners + $this->spares + $this->practice;
    }
}
