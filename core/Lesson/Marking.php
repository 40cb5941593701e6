<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** How a lesson is marked; said when it starts. Lessons begun before this was asked say nothing. */
enum Marking: string
{
    /** Silence means all is well: only who is not along is tapped, and each step on presumes the others done. */
    case Exception = 'exception';

    /** Every done is tapped: of whom nothing was said, nothing is known. */
    case Close = 'close';
}
