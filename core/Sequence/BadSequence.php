<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\CathedraException;
use Cathedra\Core\Geometry\Point;

/**
 * A sequence that cannot be read or folded: names the line of the file, the step where there is one, and the reason.
 */
final class BadSequence extends CathedraException
{
    public function __construct(
        public readonly int $atLine,
        public readonly ?int $step,
        public readonly string $reason,
        public readonly ?Point $place = null,
        ?\Throwable $previous = null,
    ) {
        $where = "Line $atLine".($step === null ? '' : ", step $step");
        $at = $place === null ? '' : sprintf(' (at %.1f, %.1f mm as seen)', $place->x, $place->y);
        parent::__construct("$where: $reason$at", 0, $previous);
    }
}
