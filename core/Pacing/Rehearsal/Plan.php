<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\Block;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\StepTimes;
use Cathedra\Core\Pacing\StepWhy;
use Cathedra\Core\Pacing\Timeline;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\Bounds;
use Cathedra\Core\Rules\TeachingRules;

/**
 * A lesson as a room that can be rehearsed: its blocks are steps that are only shown. Whatever is changed, it has the
 * same steps in the same places (what is left out takes no time), so that the same chance can be drawn for it.
 */
final readonly class Plan
{
    /** A model folded a second time takes this share of the first time (estimate, to be calibrated). */
    public const AGAIN = 0.6;

    /**
     * @param  list<ModelLoad>  $models  in the order they are taught; their steps are numbered through
     * @param  int  $minutes  of the slot
     * @param  int  $squaring  seconds of making squares in the lesson; 0 when the paper is square before
     * @param  'none'|'before'|'after'  $decorate  on the flat sheet, on the finished model, or not in the lesson
     * @param  float  $gate  share of the room that has done a step before the next is shown
     */
    private function __construct(
        public Room $room,
        public array $models,
        public int $minutes,
        public int $squaring,
        public string $decorate,
        public Policies $policies,
        public float $gate,
        public Timeline $timeline,
    ) {
        if (! Bounds::holds(Bounds::MINUTES, $minutes)) {
            throw new BadPlan("A slot has 5 to 480 minutes, not $minutes; its end must lie after its start.");
        }
        if (array_filter($models, static fn (ModelLoad $model): bool => $model->steps !== []) === []) {
            throw new BadPlan('A lesson needs a model with at least one step.');
        }
    }

    /**
     * @param  list<ModelLoad>  $models
     * @param  'none'|'before'|'after'  $decorate
     *
     * @throws BadPlan
     */
    public static function of(
        Room $room,
        array $models,
        int $minutes,
        int $squaring,
        string $decorate,
        Policies $policies,
        TeachingRules $rules,
        ?Timeline $timeline = null,
    ): self {
        return new self(
            room: $room,
            models: $models,
            minutes: $minutes,
            squaring: $squaring,
            decorate: $decorate,
            policies: $policies,
            gate: $rules->goShare,
            timeline: ($timeline ?? Timeline::usual())->decorating($decorate),
        );
    }

    /** @param  array<string, mixed>  $change  of its properties */
    public function with(array $change): self
    {
        return new self(...$change + get_object_vars($this));
    }

    /**
     * From the first minute to the end of the folding.
     *
     * @return list<Block>
     *
     * @throws BadPlan
     */
    public function blocks(BaseTimes $times): array
    {
        $blocks = $this->plain($this->timeline->before(), $times);
        $number = 0;
        foreach ($this->models as $m => $model) {
            $m > 0 && $blocks[] = Block::shown('next-model', $this->checks() ? $times->blocks['next_model'] : 0.0);
            array_push($blocks, ...$this->model($model, $m === 0, $number, $times));
            $number += count($model->steps);
        }

        return $blocks;
    }

    /**
     * After the folding, to the end.
     *
     * @return list<Block>
     */
    public function after(BaseTimes $times): array
    {
        return $this->plain($this->timeline->after(), $times);
    }

    /** @throws BadPlan */
    public function setting(BaseTimes $times): RehearsedRoom
    {
        $after = array_sum(array_map(static fn (Block $block): float => $block->room->demo, $this->after($times)));

        $rounds = $this->rounds($times);
        $before = array_map(
            static fn (Block $block): float => $block->room->demo,
            $this->plain($this->timeline->before(), $times),
        );

        return new RehearsedRoom(
            learners: (int) ceil($this->room->learners / $rounds),
            // the lead helps where nobody folds along; helpers are with those who do something else meanwhile
            helpers: $rounds > 1
                ? 1
                : $this->room->helpers + ($this->checks() && ! $this->policies->isInGroups() ? 0 : 1),
            gate: $this->checks() ? $this->policies->gate($this->gate) : 0.001,
            between: $times->spread,
            within: $times->ownSpread,
            factor: $this->age($times) * $this->room->pace,
            miss: $this->checks() ? $times->missFactor : 1.0,
            bell: max(0.0, 60 * $this->minutes - $after),
            steps: array_map(static fn (Block $block): PacedStep => $block->room, $this->blocks($times)),
            rounds: $rounds,
            once: array_sum($before),
            change: $rounds > 1 ? $times->blocks['rotate'] : 0.0,
        );
    }

    /** How many small groups fold one after the other; 1: all together. */
    public function rounds(BaseTimes $times): int
    {
        return $this->policies->isInGroups() ? (int) ceil($this->room->learners / $times->smallGroup) : 1;
    }

    /** Whether the room folds along; where everybody folds from cards the lead helps, and nobody waits. */
    public function checks(): bool
    {
        return ! $this->policies->isSelfPaced();
    }

    private function age(BaseTimes $times): float
    {
        return $times->ages[$this->room->ageBand]['factor']
            ?? throw new BadPlan("There is no age band called \"{$this->room->ageBand}\".");
    }

    /**
     * @param  list<string>  $keys
     * @return list<Block>
     */
    private function plain(array $keys, BaseTimes $times): array
    {
        return array_map(fn (string $key): Block => Block::shown(
            $key,
            $this->timeline->seconds($key, $this->squaring, $this->decorate, $times),
        ), $keys);
    }

    /** @return list<Block> */
    private function model(ModelLoad $model, bool $isFirst, int $number, BaseTimes $times): array
    {
        $all = StepTimes::of($model, $times, $this->room->knows);
        $ready = $isFirst ? min($this->policies->prepared, count($all)) : 0;
        $shows = static fn (array $of): float => array_sum(array_map(static fn (StepTimes $t): float => $t->show, $of));
        $blocks = [
            Block::shown('recap', Policies::RECAP * $shows(array_slice($all, 0, $ready))),
            Block::shown('show-all', $this->policies->showsFirst()
                ? $this->policies->show * $shows(array_slice($all, $ready))
                : 0.0),
        ];
        for ($time = 0; $time < $model->times; $time++) {
            foreach ($all as $i => $step) {
                $isDone = $time === 0 && $i < $ready;
                $load = $model->steps[$i];
                $blocks[] = $this->step(
                    model: $model,
                    i: $i,
                    step: $step,
                    number: $number + $i + 1,
                    again: $time > 0,
                    isDone: $isDone,
                    times: $times,
                );
                if ($load->checkpoint && $this->checks()) {
                    $blocks[] = new Block(
                        kind: 'checkpoint',
                        key: 'checkpoint',
                        step: $number + $i + 1,
                        room: new PacedStep(
                            demo: $isDone ? 0.0 : $times->blocks['checkpoint'],
                            fold: 0.0,
                            stuck: 0.0,
                            help: 0.0,
                            checkpoint: false,
                        ),
                        why: null,
                        again: $time > 0,
                        out: $isDone,
                    );
                }
            }
        }

        return $blocks;
    }

    private function step(
        ModelLoad $model,
        int $i,
        StepTimes $step,
        int $number,
        bool $again,
        bool $isDone,
        BaseTimes $times,
    ): Block {
        $load = $model->steps[$i];
        $isThere = $this->squaring > 0 && in_array($i + 1, $this->policies->there($model->diagonals), true);
        $factor = $this->age($times) * $this->room->pace;
        $own = $model->own[$i + 1] ?? null;
        $why = new StepWhy(
            step: $number,
            show: $this->policies->showsFirst() || ! $this->checks() ? 0.0 : $step->show * $this->policies->show,
            base: $own === null ? $step->base : (float) $own,
            factors: array_filter($own !== null ? [] : [
                ...$step->factors,
                'along' => ! $isThere ? 1.0 : ($load->fold === 'crease' ? 0.0 : Policies::ALONG),
                'age' => $this->age($times),
                'pace' => $this->room->pace,
                'manner' => $this->policies->fold,
            ], static fn (float $by): bool => $by !== 1.0),
            wait: 0.0,
            own: $own !== null,
        );
        $share = $isDone ? 0.0 : ($again ? self::AGAIN : 1.0);
        $fold = $share * $why->fold() / $factor;

        return new Block(kind: 'step', key: $load->fold, step: $number, room: new PacedStep(
            demo: $share * $why->show,
            fold: $fold,
            stuck: $fold > 0.0 ? min(1.0, $step->stuck * $this->policies->stuck) : 0.0,
            help: $times->helpSeconds,
            checkpoint: $load->checkpoint && ! $isDone && $this->checks(),
        ), why: $again || $isDone ? null : $why, again: $again, out: $isDone);
    }
}
