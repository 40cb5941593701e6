<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** How a learner and a model ended in a lesson. */
enum Finish: string
{
    case Alone = 'alone';
    case WithHelp = 'help';
    case Stopped = 'stopped';
    case Away = 'away';

    /** The one answer to "has this learner finished the model?". */
    public function isFinished(): bool
    {
        return $this === self::Alone || $this === self::WithHelp;
    }

    /** Better ends hide worse ones on the wall chart. */
    public function rank(): int
    {
        return match ($this) {
            self::Alone => 3, self::WithHelp => 2, self::Stopped => 1, self::Away => 0,
        };
    }
}
