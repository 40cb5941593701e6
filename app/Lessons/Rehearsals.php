<?php

declare(strict_types=1);

namespace App\Lessons;

use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Forecast;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Rules\BaseTimes;
use Illuminate\Contracts\Cache\Repository;

/** Plans that were rehearsed, kept by all that the answer depends on; safe to delete at any time. */
final class Rehearsals
{
    /** Seconds; whatever is kept can be made again. */
    private const KEPT = 60 * 60 * 24 * 7;

    /** Goes up when the same setting would get another answer. */
    private const VERSION = 1;

    /** @var array<string, Answer> of this request */
    private array $answers = [];

    public function __construct(private readonly Repository $cache)
    {
    }

    public function of(Plan $plan, BaseTimes $times): Answer
    {
        $key = 'rehearsal:'.self::VERSION.':'.hash('xxh128', serialize($plan->setting($times)));

        return $this->answers[$key] ??= $this->cache->remember(
            $key,
            self::KEPT,
            static fn (): Answer => Forecast::rehearse($plan, $times),
        );
    }
}
