<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Alignment;

use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** A strip of a given width along an edge: the crease runs beside the edge, which moves. */
final readonly class Strip implements Alignment
{
    /**
     * @param  float  $wide  share of the sheet's shorter side, or mm
     * @param  bool  $byFinger  $wide is in mm, the same on every sheet: about a finger, give or take a third
     */
    public function __construct(public LineRef $edge, public float $wide, public bool $byFinger = false)
    {
    }

    /** mm */
    public function width(Sheet $sheet): float
    {
        return $this->byFinger ? $this->wide : $this->wide * min($sheet->width, $sheet->height);
    }

    public function locate(Setting $setting): Crease
    {
        $edge = $this->edge->trace($setting);
        $line = $edge->straight();
        $inward = $setting->state->box()->centre();
        $normal = $line->distanceTo($inward) > 0 ? $line->normal : $line->normal->times(-1);
        $width = $this->width($setting->state->sheet);
        $grip = $edge->middle();

        return Crease::moving(Line::along($grip->plus($normal->times($width)), $line->direction()), $grip, $edge);
    }
}
