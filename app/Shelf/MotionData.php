<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\Api\JsonShape;

/** How a step moves, packed for a screen; docs/space.md says how it is read. */
#[
    JsonShape('MotionData', [
        'step' => 'integer',
        'side' => 'number',
        'view' => ['roll' => 'integer', 'turn' => 'integer', 'tilt' => 'integer', 'stands' => 'boolean'],
        'pieces' => ['[]' => [
            'corners' => 'integer[]',
            'ranks' => 'integer[]',
            'ranks_end' => 'integer[]',
            'lines' => 'integer[]',
            'vertices' => 'integer',
            'moments' => 'integer',
            'at' => 'string',
        ]],
    ], [
        'side' => 'the shorter side of the sheet, mm',
        'view' => 'from where it is looked at: degrees turned on the table, then the eye to the right, then below; '
            .'stands: it ends not flat',
        'pieces' => 'one after the other; none: the step has no motion, or none was found',
        'corners' => 'three vertices a triangle, counterclockwise seen from the front of the paper',
        'ranks' => 'by triangle, at the first moment: layers over it, along its front (negative: its front is up)',
        'ranks_end' => 'the same at the last moment',
        'lines' => 'edges that are seen: triangle, vertex, vertex, and 0 for a raw edge or 1 for a crease',
        'at' => 'base64 of signed 16-bit numbers, little end first: x, y, z of every vertex of every moment, in 0.1 mm',
    ]),
]
final readonly class MotionData
{
    /**
     * @param  list<array{corners: list<int>, ranks: list<int>, ranks_end: list<int>, lines: list<int>,
     *     vertices: int, moments: int, at: string}>  $pieces
     * @param  array{roll: int, turn: int, tilt: int, stands: bool}  $view
     */
    public function __construct(
        public int $step,
        public float $side,
        public array $pieces,
        public array $view,
    ) {
    }

    public function ofStep(int $number): self
    {
        return new self($number, $this->side, $this->pieces, $this->view);
    }
}
