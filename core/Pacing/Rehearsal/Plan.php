<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Pacing\StepTimes;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\TeachingRules;

/**
 * A lesson as a room that can be rehearsed: its blocks are steps that are only shown. Whatever is changed, it has the
 * same steps in the same places (what is left out takes no time), so that the same chance can be drawn for it.
 */
final readonly class Plan
{
    /** @param  list<ModelLoad>  $models */
    private function __construct(
        public Room $room,
        public array $models,
        public int $minutes,
        public int $squaring,
        public string $decorate,
        public Policies $policies,
        public float $gate,
    ) {
    }

    /**
     * @param  list<ModelLoad>  $models
     * @param  int  $minutes  of the slot
     * @param  int  $squaring  seconds of making squares in the lesson
     * @param  'none'|'before'|'after'  $decorate
     */
    public static function of(
        Room $room,
        array $models,
        int $minutes,
        int $squaring,
        string $decorate,
        Policies $policies,
        TeachingRules $rules,
    ): self {
        return new self($room, $models, $minutes, $squaring, $decorate, $policies, $rules->goShare);
    }

    /** @param  array<string, mixed>  $change  of its properties */
    public function with(array $change): self
    {
        return new self(...$change + get_object_vars($this));
    }

    /**
     * @return array{Setting, list<int|null>} and by step of the setting the step of the lesson, null for blocks
     *
     * @throws BadPlan
     */
    public function setting(BaseTimes $times): array
    {
        $steps = [];
        $numbers = [];
        $put = static function (float $demo, ?int $number = null, ?Step $folded = null) use (&$steps, &$numbers): void {
            $steps[] = $folded ?? new Step($demo, 0.0, 0.0, 0.0, false);
            $numbers[] = $number;
        };
        $put((float) $times->blocks['arrive']);
        $put((float) $times->blocks['hand_out']);
        $put((float) $this->squaring);
        $put($this->decorate === 'before' ? (float) $times->blocks['decorate'] : 0.0);
        $number = 0;
        foreach ($this->models as $m => $model) {
            $m > 0 && $put((float) $times->blocks['next_model']);
            $number = $this->model($model, $m === 0, $number, $put, $times);
        }
        $age = $times->ages[$this->room->ageBand]['factor']
            ?? throw new BadPlan("There is no age band called \"{$this->room->ageBand}\".");

        return [new Setting(
            $this->room->learners,
            $this->room->helpers,
            $this->gate,
            $times->spread,
            $times->ownSpread,
            $age,
            $times->missFactor,
            (float) max(0, 60 * $this->minutes - $times->blocks['clear'] - $this->after($times)),
            $steps,
        ), $numbers];
    }

    /** Seconds after the folding that are not folding. */
    public function after(BaseTimes $times): float
    {
        return $this->decorate === 'after' ? (float) $times->blocks['decorate'] : 0.0;
    }

    /**
     * @param  callable(float, int|null, Step|null): void  $put
     * @return int the number of its last step in the lesson
     */
    private function model(ModelLoad $model, bool $isFirst, int $number, callable $put, BaseTimes $times): int
    {
        $all = StepTimes::of($model, $times);
        $ready = $isFirst ? min($this->policies->prepared, count($all)) : 0;
        $shows = static fn (array $of): float => array_sum(array_map(static fn (StepTimes $t): float => $t->show, $of));
        $before = $this->policies->showsFirst() ? $this->policies->show * $shows(array_slice($all, $ready)) : 0.0;
        $put(Policies::RECAP * $shows(array_slice($all, 0, $ready)), null, null);
        $put($before, null, null);
        for ($time = 0; $time < $model->times; $time++) {
            foreach ($all as $i => $step) {
                $load = $model->steps[$i];
                $isDone = $time === 0 && $i < $ready;
                $isThere = $this->squaring > 0 && $this->policies->countsSquaring() && $model->diagonal === $i + 1;
                $again = $time > 0 ? RunSheet::AGAIN : 1.0;
                $left = match (true) {
                    $isDone => 0.0,
                    $isThere => $load->fold === 'crease' ? 0.0 : Policies::ALONG,
                    default => 1.0,
                };
                $show = $isDone || $this->policies->showsFirst() ? 0.0 : $step->show * $this->policies->show;
                $put(0.0, $number + $i + 1, new Step(
                    $again * $show,
                    $again * $left * $step->fold * $this->policies->fold,
                    $left > 0.0 ? $step->stuck : 0.0,
                    $times->helpSeconds,
                    $load->checkpoint && ! $isDone,
                ));
                if ($load->checkpoint) {
                    $put($isDone ? 0.0 : (float) $times->blocks['checkpoint'], null, null);
                }
            }
        }

        return $number + count($all);
    }
}
