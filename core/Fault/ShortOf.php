<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Sequence\Alignment\Alignment;
use Cathedra\Core\Sequence\Alignment\Crease;
use Cathedra\Core\Sequence\Landmark\Setting;

/** The same fold, stopped before it is where it should be, or taken past it. */
final readonly class ShortOf implements Alignment
{
    /**
     * @param  float  $share  of the way that is done; more than 1: past the mark
     * @param  bool  $secondOnly  whether the first of two sides is done right
     */
    public function __construct(private Alignment $whole, private float $share, private bool $secondOnly = false)
    {
    }

    public function locate(Setting $setting): Crease
    {
        $whole = $this->whole->locate($setting);
        if ($this->secondOnly && ! $setting->mirrored) {
            return $whole;
        }
        $landing = $whole->grip->toward($whole->landing, $this->share);
        $line = Line::bringing($whole->grip, $landing);
        if ($line === null) {
            return $whole;
        }

        return new Crease($line, $whole->grip, $landing, $whole->taken);
    }
}
