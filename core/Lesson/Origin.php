<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** Where an event comes from. */
final readonly class Origin
{
    /** The years 1000 and 9999, milliseconds from 1970: a clock set further off is kept as standing there. */
    private const CALENDAR = [-30_610_224_000_000, 253_402_214_400_000];

    /** the device's clock, milliseconds since 1970, right or wrong: kept, but never used for order */
    public int $deviceMs;

    /**
     * @param  string  $device  of one tab of a device, made there, at most 40 signs
     * @param  int  $after  the newest number the device knew when the deed was done; 0 for none
     * @param  int|null  $who  the account; null for what was carried over from before there were logs
     */
    public function __construct(public string $device, int $deviceMs, public int $after, public ?int $who)
    {
        $this->deviceMs = max(self::CALENDAR[0], min(self::CALENDAR[1], $deviceMs));
    }
}
