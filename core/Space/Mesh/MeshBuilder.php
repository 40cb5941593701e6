<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Mesh;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Numeric\Union;
use Closure;

/**
 * Cuts every face of one state with every face of the next on the sheet. Steps divide faces, and some merge them, so
 * both ways are needed.
 *
 * @phpstan-import-type Hinge from Mesh
 */
final class MeshBuilder
{
    /** Pieces smaller than this share of the squared diagonal are crumbs of rounding. */
    private const CRUMB = 1e-6;

    /** mm on a sheet of 150 mm: corners nearer than this are one; scaled with the sheet. */
    private const SNAP = 2e-4 / 150;

    private readonly float $snap;

    /** @var list<Point> */
    private array $points = [];

    /** @var array<string, list<int>> points by square of the grid */
    private array $grid = [];

    /** @param  (Closure(int): list<Line>)|null  $bends */
    private function __construct(
        private readonly FoldedState $before,
        private readonly FoldedState $after,
        private readonly ?Closure $bends,
    ) {
        $sheet = $before->sheet;
        $this->snap = self::SNAP * min($sheet->width, $sheet->height);
    }

    /**
     * Both states are of one sheet; what was cut away in the second is left out.
     *
     * @param  (Closure(int): list<Line>)|null  $bends  on the sheet, by face before: cells are cut along them, too
     */
    public static function between(FoldedState $before, FoldedState $after, ?Closure $bends = null): Mesh
    {
        return (new self($before, $after, $bends))->build();
    }

    private function build(): Mesh
    {
        [$loops, $from, $to] = $this->pieces();
        $loops = array_map($this->withPointsOnSides(...), $loops);
        $uses = [];
        foreach ($loops as $cell => $loop) {
            foreach ($loop as $i => $p) {
                $q = $loop[($i + 1) % count($loop)];
                $uses[$p < $q ? "$p-$q" : "$q-$p"][] = [$cell, $p, $q];
            }
        }
        $union = new Union();
        $shared = [];
        foreach ($uses as $sides) {
            if (count($sides) !== 2) {
                continue;
            }
            [[$one, $p, $q], [$other]] = $sides;
            $middle = $this->points[$p]->toward($this->points[$q], 0.5);
            $end = self::angle($this->after, $to[$one], $to[$other], $middle);
            if ($end === null) {
                continue; // cut
            }
            $union->join("$one-$p", "$other-$p");
            $union->join("$one-$q", "$other-$q");
            $shared[] = [
                $one,
                $other,
                $p,
                $q,
                self::angle($this->before, $from[$one], $from[$other], $middle) ?? 0.0,
                $end,
            ];
        }
        $number = [];
        $sheet = [];
        $vertex = function (int $cell, int $point) use ($union, &$number, &$sheet): int {
            $root = $union->root("$cell-$point");
            if (! isset($number[$root])) {
                $number[$root] = count($sheet);
                $sheet[] = [$this->points[$point]->x, $this->points[$point]->y];
            }

            return $number[$root];
        };
        $cells = [];
        foreach ($loops as $cell => $loop) {
            $cells[] = array_map(static fn (int $p): int => $vertex($cell, $p), $loop);
        }
        $hinges = array_map(
            static fn (array $s): array => [
                'a' => $vertex($s[0], $s[2]),
                'b' => $vertex($s[0], $s[3]),
                'left' => $s[0],
                'right' => $s[1],
                'start' => $s[4],
                'end' => $s[5],
            ],
            $shared,
        );
        [$triangles, $cellOf] = [[], []];
        foreach ($cells as $cell => $loop) {
            foreach (Triangles::of($loop, $sheet) as $triangle) {
                $triangles[] = $triangle;
                $cellOf[] = $cell;
            }
        }
        $side = min($this->before->sheet->width, $this->before->sheet->height);

        return new Mesh(
            side: $side,
            sheet: $sheet,
            cells: $cells,
            from: $from,
            to: $to,
            hinges: $hinges,
            triangles: $triangles,
            cellOf: $cellOf,
        );
    }

    /** @return array{list<list<int>>, list<int>, list<int>} loops of points, faces before, faces after */
    private function pieces(): array
    {
        $least = self::CRUMB * $this->before->sheet->diagonal() ** 2;
        [$loops, $from, $to] = [[], [], []];
        $of = static fn (FoldedState $s): array => array_map($s->pattern->polygon(...), array_keys($s->pattern->faces));
        $after = $of($this->after);
        $boxes = array_map(static fn (Polygon $p) => $p->box(), $after);
        foreach ($of($this->before) as $f => $face) {
            $box = $face->box();
            foreach ($after as $g => $other) {
                if (! $box->overlaps($boxes[$g], 0.0)) {
                    continue;
                }
                foreach ($this->bent($face->intersection($other), $f) as $piece) {
                    $loop = $piece->area() > $least ? $this->loop($piece) : [];
                    if (count($loop) > 2) {
                        $loops[] = $loop;
                        $from[] = $f;
                        $to[] = $g;
                    }
                }
            }
        }

        return [$loops, $from, $to];
    }

    /** @return list<Polygon> the piece cut along the bends */
    private function bent(Polygon $piece, int $face): array
    {
        $pieces = [$piece];
        foreach ($this->bends === null ? [] : ($this->bends)($face) as $line) {
            $cut = [];
            foreach ($pieces as $part) {
                array_push($cut, $part->clippedBy($line), $part->clippedBy($line->reversed()));
            }
            $pieces = array_filter($cut, static fn (Polygon $p): bool => ! $p->isEmpty());
        }

        return array_values($pieces);
    }

    /** @return list<int> corners of the piece, each once */
    private function loop(Polygon $piece): array
    {
        $loop = [];
        foreach ($piece->points as $p) {
            $n = $this->pointAt($p);
            if ($loop === [] || ($n !== $loop[count($loop) - 1] && $n !== $loop[0])) {
                $loop[] = $n;
            }
        }

        return $loop;
    }

    private function pointAt(Point $p): int
    {
        [$x, $y] = [(int) floor($p->x / $this->snap), (int) floor($p->y / $this->snap)];
        for ($i = $x - 1; $i <= $x + 1; $i++) {
            for ($j = $y - 1; $j <= $y + 1; $j++) {
                foreach ($this->grid["$i $j"] ?? [] as $n) {
                    if ($this->points[$n]->distanceTo($p) < $this->snap) {
                        return $n;
                    }
                }
            }
        }
        $this->points[] = $p;
        $this->grid["$x $y"][] = count($this->points) - 1;

        return count($this->points) - 1;
    }

    /**
     * A corner of another cell on the side of this one becomes a corner of this one too.
     *
     * @param  list<int>  $loop
     * @return list<int>
     */
    private function withPointsOnSides(array $loop): array
    {
        $full = [];
        $n = count($loop);
        foreach ($loop as $i => $p) {
            $side = new Segment($this->points[$p], $this->points[$loop[($i + 1) % $n]]);
            $full[] = $p;
            $on = [];
            foreach ($this->points as $k => $point) {
                if (! in_array($k, $loop, true) && $side->passes($point, $this->snap)) {
                    $on[$k] = $side->shareOf($point);
                }
            }
            asort($on);
            array_push($full, ...array_keys($on));
        }

        return $full;
    }

    /** How two faces stand to one another at a place of the edge between them, radians; null where they are cut. */
    private static function angle(FoldedState $state, int $face, int $other, Point $at): ?float
    {
        if ($face === $other) {
            return 0.0;
        }
        foreach ($state->pattern->around($face) as $edge) {
            $near = $state->tolerance->aside;
            if ($edge->other($face) === $other && $state->pattern->segment($edge)->passes($at, $near)) {
                return match ($edge->assignment) {
                    Assignment::Valley => M_PI,
                    Assignment::Mountain => -M_PI,
                    default => 0.0,
                };
            }
        }

        return null;
    }
}
