<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** The time a lesson has. */
final readonly class Slot
{
    public const MIN_MINUTES = 5;

    public const MAX_MINUTES = 480;

    /** @param  int  $startMs  milliseconds since 1970 */
    private function __construct(public int $startMs, public int $minutes)
    {
    }

    /** @throws BadEvent when it is too short or too long */
    public static function of(int $startMs, int $minutes): self
    {
        if ($minutes < self::MIN_MINUTES || $minutes > self::MAX_MINUTES) {
            throw BadEvent::at(
                'minutes',
                'A slot has '.self::MIN_MINUTES.' to '.self::MAX_MINUTES." minutes, not $minutes.",
            );
        }

        return new self($startMs, $minutes);
    }

    public function bellMs(): int
    {
        return $this->startMs + $this->minutes * 60_000;
    }
}
