<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** What can happen in a lesson. */
enum EventKind: string
{
    case Started = 'started';
    case Moved = 'moved';
    case Done = 'done';
    case Help = 'help';
    case Helped = 'helped';
    case Away = 'away';
    case Came = 'came';
    case Left = 'left';
    case TakenBack = 'taken-back';
    case Paused = 'paused';
    case Resumed = 'resumed';
    case FinishedEarly = 'finished-early';
    case Ended = 'ended';
    case Reopened = 'reopened';
    case Corrected = 'corrected';
    case Noted = 'noted';
    case WayChanged = 'way-changed';

    /** Everybody here has this step. */
    case AllDone = 'all-done';

    /** Those who sit at one table, and are here, have this step. */
    case TableDone = 'table-done';

    /** Has this step not yet; the others go on. */
    case NotYet = 'not-yet';

    /** With the others again. */
    case Along = 'along';

    /** The demonstration of a step is over. */
    case Shown = 'shown';

    /** The lesson was begun by mistake: it had not. */
    case Unbegun = 'unbegun';

    /** Speaks of one learner. */
    public function hasLearner(): bool
    {
        return match ($this) {
            self::AllDone, self::TableDone => false,
            self::Corrected => true,
            default => $this->isMark(),
        };
    }

    /** Says how far learners are or whether they are there; late when it comes after the end. */
    public function isMark(): bool
    {
        return match ($this) {
            self::Done, self::Help, self::Helped, self::Away, self::Came, self::Left, self::FinishedEarly => true,
            self::AllDone, self::TableDone, self::NotYet, self::Along => true,
            default => false,
        };
    }

    /** Carries a step of the lesson, numbered through all its models. */
    public function hasStep(): bool
    {
        return match ($this) {
            self::Moved, self::Done, self::Help, self::Helped, self::FinishedEarly => true,
            self::AllDone, self::TableDone, self::NotYet, self::Shown => true,
            default => false,
        };
    }

    /** What goes with a beginning that was none; who is there stays said. */
    public function isOfABeginning(): bool
    {
        return match ($this) {
            self::Started, self::Moved, self::Paused, self::Resumed, self::Shown, self::Ended, self::Reopened => true,
            default => false,
        };
    }

    /** Ends, starts and undoing itself stay, and a way is changed back by another change. */
    public function mayBeTakenBack(): bool
    {
        return $this->isMark() || $this === self::Corrected || $this === self::Noted;
    }
}
