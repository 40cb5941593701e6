<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

/**
 * Equal squares from one sheet, in rows and columns; for equal squares along the edges this is the most there can be.
 * Kerf is lost between neighbours, not against the rim; trim is lost all round. Lengths in mm.
 */
final readonly class SquareGrid
{
    /** Rounding slack in mm: 297 / 3 = 99 must give three squares of 99. */
    private const SLACK = 1e-6;

    private function __construct(
        public int $columns,
        public int $rows,
        public float $side,
        public float $kerf,
        public float $trim,
    ) {
    }

    public static function on(float $width, float $height, float $side, float $kerf = 0.0, float $trim = 0.0): self
    {
        $fit = static fn (float $length): int => max(
            0,
            (int) floor(($length - 2 * $trim + $kerf + self::SLACK) / ($side + $kerf)),
        );

        return new self(columns: $fit($width), rows: $fit($height), side: $side, kerf: $kerf, trim: $trim);
    }

    public function count(): int
    {
        return $this->columns * $this->rows;
    }

    /**
     * Where the squares lie, from the sheet's own corner before trim.
     *
     * @return list<array{x_mm: float, y_mm: float, side_mm: float}>
     */
    public function squares(): array
    {
        $squares = [];
        for ($row = 0; $row < $this->rows; $row++) {
            for ($column = 0; $column < $this->columns; $column++) {
                $squares[] = [
                    'x_mm' => round($this->trim + $column * ($this->side + $this->kerf), 3),
                    'y_mm' => round($this->trim + $row * ($this->side + $this->kerf), 3),
                    'side_mm' => round($this->side, 3),
                ];
            }
        }

        return $squares;
    }

    /**
     * The largest side that gives at least $count squares per sheet: the maximum over a x b >= count of min(w/a, h/b).
     */
    public static function largestSide(float $width, float $height, int $count): float
    {
        $best = 0.0;
        for ($a = 1; $a <= $count; $a++) {
            $best = max($best, min($width / $a, $height / (int) ceil($count / $a)));
        }

        return $best;
    }
}
