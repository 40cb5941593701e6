<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Rules\BaseTimes;

/**
 * The blocks of a lesson in their order, and how long each is where the lead says so. The folding is one of them; how
 * long that is comes from the rehearsal. Blocks follow one another, so that none can overlap.
 */
final readonly class Timeline
{
    public const FOLDING = 'folding';

    /** Every block there is, in the usual order. */
    public const BLOCKS = ['arrive', 'talk', 'hand-out', 'squaring', self::FOLDING, 'decorate', 'display', 'clear'];

    /** Minutes that one block may have. */
    public const MOST = 180;

    /** Not in a lesson until somebody gives them minutes. */
    private const WANTED = ['talk', 'display'];

    /**
     * @param  list<string>  $order  each block once
     * @param  array<string, int>  $minutes  by block, where the lead has said them
     */
    private function __construct(public array $order, public array $minutes)
    {
    }

    /**
     * @param  'none'|'before'|'after'  $decorate
     */
    public static function usual(string $decorate = 'none'): self
    {
        return (new self(self::BLOCKS, []))->decorating($decorate);
    }

    /**
     * @param  list<string>  $order
     * @param  array<string, int>  $minutes
     *
     * @throws BadPlan naming the block, and what would do
     */
    public static function of(array $order, array $minutes): self
    {
        $sorted = $order;
        sort($sorted);
        $all = self::BLOCKS;
        sort($all);
        if ($sorted !== $all) {
            throw new BadPlan('The blocks of a lesson are, each once, in any order: '.implode(', ', self::BLOCKS).'.');
        }
        $at = array_flip($order);
        if ($at['squaring'] > $at[self::FOLDING]) {
            throw new BadPlan('Squares are made before they are folded: put "squaring" before "folding".');
        }
        if ($at['hand-out'] > $at[self::FOLDING]) {
            throw new BadPlan('Paper is handed out before it is folded: put "hand-out" before "folding".');
        }
        foreach ($minutes as $block => $given) {
            if (! isset($at[$block]) || $block === self::FOLDING) {
                throw new BadPlan("There is no block \"$block\" whose minutes can be set.");
            }
            if ($given < 0 || $given > self::MOST) {
                throw new BadPlan(sprintf('"%s" has 0 to %d minutes, not %d.', $block, self::MOST, $given));
            }
        }

        return new self($order, $minutes);
    }

    /**
     * The same with decorating before or after the folding.
     *
     * @param  'none'|'before'|'after'  $decorate
     */
    public function decorating(string $decorate): self
    {
        $at = array_flip($this->order);
        $isBefore = $at['decorate'] < $at[self::FOLDING];
        if ($decorate === 'none' || $isBefore === ($decorate === 'before')) {
            return $this;
        }
        $order = array_values(array_diff($this->order, ['decorate']));
        $place = (int) array_search(self::FOLDING, $order, true) + ($decorate === 'before' ? 0 : 1);
        array_splice($order, $place, 0, ['decorate']);

        return new self($order, $this->minutes);
    }

    /** @return list<string> */
    public function before(): array
    {
        return array_slice($this->order, 0, (int) array_search(self::FOLDING, $this->order, true));
    }

    /** @return list<string> */
    public function after(): array
    {
        return array_slice($this->order, 1 + (int) array_search(self::FOLDING, $this->order, true));
    }

    /**
     * Seconds of a block.
     *
     * @param  int  $squaring  seconds of making squares in the lesson, where nobody has said more; 0: not in it
     */
    public function seconds(string $block, int $squaring, string $decorate, BaseTimes $times): float
    {
        $isOut = ($block === 'squaring' && $squaring === 0) || ($block === 'decorate' && $decorate === 'none');
        if ($isOut) {
            return 0.0;
        }
        if (isset($this->minutes[$block])) {
            return 60.0 * $this->minutes[$block];
        }

        return match (true) {
            $block === 'squaring' => (float) $squaring,
            in_array($block, self::WANTED, true) => 0.0,
            default => (float) $times->blocks[str_replace('-', '_', $block)],
        };
    }
}
