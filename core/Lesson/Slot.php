<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

use Cathedra\Core\Rules\Bounds;

/** The time a lesson has. */
final readonly class Slot
{
    /** @param  int  $startMs  milliseconds since 1970 */
    private function __construct(public int $startMs, public int $minutes)
    {
    }

    /** @throws BadEvent when it is too short or too long */
    public static function of(int $startMs, int $minutes): self
    {
        if (! Bounds::holds(Bounds::MINUTES, $minutes)) {
            ['least' => $least, 'most' => $most] = Bounds::range(Bounds::MINUTES);
            throw BadEvent::at('minutes', "A slot has $least to $most minutes, not $minutes.");
        }

        return new self($startMs, $minutes);
    }

    public function bellMs(): int
    {
        return $this->startMs + $this->minutes * 60_000;
    }
}
