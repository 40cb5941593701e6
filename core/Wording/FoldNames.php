<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

/** How folds are called: by the field's term, by what they look like, or by both. */
enum FoldNames: string
{
    case Term = 'term';
    case Likeness = 'likeness';
    case Both = 'both';
}
