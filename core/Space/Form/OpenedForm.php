<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Numeric\Union;
use Cathedra\Core\Space\Mesh\Mesh;
use Cathedra\Core\Space\Mesh\Piece;
use Cathedra\Core\Space\MotionBetween;
use Cathedra\Core\Space\Transition;
use Cathedra\Core\Space\Turn\RigidTurn;

/**
 * A finished model opened along the creases of some of its steps: wings lifted, pleats spread, hulls drawn apart. What
 * hangs together apart from those creases stays as stiff as it is folded and turns about them, one piece after the
 * other, from the largest piece outward. No paper bends; where pieces hang together in a ring that does not close there
 * is no such form.
 *
 * @phpstan-import-type Hinge from Mesh
 *
 * @phpstan-type Joint array{parent: int, axis: Line, lifts: bool}
 */
final readonly class OpenedForm
{
    /** mm of 150: where a ring of pieces closes nearer than this, it closes. */
    private const CLOSES = 0.01;

    /**
     * @param  array<int, int>  $pieceOf  by cell
     * @param  array<int, Joint>  $joints  by piece; the base has none
     */
    private function __construct(private Transition $transition, private array $pieceOf, private array $joints)
    {
    }

    /**
     * @param  list<string>  $labels  of the steps whose creases open
     * @param  int  $degrees  the angle they open to: 180 is folded flat, 0 unfolded
     * @return Piece|null null when it cannot be opened so
     */
    public static function of(FoldedState $flat, array $labels, int $degrees): ?Piece
    {
        $transition = Transition::between($flat, $flat);
        $opening = self::opening($transition, $labels);
        $pieceOf = self::pieces($transition, $opening);
        $joints = self::joints($transition, $opening, $pieceOf);
        if ($opening === [] || $joints === null) {
            return null;
        }
        $form = new self($transition, $pieceOf, $joints);
        $angle = deg2rad(180 - $degrees);
        $reach = $angle * max(0.0, ...array_map(
            static fn (array $p): float => hypot($p[0] - $transition->start[0][0], $p[1] - $transition->start[0][1]),
            $transition->start,
        )) * max(1, count($joints) / 2);
        $moments = max(2, min(Piece::MOST * 4, (int) ceil($reach / (0.1 * $transition->mesh->side))));
        $at = [];
        for ($i = 0; $i <= $moments; $i++) {
            $points = $form->at($angle * $i / $moments);
            if ($points === null) {
                return null;
            }
            $at[] = $points;
        }
        $ranks = Piece::ranks($flat, $transition->mesh->from);
        $piece = (new Piece($transition->mesh, $at, $ranks, $ranks))->thinned();

        return MotionBetween::isPaper($piece) ? $piece : null;
    }

    /**
     * @param  list<string>  $labels
     * @return array<int, Hinge> folded creases of these steps, by place in the mesh's list
     */
    private static function opening(Transition $transition, array $labels): array
    {
        $mesh = $transition->mesh;
        $pattern = $transition->before->pattern;

        return array_filter($mesh->hinges, static function (array $hinge) use ($mesh, $pattern, $labels): bool {
            [[$px, $py], [$qx, $qy]] = [$mesh->sheet[$hinge['a']], $mesh->sheet[$hinge['b']]];
            $edge = $pattern->edgeAt(new Point(($px + $qx) / 2, ($py + $qy) / 2), 1e-3);

            return $hinge['start'] !== 0.0 && in_array($edge?->origin, $labels, true);
        });
    }

    /**
     * @param  array<int, Hinge>  $opening
     * @return array<int, int> by cell
     */
    private static function pieces(Transition $transition, array $opening): array
    {
        $union = new Union();
        foreach (array_diff_key($transition->mesh->hinges, $opening) as $hinge) {
            $union->join($hinge['left'], $hinge['right']);
        }

        return array_map(
            static fn (int $cell): int => (int) $union->root($cell),
            array_keys($transition->mesh->cells),
        );
    }

    /**
     * @param  array<int, Hinge>  $opening
     * @param  array<int, int>  $pieceOf
     * @return array<int, Joint>|null null when a piece bends along itself
     */
    private static function joints(Transition $transition, array $opening, array $pieceOf): ?array
    {
        $next = [];
        foreach ($opening as $hinge) {
            [$one, $other] = [$pieceOf[$hinge['left']], $pieceOf[$hinge['right']]];
            if ($one === $other) {
                return null;
            }
            $next[$one][] = [$other, $hinge, $hinge['left']];
            $next[$other][] = [$one, $hinge, $hinge['right']];
        }
        $base = self::largest($transition, $pieceOf);
        $joints = [];
        $queue = [$base];
        for ($i = 0; $i < count($queue); $i++) {
            foreach ($next[$queue[$i]] ?? [] as [$piece, $hinge, $cell]) {
                $known = $piece === $base || isset($joints[$piece]);
                $axis = $known ? null : self::axis($transition, $hinge, $pieceOf, $piece);
                if ($axis !== null) {
                    $joints[$piece] = [
                        'parent' => $queue[$i],
                        'axis' => $axis,
                        'lifts' => ($hinge['start'] > 0) === $transition->showsFront($cell, false),
                    ];
                    $queue[] = $piece;
                }
            }
        }

        return $joints;
    }

    /** @param  array<int, int>  $pieceOf */
    private static function largest(Transition $transition, array $pieceOf): int
    {
        $area = [];
        foreach ($transition->laid(false) as $cell => $polygon) {
            $area[$pieceOf[$cell]] = ($area[$pieceOf[$cell]] ?? 0.0) + $polygon->area();
        }
        arsort($area);

        return (int) array_key_first($area);
    }

    /**
     * The line a piece turns about, its positive side the side of the piece.
     *
     * @param  Hinge  $hinge
     * @param  array<int, int>  $pieceOf
     */
    private static function axis(Transition $transition, array $hinge, array $pieceOf, int $piece): ?Line
    {
        [$p, $q] = [$transition->start[$hinge['a']], $transition->start[$hinge['b']]];
        $line = Line::through(new Point($p[0], $p[1]), new Point($q[0], $q[1]));
        if ($line === null) {
            return null;
        }
        $side = 0.0;
        foreach ($transition->mesh->cells as $cell => $loop) {
            foreach ($pieceOf[$cell] === $piece ? $loop : [] as $vertex) {
                $off = $line->distanceTo(new Point($transition->start[$vertex][0], $transition->start[$vertex][1]));
                $side = abs($off) > abs($side) ? $off : $side;
            }
        }

        return $side < 0 ? $line->reversed() : $line;
    }

    /**
     * Every vertex with all joints opened by an angle; null where a ring of pieces does not close.
     *
     * @return array<int, array{float, float, float}>|null
     */
    private function at(float $angle): ?array
    {
        $placed = [];
        foreach ($this->transition->mesh->cells as $cell => $loop) {
            $points = [];
            foreach ($loop as $vertex) {
                $points[$vertex] = $this->transition->start[$vertex];
            }
            for ($piece = $this->pieceOf[$cell]; isset($this->joints[$piece]); $piece = $joint['parent']) {
                $joint = $this->joints[$piece];
                $points = RigidTurn::about($points, $joint['axis'], $joint['lifts'] ? $angle : -$angle);
            }
            foreach ($points as $vertex => $p) {
                $was = $placed[$vertex] ?? $p;
                $off = max(abs($was[0] - $p[0]), abs($was[1] - $p[1]), abs($was[2] - $p[2]));
                if ($off > self::CLOSES * $this->transition->mesh->side / 150) {
                    return null;
                }
                $placed[$vertex] = $p;
            }
        }
        ksort($placed);

        return $placed;
    }
}
