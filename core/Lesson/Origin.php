<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** Where an event comes from. */
final readonly class Origin
{
    /**
     * @param  string  $device  made by the device once, at most 40 signs
     * @param  int  $deviceMs  the device's clock, milliseconds since 1970; kept, but never used for order
     * @param  int  $after  the newest number the device knew when the deed was done; 0 for none
     * @param  int|null  $who  the account; null for what was carried over from before there were logs
     */
    public function __construct(public string $device, public int $deviceMs, public int $after, public ?int $who)
    {
    }
}
