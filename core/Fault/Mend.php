<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

/** The one action that leads back; which of them does is proved on the paper, not assumed. */
enum Mend: string
{
    /** Open it: that is the right state already. */
    case Open = 'open';
    /** Open it, and do the step again. */
    case Again = 'again';
    /** Do what is missing. */
    case Finish = 'finish';
    /** Turn it over. */
    case Turn = 'turn';
}
