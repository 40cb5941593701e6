<?php

declare(strict_types=1);

namespace App\Pacing;

use Cathedra\Core\Pacing\Rehearsal\Plan;

/** One other paper for a lesson, and the lesson with it. */
final readonly class PaperLever
{
    /**
     * @param  'larger'|'paper'  $name
     * @param  int|null  $stock  the other paper
     * @param  string  $title  the other paper, or the size
     * @param  float|null  $mm  shorter side of the larger squares
     */
    public function __construct(
        public string $name,
        public Plan $plan,
        public ?int $stock = null,
        public string $title = '',
        public ?float $mm = null,
    ) {
    }

    /** @return array{stock: int|null, title: string, mm: float|null} */
    public function data(): array
    {
        return ['stock' => $this->stock, 'title' => $this->title, 'mm' => $this->mm];
    }
}
