<?php

declare(strict_types=1);

namespace App\Pacing;

use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Forecast;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\PolicyTable;
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

    /**
     * The forecast of a plan with its levers, kept by everything that it is made of.
     *
     * @param  list<array{string, Plan}>  $others  name and plan of each other way of teaching it
     */
    public function forecast(Plan $plan, BaseTimes $times, PolicyTable $policies, array $others): Forecast
    {
        $key = 'forecast:'.self::VERSION.':'.hash('xxh128', serialize([$plan, $times, $policies, $others]));

        return $this->cache->remember(
            $key,
            self::KEPT,
            static fn (): Forecast => Forecast::of($plan, $times, $policies, $others),
        );
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
