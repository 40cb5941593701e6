<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

/** By whom directions are seen: the folder at the table (near, far), or the room at the wall (up, down). */
enum Directions: string
{
    case Folder = 'folder';
    case Wall = 'wall';
}
