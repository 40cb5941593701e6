<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

use Cathedra\Core\Rules\BaseTimes;

/**
 * What taught lessons say of times: how long each lead shows first, so that a long demonstration is not taken for slow
 * hands; then the folds and the paces of the groups.
 */
final readonly class TaughtTimes
{
    /** @param  array<int, int>  $marks  that were learned from, by key of the lesson */
    private function __construct(public Showing $showing, public Learned $learned, public array $marks)
    {
    }

    /** @param  array<int, TaughtLesson>  $lessons */
    public static function of(array $lessons, BaseTimes $times): self
    {
        $showing = Showing::of(array_values(array_map(static fn (TaughtLesson $one): array => [
            'lead' => $one->shown->lead,
            'ln' => $one->shown->beside($one->steps),
        ], $lessons)), $times);
        $marks = array_map(static fn (TaughtLesson $one): array => $one->marks($showing, $times), $lessons);

        return new self(
            $showing,
            Learned::of(array_merge(...array_values($marks)), $times),
            array_map(count(...), $marks),
        );
    }
}
