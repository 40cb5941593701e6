<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Lesson\EventKind;
use SplMinHeap;

/**
 * One run as what happens in the room, in order of time: the same kinds of event as a lesson that is taught. Slower
 * than Rehearsal, for the few runs that are looked at; the rules are in Rehearsal.
 *
 * @phpstan-type Happening array{t: float, kind: EventKind, learner: int|null, step: int}
 */
final class Trace
{
    /** @var list<Happening> seconds from the first demonstration; learners and steps from 0 */
    public array $happenings = [];

    /** @var SplMinHeap<array{float, int, string, int}> time, order, what ends, learner or step */
    private SplMinHeap $ends;

    private int $order = 0;

    /** @var array<int, float> end of the demonstration, by step */
    private array $shown = [];

    /** @var array<int, int> the step a learner has to do next */
    private array $next;

    /** @var array<int, bool> whether a learner folds or waits for help */
    private array $busy;

    /** @var array<int, bool> whether the step that a learner folds will stop him or her */
    private array $stops = [];

    /** @var array<int, int> learners that have done it, by step */
    private array $done;

    /** @var list<int> who waits for help, the first first */
    private array $queue = [];

    private int $free;

    private function __construct(private readonly RehearsedRoom $setting, private readonly Cast $cast)
    {
        $this->ends = new SplMinHeap();
        $this->next = array_fill(0, $setting->learners, 0);
        $this->busy = array_fill(0, $setting->learners, false);
        $this->done = array_fill(0, count($setting->steps), 0);
        $this->free = max(1, $setting->helpers);
    }

    /** @return list<Happening> moved (a demonstration begins), help, helped, done; in order of time */
    public static function of(RehearsedRoom $setting, Cast $cast): array
    {
        $self = new self($setting, $cast);
        $self->show(0, 0.0);
        while (! $self->ends->isEmpty()) {
            [$t, , $what, $who] = $self->ends->extract();
            match ($what) {
                'demonstration' => $self->shownAt($who, $t),
                'folding' => $self->folded($who, $t),
                default => $self->served($who, $t),
            };
        }

        return $self->happenings;
    }

    private function happens(float $t, EventKind $kind, ?int $learner, int $step): void
    {
        $this->happenings[] = ['t' => $t, 'kind' => $kind, 'learner' => $learner, 'step' => $step];
    }

    private function ends(float $t, string $what, int $who): void
    {
        $this->ends->insert([$t, $this->order++, $what, $who]);
    }

    private function show(int $step, float $t): void
    {
        $this->happens($t, EventKind::Moved, null, $step);
        $this->ends($t + $this->setting->steps[$step]->demo, 'demonstration', $step);
    }

    private function shownAt(int $step, float $t): void
    {
        $this->shown[$step] = $t;
        foreach ($this->next as $i => $next) {
            if ($next === $step && ! $this->busy[$i]) {
                $this->fold($i, $t);
            }
        }
    }

    private function fold(int $i, float $t): void
    {
        $k = $this->next[$i];
        $this->busy[$i] = true;
        $this->stops[$i] = $t > $this->shown[$k] ? $this->cast->missed[$i][$k] : $this->cast->stuck[$i][$k];
        $this->ends($t + $this->cast->seconds[$i][$k], 'folding', $i);
    }

    private function folded(int $i, float $t): void
    {
        if (! $this->stops[$i]) {
            $this->did($i, $t);

            return;
        }
        $this->happens($t, EventKind::Help, $i, $this->next[$i]);
        $this->queue[] = $i;
        $this->help($t);
    }

    private function help(float $t): void
    {
        while ($this->free > 0 && $this->queue !== []) {
            $i = array_shift($this->queue);
            $this->free--;
            $slow = $this->setting->helpers === 0 ? RehearsedRoom::ALONE : 1.0;
            $this->ends($t + $slow * $this->setting->steps[$this->next[$i]]->help, 'service', $i);
        }
    }

    private function served(int $i, float $t): void
    {
        $this->free++;
        $this->happens($t, EventKind::Helped, $i, $this->next[$i]);
        $this->did($i, $t);
        $this->help($t);
    }

    private function did(int $i, float $t): void
    {
        $k = $this->next[$i];
        $this->happens($t, EventKind::Done, $i, $k);
        $this->busy[$i] = false;
        $this->next[$i] = $k + 1;
        $this->done[$k]++;
        if (isset($this->setting->steps[$k + 1])) {
            if ($this->done[$k] === $this->setting->needed($k)) {
                $this->show($k + 1, $t);
            }
            if (isset($this->shown[$k + 1])) {
                $this->fold($i, $t);
            }
        }
    }
}
