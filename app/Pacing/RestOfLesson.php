<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Programme\Loaded;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use App\Teaching\LessonLog;
use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\Drift;
use Cathedra\Core\Lesson\Slot;
use Cathedra\Core\Lesson\Standing;
use Cathedra\Core\Pacing\Live\LiveForecast;
use Cathedra\Core\Pacing\Live\SoFar;
use Illuminate\Contracts\Cache\Repository;

/** How the rest of a lesson under way is likely to go, from its log. */
final readonly class RestOfLesson
{
    /** Seconds for which an answer stands while nothing new is said: bands are minutes wide. */
    private const STANDS = 20;

    /** Less likely to be done in time than not. */
    private const LIKELY = 0.5;

    public function __construct(
        private LessonPlan $plan,
        private LearnedTimes $learned,
        private ModelShelf $shelf,
        private LessonLog $log,
        private Repository $cache,
    ) {
    }

    public function of(Lesson $lesson): RestData
    {
        $now = CarbonImmutable::now()->getTimestampMs();
        $state = $lesson->newest.':'.intdiv($now, 1000 * self::STANDS);
        /** @var array{state: string, rest: RestData}|null $kept one entry a lesson, written over */
        $kept = $this->cache->get("rest:{$lesson->id}");
        if ($kept === null || $kept['state'] !== $state) {
            $kept = ['state' => $state, 'rest' => $this->now($lesson, $now)];
            $this->cache->put("rest:{$lesson->id}", $kept, self::STANDS);
        }

        return $kept['rest'];
    }

    private function now(Lesson $lesson, int $now): RestData
    {
        Loaded::one($lesson);
        $nothing = new RestData(
            newest: $lesson->newest,
            early_ms: null,
            middle_ms: null,
            late_ms: null,
            by_ms: $lesson->bell()->getTimestampMs(),
            everybody: 1.0,
            unlikely: [],
            until: null,
        );
        if ($lesson->started_at === null || $lesson->ended_at !== null) {
            return $nothing;
        }
        $programme = LoadedProgramme::of($lesson, $this->shelf);
        $times = $this->learned->times($lesson->organisation_id);
        $log = $this->log->log($lesson);
        // the stage says "behind" by the same clock
        $since = Drift::of(
            Standing::of($log, $programme->core()),
            $this->plan->of($lesson, $programme)->lines,
            $now,
            Slot::of($lesson->starts_at->getTimestampMs(), $lesson->minutes),
        )->elapsed;
        $forecast = LiveForecast::of(
            $this->plan->rehearsable($lesson, $programme),
            $times,
            SoFar::of($log, $programme->core(), $lesson->learnerIds(), $now),
            (float) $since,
        );
        if ($forecast === null) {
            return $nothing;
        }
        $at = static fn (float $seconds): int => $now + (int) round(1000 * ($seconds - $since));
        $chances = array_filter($forecast->chances, static fn (float $chance): bool => $chance < self::LIKELY);
        asort($chances);

        return new RestData(
            newest: $lesson->newest,
            early_ms: $at($forecast->end(0.1)),
            middle_ms: $at($forecast->end(0.5)),
            late_ms: $at($forecast->end(0.9)),
            by_ms: $at($forecast->bell),
            everybody: round($forecast->everybody(), 3),
            unlikely: array_keys($chances),
            until: $forecast->until,
        );
    }
}
