<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Segment;

/** A short crease pressed at one place only, mm on the sheet. It shows, and bends and divides nothing. */
final readonly class Pinch
{
    /** @param  string  $origin  label of the step that pressed it */
    public function __construct(public Segment $at, public string $origin)
    {
    }
}
