<?php

declare(strict_types=1);

namespace Tests\Support;

use LogicException;

/** What a piece of work costs, by the processor and not by the clock: a busy machine changes nothing of it. */
final class Effort
{
    /**
     * @param  callable(): mixed  $work
     * @return float seconds of this process's own processor time
     */
    public static function of(callable $work): float
    {
        $began = self::spent();
        $work();

        return self::spent() - $began;
    }

    /** Seconds of processor time since this process began. */
    public static function spent(): float
    {
        $used = getrusage() ?: throw new LogicException('The processor time is not known.');

        return $used['ru_utime.tv_sec'] + $used['ru_stime.tv_sec']
            + ($used['ru_utime.tv_usec'] + $used['ru_stime.tv_usec']) / 1e6;
    }
}
