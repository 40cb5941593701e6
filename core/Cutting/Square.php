<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

/** A square on a sheet, where it lies, and which of the sizes wanted it is. */
final readonly class Square
{
    /**
     * @param  float  $x  mm from the sheet's own left edge to the square's
     * @param  float  $y  mm from the sheet's own lower edge
     * @param  int  $size  number of the size in the request (CutRequest::sizes), largest first
     */
    public function __construct(public float $x, public float $y, public float $side, public int $size)
    {
    }

    /** @return array{x_mm: float, y_mm: float, side_mm: float} */
    public function toArray(): array
    {
        return ['x_mm' => $this->x, 'y_mm' => $this->y, 'side_mm' => round($this->side, 3)];
    }
}
