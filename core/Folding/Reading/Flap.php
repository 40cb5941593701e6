<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

/** Layers beyond a line that hang together there, so that they can only move as one. */
final readonly class Flap
{
    /** @param  list<int>  $faces faces of which some area lies beyond the line */
    public function __construct(public array $faces)
    {
    }
}
