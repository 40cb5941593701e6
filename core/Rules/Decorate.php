<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** When a model is decorated: on the flat sheet, on the finished model, or not in the lesson. */
enum Decorate: string
{
    case None = 'none';
    case Before = 'before';
    case After = 'after';
}
