<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Rules\Bounds;

/** One model of a lesson as the room feels it. */
final readonly class ModelLoad
{
    /** mm; the square that models are shown from, where nobody has said which is used. */
    public const SIDE = 150.0;

    /**
     * @param  list<StepLoad>  $steps
     * @param  list<int>  $diagonals  steps that crease the flat square from corner to corner, as making a square does
     * @param  int  $times  how often it is folded; the second time goes quicker
     * @param  float  $side  mm, the shorter side of its sheet
     * @param  array<int, int>  $own  seconds to fold a step (from 1) that the lead says this group takes
     * @param  bool  $hardPaper  whether its paper folds it hardly
     */
    public function __construct(
        public array $steps,
        public array $diagonals = [],
        public int $times = 1,
        public float $side = self::SIDE,
        public array $own = [],
        public bool $hardPaper = false,
    ) {
        foreach ($own as $step => $seconds) {
            if (! isset($steps[$step - 1]) || ! Bounds::holds(Bounds::STEP_SECONDS, $seconds)) {
                throw new BadPlan(sprintf(
                    'A step takes %s seconds, and must be one of the %d of its model; step %d was to take %d.',
                    Bounds::said(Bounds::STEP_SECONDS),
                    count($steps),
                    $step,
                    $seconds,
                ));
            }
        }
    }

    /** Only its first steps; the rest is folded another day. */
    public function upTo(int $step): self
    {
        return $this->with([
            'steps' => array_slice($this->steps, 0, $step),
            'own' => array_filter($this->own, static fn (int $of): bool => $of <= $step, ARRAY_FILTER_USE_KEY),
            'diagonals' => array_values(array_filter($this->diagonals, static fn (int $of): bool => $of <= $step)),
        ]);
    }

    /** @param  array<string, mixed>  $change  of its properties */
    public function with(array $change): self
    {
        return new self(...$change + get_object_vars($this));
    }
}
