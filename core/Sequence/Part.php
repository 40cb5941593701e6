<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\Reading\Side;

/** A second piece of a model, folded from a sheet of its own in proportion to the first one. */
final readonly class Part
{
    /**
     * @param  float  $ratio  sheet height over width; 1 for a square
     * @param  float  $scale  its sheet's shorter side over the main sheet's
     */
    public function __construct(
        public string $name,
        public string $title,
        public float $ratio,
        public float $scale,
        public Side $sideUp,
    ) {
    }
}
