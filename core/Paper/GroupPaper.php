<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** Squares for a whole group from one stock: side, sheets, spares, shortage. Lengths in mm. */
final readonly class GroupPaper
{
    /** Squares this near the largest are made by folding a corner over, not by measuring (mm). */
    private const BY_DIAGONAL = 0.5;

    private function __construct(
        public Stock $stock,
        public float $side,
        public Squaring $squaring,
        public SquareGrid $grid,
        public bool $byDiagonal,
        public int $spares,
        public int $squares,
        public int $sheets,
    ) {
    }

    /**
     * @param  float|null  $wantedSide  null: the largest square the sheet gives
     * @param  float  $spoilRate  chance that one learner spoils a square
     * @param  float  $risk  accepted chance of running out
     * @param  float  $kerf  lost between neighbours
     *
     * @throws BadPaper when the square is out of bounds
     */
    public static function for(Stock $stock, int $learners, ?float $wantedSide, float $spoilRate, float $risk, float $kerf): self
    {
        $squaring = Squaring::of($stock->width, $stock->height);
        $side = $wantedSide ?? $squaring->side;
        if ($side < Stock::MIN_MM || $side > Stock::MAX_MM) {
            throw new BadPaper('/side_mm', sprintf('A square must have between %d and %d mm.', Stock::MIN_MM, Stock::MAX_MM));
        }
        $grid = SquareGrid::on($stock->width, $stock->height, $side, $kerf);
        $spares = Spares::needed($learners, $spoilRate, $risk);
        $squares = $learners + $spares;
        $byDiagonal = $grid->count() === 1 && abs($side - $squaring->side) <= self::BY_DIAGONAL;
        $sheets = $grid->count() === 0 ? 0 : (int) ceil($squares / $grid->count());

        return new self($stock, $side, $squaring, $grid, $byDiagonal, $spares, $squares, $sheets);
    }

    public function fits(): bool
    {
        return $this->grid->count() > 0;
    }

    /** Sheets that are missing. */
    public function short(): int
    {
        return $this->stock->count === null ? 0 : max(0, $this->sheets - $this->stock->count);
    }
}
