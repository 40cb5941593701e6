<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Rules\PolicyTable;

/** How one lesson is taught, apart from its folds: an option of every policy, and what is folded before it begins. */
final readonly class Policies
{
    /** A step that was folded before is shown in this share of the time it takes to show it (estimate). */
    public const RECAP = 0.4;

    /** Folding along a crease that is there takes this share of the time (estimate); creasing it again takes none. */
    public const ALONG = 0.5;

    /**
     * @param  array<string, string>  $chosen  an option of every policy
     * @param  int  $prepared  steps of the first model that are folded before the lesson
     * @param  list<string>  $says  to the room before the first step, where it is not as usual
     */
    private function __construct(
        public array $chosen,
        public int $prepared,
        public float $show,
        public float $fold,
        public array $says,
        public float $stuck = 1.0,
        public float $squaring = 1.0,
    ) {
    }

    /** As lessons are taught usually, and nothing folded before. */
    public static function usual(): self
    {
        return new self(
            chosen: array_map(static fn (array $keys): string => $keys[0], PolicyTable::OPTIONS),
            prepared: 0,
            show: 1.0,
            fold: 1.0,
            says: [],
        );
    }

    /**
     * @param  array<string, string>  $chosen  those that are not left as usual
     *
     * @throws BadPlan when there is no such policy or option, or fewer than no steps are folded before
     */
    public static function of(PolicyTable $table, array $chosen, int $prepared = 0): self
    {
        foreach ($chosen as $policy => $option) {
            if (! isset($table->options[$policy][$option])) {
                throw new BadPlan("There is no way \"$option\" for the policy \"$policy\".");
            }
        }
        if ($prepared < 0) {
            throw new BadPlan("The steps folded before the lesson are a number from 0 on, not $prepared.");
        }
        $show = $fold = $stuck = $squaring = 1.0;
        $all = $says = [];
        foreach ($table->options as $policy => $options) {
            $key = $chosen[$policy] ?? (string) array_key_first($options);
            $all[$policy] = $key;
            $show *= $options[$key]->show;
            $fold *= $options[$key]->fold;
            $stuck *= $options[$key]->stuck;
            $squaring *= $options[$key]->squaring;
            if ($key !== array_key_first($options)) {
                $says[] = $options[$key]->says;
            }
        }

        return new self(
            chosen: $all,
            prepared: $prepared,
            show: $show,
            fold: $fold,
            says: $says,
            stuck: $stuck,
            squaring: $squaring,
        );
    }

    /** Whether a model is shown as a whole before anybody folds it. */
    public function showsFirst(): bool
    {
        return $this->chosen['show'] === 'first';
    }

    /** Whether everybody folds from cards, at their own pace, and the lead helps. */
    public function isSelfPaced(): bool
    {
        return $this->chosen['show'] === 'cards';
    }

    /** Whether small groups fold one after the other, each at the lead's table, while the others do something quiet. */
    public function isInGroups(): bool
    {
        return $this->chosen['show'] === 'groups';
    }

    /**
     * Share of the room that has done a step before the next is shown.
     *
     * @param  float  $usual  where nothing else is chosen
     */
    public function gate(float $usual): float
    {
        return $this->chosen['pace'] === 'everybody' ? 1.0 : $usual;
    }

    /** Whether the square that a learner makes is put aside, and another one is folded. */
    public function takesFreshSquares(): bool
    {
        return $this->chosen['squaring'] === 'fresh';
    }

    /**
     * What has to be laid out or prepared for what is chosen: cards or pencils to crease or draw with, printed steps
     * for each or for each table, squares to fold instead of those that are made.
     *
     * @param  bool  $makeSquares  the learners make their squares themselves
     * @return list<'fresh'|'step-cards'|'table-cards'|'card'|'pencil'> in the order of preparing it
     */
    public function brings(bool $makeSquares): array
    {
        $is = $this->chosen;

        return array_keys(array_filter([
            'fresh' => $makeSquares && $this->takesFreshSquares(),
            'step-cards' => $this->isSelfPaced(),
            'table-cards' => $is['pace'] === 'ahead' && ! $this->isSelfPaced(),
            'card' => $is['crease_with'] === 'card',
            'pencil' => $is['crease_with'] === 'pencil' || ($makeSquares && $is['cut_line'] === 'pencil'),
        ]));
    }

    /**
     * Steps of a model whose creases were made with the square, and count.
     *
     * @param  list<int>  $diagonals  the steps that crease the first and the second diagonal (Diagonal::of)
     * @return list<int> a step that creases both is there only when both were made
     */
    public function there(array $diagonals): array
    {
        if ($this->chosen['squaring'] !== 'counted') {
            return [];
        }
        $made = $this->chosen['second'] === 'model' ? 1 : 2;

        $there = array_diff(array_slice($diagonals, 0, $made), array_slice($diagonals, $made));

        return array_values(array_unique($there));
    }
}
