<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Sequence\Landmark\PointRef;

/** Where a finished part is put on the main piece, and how it is held. */
final readonly class Attach
{
    /**
     * @param  PointRef  $at  on the main piece, as the folder sees it
     * @param  float  $turn  radians counterclockwise the part is turned before it is put there
     * @param  'glue'|'tape'|'tuck'  $how
     * @param  bool  $inFront  nearer the folder than the main piece
     * @param  PointRef|null  $hold  on the turned part: the point that is laid on $at; null: the middle of the part
     */
    public function __construct(
        public string $part,
        public PointRef $at,
        public float $turn,
        public string $how,
        public bool $inFront,
        public ?PointRef $hold = null,
    ) {
    }
}
