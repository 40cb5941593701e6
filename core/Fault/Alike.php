<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Folding\FoldedState;

/** Whether a state looks the same when it is held otherwise: what is seen differs on at most a tenth of it. */
final readonly class Alike
{
    /** Share of the cells that may differ (estimate, to be calibrated by what leads tick as seen). */
    private const MOST = 0.1;

    private function __construct(public bool $halfTurned, public bool $quarterTurned, public bool $mirrored)
    {
    }

    public static function of(FoldedState $state): self
    {
        $grid = Patches::about($state);

        return new self(
            self::isSame($grid, static fn (int $i, int $j): array => [-$i, -$j]),
            self::isSame($grid, static fn (int $i, int $j): array => [-$j, $i]),
            self::isSame($grid, static fn (int $i, int $j): array => [-$i, $j]),
        );
    }

    /**
     * @param  array<string, array{int, int, int}>  $grid  cells about the middle: column, row, what is seen
     * @param  callable(int, int): array{int, int}  $move
     */
    private static function isSame(array $grid, callable $move): bool
    {
        $differs = 0;
        foreach ($grid as [$i, $j, $seen]) {
            [$x, $y] = $move($i, $j);
            $differs += ($grid["$x $y"][2] ?? 0) === $seen ? 0 : 1;
        }

        return $differs <= self::MOST * count($grid);
    }
}
