<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** Kinds of paper; their densities are in library/paper-rules.yaml. */
enum PaperKind: string
{
    case Office = 'office';
    case Folding = 'folding';
    case Newsprint = 'newsprint';
    case Kraft = 'kraft';
    case Construction = 'construction';
    case Wallpaper = 'wallpaper';
    case Other = 'other';
}
