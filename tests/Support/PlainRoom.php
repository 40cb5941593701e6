<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Pacing\Rehearsal\Chance;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use SplMinHeap;

/**
 * The room as a plain list of events in order of time, written from the rules and not from core/Pacing/Rehearsal: every
 * end of folding, of a service and of a demonstration is an event. Slow; for one run.
 */
final class PlainRoom
{
    /** @var SplMinHeap<array{float, int, string, int}> time, number of the event, what, who */
    private SplMinHeap $events;

    private int $order = 0;

    /** @var array<int, int> steps done, by learner */
    private array $done;

    /** @var array<int, bool> whether a learner folds or waits for help */
    private array $busy;

    /** @var array<int, array<int, float>> when done, by step, by learner */
    public array $finished = [];

    /** @var array<int, float> end of the demonstration, by step */
    private array $shown = [];

    /** @var array<int, float> */
    public array $gates = [];

    /** @var list<array{int, float}> */
    private array $queue = [];

    private int $free;

    public float $waited = 0.0;

    public float $served = 0.0;

    /**
     * @param  list<float>  $pace  exp(theta), by learner
     * @param  callable(int, int): array{float, float}  $draw  of a step and a learner: exp(eps), and a number from 0 to
     *     1 that is below the chance of who gets stuck
     */
    private function __construct(private readonly RehearsedRoom $setting, private readonly array $pace, private $draw)
    {
        $this->events = new SplMinHeap();
        $this->done = array_fill(0, $setting->learners, 0);
        $this->busy = array_fill(0, $setting->learners, false);
        $this->free = max(1, $setting->helpers);
    }

    /**
     * @param  list<float>  $pace
     * @param  callable(int, int): array{float, float}  $draw
     */
    public static function run(RehearsedRoom $setting, array $pace, callable $draw): self
    {
        $room = new self($setting, $pace, $draw);
        $room->at($setting->steps[0]->demo, 'shown', 0);
        while (! $room->events->isEmpty()) {
            [$now, , $what, $who] = $room->events->extract();
            $room->take($what, $who, $now);
        }

        return $room;
    }

    /** The run with this number of a chance that is shared with the core. */
    public static function sharing(RehearsedRoom $setting, Chance $chance, int $run): self
    {
        $within = Chance::factors($setting->within);
        $between = Chance::factors($setting->between);

        return self::run(
            $setting,
            array_map(static fn (int $level): float => $between[$level], $chance->pace[$run]),
            static function (int $step, int $learner) use ($setting, $chance, $run, $within): array {
                $number = $chance->draws[$run][$step * $setting->learners + $learner];

                return [$within[$number % Chance::LEVELS], intdiv($number, Chance::LEVELS) / Chance::STUCK];
            },
        );
    }

    public function finish(): float
    {
        return max([0.0, ...$this->finished[count($this->setting->steps) - 1]]);
    }

    public function idle(): float
    {
        $idle = 0.0;
        foreach ($this->gates as $k => $gate) {
            foreach ($this->finished[$k] as $t) {
                $idle += max(0.0, $gate - $t);
            }
        }

        return $idle;
    }

    private function at(float $time, string $what, int $who): void
    {
        $this->events->insert([$time, $this->order++, $what, $who]);
    }

    private function take(string $what, int $who, float $now): void
    {
        if ($what === 'shown') {
            $this->shown[$who] = $now;
            foreach (array_keys($this->done) as $learner) {
                $this->busy[$learner] || $this->begin($learner, $now);
            }
        } elseif ($what === 'stuck') {
            $this->queue[] = [$who, $now];
            $this->serve($now);
        } elseif ($what === 'helped') {
            $this->free++;
            $this->complete($who, $now);
            $this->serve($now);
        } else {
            $this->complete($who, $now);
        }
    }

    private function begin(int $learner, float $now): void
    {
        $k = $this->done[$learner];
        if (! isset($this->shown[$k])) {
            return;
        }
        $this->busy[$learner] = true;
        [$factor, $number] = ($this->draw)($k, $learner);
        $step = $this->setting->steps[$k];
        $chance = $now > $this->shown[$k] ? min(1.0, $step->stuck * $this->setting->miss) : $step->stuck;
        $end = $now + $step->fold * $this->setting->factor * $this->pace[$learner] * $factor;
        $isStuck = $number < round($chance * Chance::STUCK) / Chance::STUCK;
        $this->at($end, $isStuck ? 'stuck' : 'folded', $learner);
    }

    private function serve(float $now): void
    {
        while ($this->free > 0 && $this->queue !== []) {
            [$learner, $since] = array_shift($this->queue);
            $help = $this->setting->steps[$this->done[$learner]]->help
                * ($this->setting->helpers === 0 ? RehearsedRoom::ALONE : 1.0);
            $this->free--;
            $this->waited += $now - $since;
            $this->served += $help;
            $this->at($now + $help, 'helped', $learner);
        }
    }

    private function complete(int $learner, float $now): void
    {
        $k = $this->done[$learner]++;
        $this->busy[$learner] = false;
        $this->finished[$k][$learner] = $now;
        $isLast = $k === count($this->setting->steps) - 1;
        if (! $isLast && ! isset($this->gates[$k]) && count($this->finished[$k]) >= $this->setting->needed($k)) {
            $this->gates[$k] = $now;
            $this->at($now + $this->setting->steps[$k + 1]->demo, 'shown', $k + 1);
        }
        $this->begin($learner, $now);
    }
}
