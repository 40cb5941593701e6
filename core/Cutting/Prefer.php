<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

/** What a cutting plan puts first. */
enum Prefer: string
{
    /** The least area, then the fewest sheets, then the fewest different patterns. */
    case Least = 'least';

    /**
     * The fewest different patterns (people cut in stacks) among plans that take little more area than the least; then
     * the least area.
     */
    case Fewest = 'fewest';

    /** The least area of paper that is not scrap, then the least area of scrap, then the fewest patterns. */
    case Scrap = 'scrap';
}
