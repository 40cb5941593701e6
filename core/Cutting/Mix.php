<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

/** How often each column is used, and what is known of it. */
final readonly class Mix
{
    /**
     * @param  array<int, int>|null  $uses  times by column; null: none was found
     * @param  float  $cost  mm2, or whatever the columns cost
     * @param  float  $bound  no mix of these columns costs less
     * @param  bool  $proven  there is none that costs less, or none at all
     */
    public function __construct(public ?array $uses, public float $cost, public float $bound, public bool $proven)
    {
    }
}
