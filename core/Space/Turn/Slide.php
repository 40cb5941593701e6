<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Turn;

use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * How a flat model moves as a whole, spread over time: a shift, a turn about a point of the table, or over an axis that
 * lies on it.
 */
final readonly class Slide
{
    /**
     * @param  bool  $keepsSide  false: the model is turned over
     * @param  float  $turn  radians counterclockwise about $centre; 0 where it is only shifted
     * @param  Point  $shift  mm; along the axis where it is turned over
     */
    private function __construct(
        public bool $keepsSide,
        private float $turn,
        private Point $centre,
        private ?Line $axis,
        private Point $shift,
    ) {
    }

    public static function of(Isometry $whole): self
    {
        $zero = new Point(0, 0);
        $to = $whole->of($zero);
        $across = $whole->of(new Point(1, 0))->minus($to);
        $turn = atan2($across->y, $across->x);
        if (! $whole->keepsOrientation()) {
            $along = new Point(cos($turn / 2), sin($turn / 2));
            $axis = Line::along($zero->toward($to, 0.5), $along);

            return new self(
                keepsSide: false,
                turn: M_PI,
                centre: $zero,
                axis: $axis,
                shift: $along->times($to->dot($along)),
            );
        }
        if (abs($turn) < 1e-9) {
            return new self(keepsSide: true, turn: 0.0, centre: $zero, axis: null, shift: $to);
        }
        // the fixed point c: c = R c + to
        $half = 1 / (2 * tan($turn / 2));
        $centre = new Point($to->x / 2 - $to->y * $half, $to->y / 2 + $to->x * $half);

        return new self(keepsSide: true, turn: $turn, centre: $centre, axis: null, shift: $zero);
    }

    /** The line in which a motion mirrors the plane; null where it does not, or shifts along that line besides. */
    public static function axisOf(Isometry $motion): ?Line
    {
        $slide = self::of($motion);

        return $slide->shift->length() > 1e-6 ? null : $slide->axis;
    }

    public function isNothing(): bool
    {
        return $this->keepsSide && $this->turn === 0.0 && $this->shift->length() < 1e-9;
    }

    /**
     * @param  array<int, array{float, float, float}>  $points  mm
     * @param  float  $t  0 to 1
     * @return array<int, array{float, float, float}>
     */
    public function at(array $points, float $t): array
    {
        if ($this->axis !== null) {
            return RigidTurn::about($points, $this->axis, M_PI * $t, $this->shift->times($t));
        }
        [$c, $s] = [cos($this->turn * $t), sin($this->turn * $t)];
        [$x0, $y0] = [$this->centre->x, $this->centre->y];
        [$dx, $dy] = [$this->shift->x * $t, $this->shift->y * $t];

        return array_map(static fn (array $p): array => [
            $x0 + $c * ($p[0] - $x0) - $s * ($p[1] - $y0) + $dx,
            $y0 + $s * ($p[0] - $x0) + $c * ($p[1] - $y0) + $dy,
            $p[2],
        ], $points);
    }

    /**
     * The longest way a point goes, mm.
     *
     * @param  array<int, array{float, float, float}>  $points  mm
     */
    public function reach(array $points): float
    {
        $far = 0.0;
        foreach ($points as [$x, $y]) {
            $p = new Point($x, $y);
            $far = max($far, $this->axis !== null
                ? M_PI * abs($this->axis->distanceTo($p))
                : abs($this->turn) * $p->distanceTo($this->centre));
        }

        return $far + $this->shift->length();
    }
}
