<?php

declare(strict_types=1);

namespace Cathedra\Core\Space;

use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Space\Mesh\Piece;
use Cathedra\Core\Space\Settle\BarsAndHinges;

/**
 * The motion of a model or of one step as a FOLD 1.2 document: every entry of file_frames is one moment and stands by
 * itself. docs/space.md says what the keys of our own mean.
 */
final class MotionDocument
{
    /** Degrees; an edge bent by less lies flat. */
    private const FLAT = 1e-3;

    /**
     * @param  int|null  $step  only this step; null: all
     * @return array<string, mixed>|null null when there is no such step
     */
    public static function of(FoldedModel $model, ?int $step = null): ?array
    {
        $steps = array_values(array_filter(
            $model->steps,
            static fn (FoldedStep $s): bool => $step === null || $s->step->number === $step,
        ));
        if ($steps === []) {
            return null;
        }
        $frames = array_merge(...array_map(self::step(...), $steps));
        $sheet = $model->start->sheet;

        return [
            'file_spec' => 1.2,
            'file_creator' => 'Cathedra',
            'file_title' => $model->sequence->title,
            'file_classes' => ['animation'],
            'frame_unit' => 'mm',
            'cathedra:side_mm' => round(min($sheet->width, $sheet->height), 4),
            'file_frames' => $frames,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function step(FoldedStep $step): array
    {
        $motion = StepMotion::of($step);
        $pieces = $motion->pieces !== [] ? $motion->pieces : self::ends($step);
        $moments = array_sum(array_map(static fn (Piece $p): int => count($p->at), $pieces));
        $frames = [];
        foreach ($pieces as $movement => $piece) {
            foreach ($piece->at as $points) {
                $frames[] = self::frame($piece, $points, [
                    'cathedra:step' => ['number' => $step->step->number, 'fold' => $step->step->kind->value],
                    'cathedra:movement' => $movement + 1,
                    'cathedra:t' => round(count($frames) / max(1, $moments - 1), 6),
                    ...$motion->moves() ? [] : ['cathedra:still' => true],
                ]);
            }
        }

        return $frames;
    }

    /** @return list<Piece> a still: before and after */
    private static function ends(FoldedStep $step): array
    {
        return array_map(static function ($state): Piece {
            $transition = Transition::between($state, $state);
            $ranks = Piece::ranks($state, $transition->mesh->from);

            return new Piece($transition->mesh, [$transition->start], $ranks, $ranks);
        }, [$step->before, $step->after]);
    }

    /**
     * @param  array<int, array{float, float, float}>  $points
     * @param  array<string, mixed>  $own
     * @return array<string, mixed>
     */
    private static function frame(Piece $piece, array $points, array $own): array
    {
        $mesh = $piece->mesh;
        $creases = [];
        foreach ($mesh->hinges as $hinge) {
            $creases["{$hinge['a']}-{$hinge['b']}"] = $creases["{$hinge['b']}-{$hinge['a']}"] = $hinge;
        }
        [$edges, $assignment, $angles] = [[], [], []];
        foreach ($mesh->edges() as ['a' => $a, 'b' => $b, 'left' => $left, 'right' => $right]) {
            $edges[] = [$a, $b];
            $crease = $creases["$a-$b"] ?? null;
            $angle = $right === null ? 0.0 : self::degrees($points, [$a, $b, $left, $right], $crease);
            $angles[] = round($angle, 4);
            $assignment[] = match (true) {
                $right === null => 'B',
                $crease === null => 'J',
                $angle > self::FLAT => 'V',
                $angle < -self::FLAT => 'M',
                default => 'F',
            };
        }
        $round = static fn (float $x): float => round($x, 6) + 0.0;

        return [
            'frame_classes' => ['foldedForm'],
            'frame_attributes' => ['3D'],
            'vertices_coords' => array_map(static fn (array $p): array => array_map($round, $p), $points),
            'faces_vertices' => $mesh->triangles,
            'edges_vertices' => $edges,
            'edges_assignment' => $assignment,
            'edges_foldAngle' => $angles,
            'cathedra:vertices_sheet' => array_map(
                static fn (array $p): array => array_map($round, $p),
                $mesh->sheet,
            ),
            ...$own,
        ];
    }

    /**
     * @param  array<int, array{float, float, float}>  $points
     * @param  array{int, int, int, int}  $at
     * @param  array{start: float, end: float}|null  $crease
     */
    private static function degrees(array $points, array $at, ?array $crease): float
    {
        $angle = BarsAndHinges::angleOf(...array_map(static fn (int $v): array => $points[$v], $at));
        if ($crease !== null && abs(abs($angle) - M_PI) < 1e-6) {
            // folded flat: which way cannot be read off the points
            return rad2deg(abs($crease['start']) > 1 ? $crease['start'] : $crease['end']);
        }

        return rad2deg($angle);
    }
}
