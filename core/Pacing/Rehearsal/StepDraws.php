<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

/** The steps of a room as a run draws from them; each list is by step, counted from 0. Seconds. */
final readonly class StepDraws
{
    /**
     * @param  list<float>  $demo
     * @param  list<float>  $fold  median, for this room
     * @param  list<int>  $stuck  chance to get stuck, of `Chance::STUCK`
     * @param  list<int>  $missed  the same for who missed the demonstration
     * @param  list<float>  $help  a service when stuck
     * @param  list<int>  $need  learners who must have it before the next is shown
     * @param  array<int, float>  $within  factor of a learner's time, by draw
     */
    private function __construct(
        public array $demo,
        public array $fold,
        public array $stuck,
        public array $missed,
        public array $help,
        public array $need,
        public array $within,
        public int $last,
    ) {
    }

    public static function of(RehearsedRoom $room): self
    {
        [$demo, $fold, $stuck, $missed, $help, $need] = [[], [], [], [], [], []];
        foreach ($room->steps as $k => $step) {
            $demo[] = $step->demo;
            $fold[] = $step->fold * $room->factor;
            $stuck[] = (int) round($step->stuck * Chance::STUCK);
            $missed[] = (int) round(min(1.0, $step->stuck * $room->miss) * Chance::STUCK);
            $help[] = $step->help * ($room->helpers === 0 ? RehearsedRoom::ALONE : 1.0);
            $need[] = $room->needed($k);
        }

        return new self(
            demo: $demo,
            fold: $fold,
            stuck: $stuck,
            missed: $missed,
            help: $help,
            need: $need,
            within: Chance::factors($room->within),
            last: count($demo) - 1,
        );
    }

    /** @param  list<int>  $need  learners who must have a step before the next is shown, by step */
    public function needing(array $need): self
    {
        return new self(...['need' => $need] + get_object_vars($this));
    }
}
