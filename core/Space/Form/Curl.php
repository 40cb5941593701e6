<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * Flaps that end in corners of the sheet, each rolled softly: from a length before its tip on it lies round a
 * pencil. In strips, exact: a strip's heading is that of the arc at its middle. What hangs together beyond the line
 * where the curl begins is curled as one stack; toward the folder where the tip lies on top, else away. A flap that
 * lies between others and is folded in half cannot roll; it is bent aside (`Bend`).
 *
 * @phpstan-type Roll array{faces: array<int, true>, line: Line, up: float}
 */
final readonly class Curl implements FormByFormula
{
    /** As shares of the shorter side: the radius (14 mm of 150, a pencil and some spring), a strip, the length. */
    private const RADIUS = 14 / 150;

    private const STRIP = 5 / 150;

    private const LENGTH = 0.21;

    /**
     * @param  list<Roll>  $rolls  faces: those of the flap that reach beyond the line; line: on the table, its positive
     *     side that of the tip; up: 1 or -1
     * @param  list<Bend>  $bends  flaps between others, folded in half: they cannot roll, but are bent aside
     */
    private function __construct(
        private FoldedState $flat,
        private array $rolls,
        private array $bends,
        private float $side,
    ) {
    }

    /**
     * The flaps that end in the corners of the sheet which lie furthest that way.
     *
     * @param  string  $way  top, bottom, left or right
     */
    public static function of(FoldedState $flat, string $way): ?self
    {
        $toward = ['top' => new Point(0, 1), 'bottom' => new Point(0, -1), 'left' => new Point(-1, 0)][$way]
            ?? new Point(1, 0);
        $side = min($flat->sheet->width, $flat->sheet->height);
        $far = [];
        $corners = [];
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as $k => [$x, $y]) {
            $corners[$k] = $flat->sheet->at($x, $y);
            $tips = self::facesAt($flat, $corners[$k]);
            if ($tips !== []) {
                $far[$k] = $flat->placements[$tips[0]]->of($corners[$k])->dot($toward);
            }
        }
        $rolls = $bends = [];
        foreach ($far as $k => $reach) {
            if ($reach > max([-INF, ...$far]) - 1e-3 * $side && isset($corners[$k])) {
                $roll = self::roll($flat, $corners[$k], self::LENGTH * $side);
                $bend = $roll === null
                    ? Bend::of($flat, $corners[$k], self::facesAt($flat, $corners[$k]), self::LENGTH * $side)
                    : null;
                $roll === null || $rolls[] = $roll;
                $bend === null || $bends[] = $bend;
            }
        }

        return $rolls === [] ? null : new self($flat, $rolls, $bends, $side);
    }

    /** @return list<int> the faces that meet in a place of the sheet */
    private static function facesAt(FoldedState $flat, Point $corner): array
    {
        $faces = [];
        foreach (array_keys($flat->pattern->faces) as $face) {
            foreach ($flat->pattern->polygon($face)->points as $p) {
                if ($p->distanceTo($corner) < 1e-6 * $flat->sheet->diagonal()) {
                    $faces[] = $face;
                }
            }
        }

        return $faces;
    }

    /** @return Roll|null  null where other paper lies on both sides of the flap: it has no room to curl */
    private static function roll(FoldedState $flat, Point $corner, float $length): ?array
    {
        $near = 1e-6 * $flat->sheet->diagonal();
        $tips = self::facesAt($flat, $corner);
        $tip = $flat->placements[$tips[0]]->of($corner);
        // toward the middle of the paper that meets in the tip: of each face the two sides beside it
        $back = new Point(0, 0);
        foreach ($tips as $face) {
            $points = $flat->polygons[$face]->points;
            $n = count($points);
            foreach ($points as $i => $p) {
                if ($p->distanceTo($tip) < $near) {
                    $back = $back->plus($points[($i + 1) % $n]->minus($tip)->unit())
                        ->plus($points[($i + $n - 1) % $n]->minus($tip)->unit());
                }
            }
        }
        $toward = $back->unit()->times(-1);
        $line = Line::along($tip->minus($toward->times($length)), $toward->turnedLeft());
        $line = $line->distanceTo($tip) > 0 ? $line : $line->reversed();
        $faces = self::beyond($flat, $tips[0], $line, $near);
        [$over, $under] = [self::isCovered($flat, $faces, $line, true), self::isCovered($flat, $faces, $line, false)];

        return $over && $under ? null : ['faces' => $faces, 'line' => $line, 'up' => $over ? -1.0 : 1.0];
    }

    /**
     * Whether other paper lies over the flap beyond the line, or under it.
     *
     * @param  array<int, true>  $faces
     */
    private static function isCovered(FoldedState $flat, array $faces, Line $line, bool $over): bool
    {
        foreach (array_keys($faces) as $face) {
            $beyond = $flat->polygons[$face]->clippedBy($line);
            foreach (array_diff_key($flat->polygons, $faces) as $other => $polygon) {
                if ($flat->order->above($other, $face) === $over &&
                    $beyond->intersection($polygon)->area() > $flat->tolerance->area) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<int, true> the faces that hang together with one beyond a line */
    public static function beyond(FoldedState $flat, int $face, Line $line, float $near): array
    {
        $found = [$face => true];
        $queue = [$face];
        for ($i = 0; $i < count($queue); $i++) {
            foreach ($flat->pattern->around($queue[$i]) as $edge) {
                $other = $edge->other($queue[$i]);
                $segment = $flat->pattern->segment($edge)->placed($flat->placements[$queue[$i]]);
                if ($other !== null && ! isset($found[$other]) && $segment->reachesBeyond($line, $near)) {
                    $found[$other] = true;
                    $queue[] = $other;
                }
            }
        }

        return $found;
    }

    public function bends(int $face): array
    {
        $lines = [];
        foreach ($this->rolls as ['faces' => $faces, 'line' => $line]) {
            $back = $this->flat->placements[$face]->inverse();
            $far = isset($faces[$face]) ? 2 * self::LENGTH * $this->side : 0.0;
            for ($d = 0.0; $d < $far; $d += self::STRIP * $this->side) {
                $on = $line->foot()->plus($line->normal->times($d));
                $lines[] = $back->ofLine(Line::along($on, $line->direction()));
            }
        }
        foreach ($this->bends as $bend) {
            if ($bend->has($face)) {
                $back = $this->flat->placements[$face]->inverse();
                array_push($lines, ...array_map($back->ofLine(...), $bend->folds()));
            }
        }

        return $lines;
    }

    public function stages(): int
    {
        return 1;
    }

    public function at(Spot $spot, float $progress): array
    {
        foreach ($this->rolls as ['faces' => $faces, 'line' => $line, 'up' => $up]) {
            $middle = isset($faces[$spot->face])
                ? $line->distanceTo($this->flat->placements[$spot->face]->of($spot->middle))
                : 0.0;
            if ($middle > 0) {
                $d = $line->distanceTo($spot->flat);
                [$out, $high] = $this->rolled($d, $middle, $progress);
                $on = $spot->flat->plus($line->normal->times($out - $d));

                return [$on->x, $on->y, $up * $high];
            }
        }
        foreach ($this->bends as $bend) {
            if ($bend->has($spot->face)) {
                $middle = $this->flat->placements[$spot->face]->of($spot->middle);
                $at = $bend->at($spot->flat, $middle, $progress);

                return [$at->x, $at->y, 0.0];
            }
        }

        return [$spot->flat->x, $spot->flat->y, 0.0];
    }

    public function sizes(): array
    {
        return [];
    }

    /**
     * Strip by strip along the arc, and so far into the strip of the cell.
     *
     * @return array{float, float} mm along the flat direction, and up
     */
    private function rolled(float $d, float $middle, float $progress): array
    {
        $strip = self::STRIP * $this->side;
        [$out, $high] = [0.0, 0.0];
        $last = (int) floor($middle / $strip);
        for ($i = 0; $i <= $last; $i++) {
            $heading = ($i + 0.5) * $strip / (self::RADIUS * $this->side) * $progress;
            $length = $i < $last ? $strip : $d - $last * $strip;
            $out += $length * cos($heading);
            $high += $length * sin($heading);
        }

        return [$out, $high];
    }
}
