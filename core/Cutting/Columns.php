<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

/** The ways to cut that a plan is mixed from. */
final class Columns
{
    /**
     * @param  list<Column>  $all
     * @param  bool  $complete  whether these are all that could be of use, so that what is best among them is best of
     *     all
     */
    private function __construct(public readonly array $all, public readonly bool $complete)
    {
    }

    /** @param  list<Column>  $all */
    public static function complete(array $all): self
    {
        return new self($all, true);
    }

    /** @param  list<Column>  $some */
    public static function some(array $some): self
    {
        return new self($some, false);
    }

    /**
     * mm2 of the sheets
     *
     * @param  array<int, int>  $uses  times by column
     */
    public function cost(array $uses): float
    {
        $cost = 0.0;
        foreach ($uses as $c => $times) {
            $cost += $times * $this->all[$c]->cost;
        }

        return $cost;
    }
}
