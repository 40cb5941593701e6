<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * Which way each learner folded: of every passage that she finished, the way that was shown to her when she did.
 */
final readonly class WaysFolded
{
    /**
     * @param  array<int, array<string, array<string, string>>>  $ways  option by learner, model and passage
     * @param  array<string, array<string, string>>  $others  of whom nothing was said
     */
    private function __construct(public array $ways, private array $others)
    {
    }

    public static function of(Log $log, Programme $programme): self
    {
        $seats = Seats::before($log, $programme);
        $ways = ['others' => []];
        $reached = ['others' => 0];
        foreach ($log->counting() as $event) {
            $seats->tell($event);
            foreach (['others' => $seats->others] + $seats->known as $learner => $seat) {
                $before = $reached[$learner] ??= $reached['others'];
                $ways[$learner] ??= $ways['others'];
                if ($seat->done > $before) {
                    $ways[$learner] = self::more(
                        ways: $ways[$learner],
                        done: $seat->done,
                        event: $event,
                        log: $log,
                        programme: $programme,
                    );
                    $reached[$learner] = $seat->done;
                }
            }
        }
        $others = $ways['others'];
        unset($ways['others']);

        return new self($ways, $others);
    }

    /**
     * @param  array<string, array<string, string>>  $ways  option by model and passage, so far
     * @param  int  $done  step of the lesson
     * @return array<string, array<string, string>>
     */
    private static function more(array $ways, int $done, Event $event, Log $log, Programme $programme): array
    {
        foreach ($programme->models as $model) {
            if ($log->marks === null && ! $model->holds($done)) {
                continue; // before it was asked how a lesson is marked, a step said nothing of the models before
            }
            foreach ($model->passages as $passage) {
                if ($model->own($done) >= max(1, $passage['last'])) {
                    $ways[$model->slug] = ($ways[$model->slug] ?? [])
                        + [$passage['name'] => self::shown($event, $log, $model, $passage)];
                }
            }
        }

        return $ways;
    }

    /** @return array<string, string> option by passage */
    public function find(int $learner, string $model): array
    {
        return ($this->ways[$learner] ?? $this->others)[$model] ?? [];
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
