<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Point;

/** A point that an earlier step marked; it follows the paper. */
final readonly class Mark implements PointRef
{
    public function __construct(public string $name)
    {
    }

    public function locate(Setting $setting): Point
    {
        $mark =
            $setting->marks[$this->name] ??
            throw CannotFold::because("No earlier step sets a mark called \"{$this->name}\".");

        return $setting->onPaper($mark);
    }
}
