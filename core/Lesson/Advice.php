<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

use Cathedra\Core\Rules\TeachingRules;

/** The one thing to do now. */
final readonly class Advice
{
    /**
     * @param  'none'|'help'|'all'|'ask'|'wait'|'go'|'gather'  $kind  help: go to the learner; all: everybody is done;
     *     ask: at a checkpoint, whether they are; wait: at a checkpoint until all are; go: enough are done; gather: too
     *     few yet
     * @param  int  $done  learners in the room who have done the step; by exception, who are not behind
     * @param  int  $room  learners in the room
     * @param  list<int>  $learners  whom it is about, most pressing first, at most three
     */
    private function __construct(public string $kind, public int $done, public int $room, public array $learners)
    {
    }

    /**
     * @param  list<int>  $learners  of the group, by seat
     * @param  bool  $checkpoint  whether everybody must have done the step at hand
     */
    public static function of(
        Standing $standing,
        Programme $programme,
        array $learners,
        bool $checkpoint,
        TeachingRules $rules,
    ): self {
        $step = $standing->step;
        $here = array_values(array_filter($learners, static fn (int $l): bool => ! $standing->seat($l)->away));
        $open = array_values(array_filter($here, static fn (int $l): bool => $standing->isOpen($l)));
        // Of whom nothing was ever said is perhaps not there at all: nobody is called for before those who are.
        usort($open, static fn (int $a, int $b): int => $standing->seat($b)->seen <=> $standing->seat($a)->seen);
        [$room, $done] = [count($here), count($here) - count($open)];
        $queue = $standing->queue($here);
        [$kind, $about] = match (true) {
            $step < 1 || $step > $programme->steps() || $standing->endedMs !== null || $room === 0 => ['none', []],
            $queue !== [] => ['help', $queue],
            $open === [] && $checkpoint && ! $standing->isLookedAt($here) => ['ask', []],
            $open === [] => ['all', []],
            $checkpoint => ['wait', $open],
            $done >= $rules->enough($room) => ['go', []],
            default => ['gather', []],
        };

        return new self($kind, $done, $room, array_slice($about, 0, 3));
    }

    /** @return array{kind: string, done: int, room: int, learners: list<int>} */
    public function toArray(): array
    {
        return ['kind' => $this->kind, 'done' => $this->done, 'room' => $this->room, 'learners' => $this->learners];
    }
}
