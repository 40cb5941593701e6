<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Geometry\Point;

/** A point fixed to the paper, by shares of the sheet's width and height; follows the paper wherever it is folded. */
final readonly class SheetPoint implements PointRef
{
    public function __construct(public float $across, public float $up)
    {
    }

    public function locate(Setting $setting): Point
    {
        return $setting->onPaper($this->onSheet($setting));
    }

    public function onSheet(Setting $setting): Point
    {
        return $setting->state->sheet->at($this->across, $this->up);
    }
}
