<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Sequence\Step;

/** What somebody might do instead of a step. */
final readonly class Variant
{
    /** @param  list<Step>  $steps  done in its place, one after the other; none: it is left out */
    public function __construct(public FaultKind $kind, public array $steps)
    {
    }
}
