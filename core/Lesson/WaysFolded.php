<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * Which way each learner folded: of every passage that she finished, the way that was shown to her when she did.
 */
final readonly class WaysFolded
{
    /** @param  array<int, array<string, array<string, string>>>  $ways  option by learner, model and passage */
    private function __construct(public array $ways)
    {
    }

    public static function of(Log $log, Programme $programme): self
    {
        $ways = [];
        foreach ($log->counting() as $event) {
            $model = $event->step === null ? null : $programme->at($event->step);
            if ($event->learner === null || $model === null) {
                continue;
            }
            $done = match ($event->kind) {
                EventKind::Done => $model->own((int) $event->step),
                EventKind::FinishedEarly => $model->steps,
                default => 0,
            };
            foreach ($model->passages as $passage) {
                if ($done >= max(1, $passage['last'])) {
                    $own = $ways[$event->learner][$model->slug] ?? [];
                    $own += [$passage['name'] => self::shown($event, $log, $model, $passage)];
                    $ways[$event->learner][$model->slug] = $own;
                }
            }
        }

        return new self($ways);
    }

    /** @return array<string, string> option by passage */
    public function find(int $learner, string $model): array
    {
        return $this->ways[$learner][$model] ?? [];
    }

    /**
     * The way that whoever made the event counted by.
     *
     * @param  array{name: string, option: string, last: int}  $passage
     */
    private static function shown(Event $event, Log $log, ProgrammeModel $model, array $passage): string
    {
        foreach ($log->changes as $change) {
            $of = $change->way;
            $same = $of !== null && $of->model === $model->slug && $of->passage === $passage['name'];
            if ($same && ! $event->knows($change)) {
                return $of->from;
            }
        }

        return $passage['option'];
    }
}
