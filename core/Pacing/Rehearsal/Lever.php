<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

/** Something a lead can change, and what it would do to the lesson. */
final readonly class Lever
{
    /**
     * @param  string  $name  a key of words: helper, squares, prepared, forgiving, decorate, twice, cards, wait,
     *     together, guides, split, larger; or, of another lesson: way, easier, paper
     * @param  float  $minutes  sooner, the time by which nine of ten such rooms are done
     * @param  float  $share  more of the learners done by the bell, 0 to 1
     * @param  Outlook  $then  how the lesson would go
     * @param  int|null  $steps  how many steps are folded before, for a prepared start
     * @param  int|null  $other  which of the other plans it is
     */
    public function __construct(
        public string $name,
        public float $minutes,
        public float $share,
        public Outlook $then,
        public ?int $steps = null,
        public ?int $other = null,
    ) {
    }
}
