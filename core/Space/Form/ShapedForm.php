<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Mesh\Mesh;
use Cathedra\Core\Space\Mesh\Piece;
use Cathedra\Core\Space\Mesh\Vector;
use Cathedra\Core\Space\MotionBetween;
use Cathedra\Core\Space\Settle\BarsAndHinges;
use Cathedra\Core\Space\Transition;

/** A finished form by formula as a motion: one piece a stage, all on one mesh. */
final class ShapedForm
{
    /** mm of 150: where cells meet nearer than this, they meet. */
    private const MEETS = 0.01;

    /** Moments are so far apart at most, as a share of the side. */
    private const STRIDE = 0.12;

    /** Moments of a stage that are looked at before they are thinned. */
    private const FIRST = 8;

    private const MOST = 96;

    /** Radians. */
    private const ROUNDING = 0.01;

    /** Degrees; a bend that is less is not drawn, for paper is round there. */
    private const SEEN = 25.0;

    /** @var list<Point> by cell: its middle, on the sheet */
    private readonly array $middles;

    /** @param  list<list<int>>  $users  by vertex: the cells it belongs to */
    private function __construct(
        private readonly Transition $transition,
        private readonly FormByFormula $shape,
        private readonly array $users,
    ) {
        $mesh = $transition->mesh;
        $this->middles = array_map(static function (array $loop) use ($mesh): Point {
            $of = array_map(static fn (int $v): array => $mesh->sheet[$v], $loop);

            return new Point(
                array_sum(array_column($of, 0)) / count($of),
                array_sum(array_column($of, 1)) / count($of),
            );
        }, $mesh->cells);
    }

    /**
     * @return list<Piece>|string one a stage; or the reason why this state does not become this shape
     */
    public static function of(FoldedState $flat, FormByFormula $shape): array|string
    {
        $transition = Transition::between($flat, $flat, $shape->bends(...));
        $users = array_fill(0, $transition->mesh->vertexCount(), []);
        foreach ($transition->mesh->cells as $cell => $loop) {
            foreach ($loop as $vertex) {
                $users[$vertex][] = $cell;
            }
        }

        return (new self($transition, $shape, $users))->pieces();
    }

    /** @return list<Piece>|string */
    private function pieces(): array|string
    {
        $mesh = $this->transition->mesh;
        $before = Piece::ranks($this->transition->before, $mesh->from);
        $start = $this->moment(0.0);
        $off = $start === null ? INF : max(0.0, ...array_map(Vector::far(...), $start, $this->transition->start));
        if ($start === null || $off > self::MEETS * $mesh->side / 150) {
            return 'the flat state is not the one that this form is made of';
        }
        $angles = array_map(static fn (array $h): float => $h['start'], $mesh->hinges);
        [$pieces, $ranks, $all] = [[], $before, []];
        for ($stage = 0; $stage < $this->shape->stages(); $stage++) {
            $at = $this->stage($stage);
            if ($at === null) {
                return sprintf('in its movement %d paper would part or tear', $stage + 1);
            }
            [$from, $angles] = [$angles, $this->angles($at, $angles)];
            array_push($all, ...$at);
            $after = FormLayers::at($mesh, $all, $before);
            $piece = (new Piece($this->meshFor($from, $angles), $at, $ranks, $after))->thinned();
            if (! MotionBetween::isPaper($piece)) {
                return sprintf(
                    'in its movement %d paper would be stretched by %.1f %%, jump by %.0f %% or stand %.2f mm in paper',
                    $stage + 1,
                    100 * $piece->strain(),
                    100 * $piece->jump(),
                    $piece->depth(),
                );
            }
            [$pieces[], $ranks] = [$piece, $after];
        }

        return $pieces;
    }

    /**
     * Moments of a stage near enough to one another; null where cells come apart.
     *
     * @return list<array<int, array{float, float, float}>>|null
     */
    private function stage(int $stage): ?array
    {
        for ($count = self::FIRST; $count <= self::MOST; $count *= 2) {
            $at = [];
            for ($i = 0; $i <= $count; $i++) {
                $moment = $this->moment($stage + $i / $count);
                if ($moment === null) {
                    return null;
                }
                $at[] = $moment;
            }
            $piece = new Piece($this->transition->mesh, $at, [], []);
            if ($piece->jump() <= self::STRIDE) {
                break;
            }
        }

        return $at;
    }

    /** @return array<int, array{float, float, float}>|null null where two cells do not agree on a corner */
    private function moment(float $progress): ?array
    {
        $mesh = $this->transition->mesh;
        $at = [];
        foreach ($mesh->sheet as $vertex => [$x, $y]) {
            $sheet = new Point($x, $y);
            foreach ($this->users[$vertex] as $cell) {
                $flat = $this->transition->placesBefore[$cell]->of($sheet);
                $p = $this->shape->at(new Spot($this->middles[$cell], $sheet, $flat, $mesh->from[$cell]), $progress);
                if (isset($at[$vertex]) && Vector::far($p, $at[$vertex]) > self::MEETS * $mesh->side / 150) {
                    return null;
                }
                $at[$vertex] ??= $p;
            }
        }

        return $at;
    }

    /**
     * The angle of every hinge at the end of a stage, gone on from its beginning so that both ways of being folded flat
     * are told apart.
     *
     * @param  list<array<int, array{float, float, float}>>  $at
     * @param  array<int, float>  $angles  by hinge, at the beginning
     * @return array<int, float>
     */
    private function angles(array $at, array $angles): array
    {
        $third = [];
        foreach ($this->transition->mesh->edges() as ['a' => $a, 'b' => $b, 'left' => $left, 'right' => $right]) {
            if ($right !== null) {
                $third["$a-$b"] = [$left, $right];
                $third["$b-$a"] = [$right, $left];
            }
        }
        foreach ($this->transition->mesh->hinges as $i => ['a' => $a, 'b' => $b]) {
            [$left, $right] = $third["$a-$b"];
            foreach ($at as $points) {
                $raw = BarsAndHinges::angleOf($points[$a], $points[$b], $points[$left], $points[$right]);
                $turn = fmod($raw - $angles[$i] + 5 * M_PI, 2 * M_PI) - M_PI;
                $angles[$i] += $turn;
                // paper folds by half a turn at most: a fold that rolled over a line leaves it flat
                $angles[$i] -= abs($angles[$i]) > M_PI + self::ROUNDING ? 2 * M_PI * ($angles[$i] <=> 0) : 0.0;
            }
        }

        return $angles;
    }

    /**
     * The mesh with the angles of one stage; a bend that paper rolls through is none to be drawn.
     *
     * @param  array<int, float>  $from  by hinge
     * @param  array<int, float>  $to
     */
    private function meshFor(array $from, array $to): Mesh
    {
        $mesh = $this->transition->mesh;
        $seen = static fn (float $angle): float => abs($angle) < deg2rad(self::SEEN) ? 0.0 : $angle;
        $hinges = [];
        foreach ($mesh->hinges as $i => $hinge) {
            $hinges[] = ['start' => $seen($from[$i]), 'end' => $seen($to[$i])] + $hinge;
        }

        return new Mesh(
            side: $mesh->side,
            sheet: $mesh->sheet,
            cells: $mesh->cells,
            from: $mesh->from,
            to: $mesh->to,
            hinges: $hinges,
            triangles: $mesh->triangles,
            cellOf: $mesh->cellOf,
        );
    }
}
