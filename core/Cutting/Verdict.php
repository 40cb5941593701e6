<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

/** What is known of a plan beside what it is. */
enum Verdict
{
    /** Nothing better by what is put first, and that is proven. */
    case Proven;

    /** The work allowed was done before it could be proven. */
    case Open;

    /** Cut short by the clock: another time the same question may get a better answer, so this one is not kept. */
    case CutShort;
}
