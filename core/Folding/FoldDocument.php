<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Point;

/**
 * Writes folded states as a FOLD document (the openly specified JSON format for folded sheets, version 1.2): key frame
 * the flat sheet with the final creases, one self-contained frame per step with the keys 3-folding.md of the design
 * lists.
 */
final readonly class FoldDocument
{
    /** Decimals of coordinates in mm: a thousandth of a thousandth of what a hand can fold. */
    private const DECIMALS = 9;

    /**
     * @param  list<array{state: FoldedState, fold: string, text: string, form3d?: bool, part?: string|null}>  $steps in
     *     their order; part: the second piece a step belongs to
     * @return array<string, mixed>
     */
    public static function of(string $title, FoldedState $start, array $steps): array
    {
        $last = $start;
        $parts = [];
        $frames = [];
        foreach ($steps as $i => $step) {
            $part = $step['part'] ?? null;
            $part === null ? ($last = $step['state']) : ($parts[$part] = $step['state']);
            $frames[] =
                self::frame($step['state']) + [
                    'cathedra:step' => ['number' => $i + 1, 'fold' => $step['fold'], 'text' => $step['text']] +
                        ($part === null ? [] : ['part' => $part]),
                ] +
                ($step['form3d'] ?? false ? ['cathedra:form3d' => true] : []);
        }

        return [
            'file_spec' => 1.2,
            'file_creator' => 'Cathedra',
            'file_title' => $title,
            ...self::flatSheet($last),
            ...$parts === [] ? [] : ['cathedra:parts' => array_map(self::flatSheet(...), $parts)],
            'file_frames' => $frames,
        ];
    }

    /**
     * The flat sheet with the creases it has now.
     *
     * @return array<string, mixed>
     */
    public static function flatSheet(FoldedState $state): array
    {
        return [
            'frame_classes' => ['creasePattern'],
            'frame_attributes' => ['2D'],
            'frame_unit' => 'mm',
            'vertices_coords' => array_map(self::coordinates(...), $state->pattern->vertices),
            ...self::topology($state),
            'cathedra:sheet' => self::sheet($state),
        ];
    }

    /** @return array<string, mixed> */
    public static function frame(FoldedState $state): array
    {
        $folded = [];
        foreach ($state->pattern->faces as $face => $loop) {
            foreach ($loop as $vertex) {
                $folded[$vertex] ??= self::coordinates($state->corner($face, $vertex));
            }
        }
        ksort($folded);
        $orders = [];
        foreach ($state->order->pairs() as [$i, $j, $iAbove]) {
            $orders[] = [$i, $j, $iAbove === $state->frontUp[$j] ? 1 : -1];
        }
        $frame = [
            'frame_classes' => ['foldedForm'],
            'frame_attributes' => ['2D'],
            'frame_unit' => 'mm',
            'vertices_coords' => array_values($folded),
            'cathedra:vertices_sheet' => array_map(self::coordinates(...), $state->pattern->vertices),
            ...self::topology($state),
            'faceOrders' => $orders,
            'cathedra:sheet' => self::sheet($state),
        ];

        return $state->removedArea > 0 ? $frame + ['cathedra:removed_area_mm2' => $state->removedArea] : $frame;
    }

    /**
     * @return array{faces_vertices: list<list<int>>, edges_vertices: list<array{int, int}>,
     *     edges_assignment: list<string>, edges_faces: list<array{int, int|null}>}
     */
    private static function topology(FoldedState $state): array
    {
        $edges = array_values($state->pattern->edges);

        return [
            'faces_vertices' => $state->pattern->faces,
            'edges_vertices' => array_map(static fn (Edge $e): array => [$e->a, $e->b], $edges),
            'edges_assignment' => array_map(static fn (Edge $e): string => $e->assignment->value, $edges),
            'edges_faces' => array_map(static fn (Edge $e): array => [$e->faces[0], $e->faces[1] ?? null], $edges),
        ];
    }

    /** @return array{polygon: list<array{float, float}>} */
    private static function sheet(FoldedState $state): array
    {
        return ['polygon' => array_map(self::coordinates(...), $state->sheet->polygon()->points)];
    }

    /** @return array{float, float} */
    private static function coordinates(Point $p): array
    {
        return [round($p->x, self::DECIMALS) + 0.0, round($p->y, self::DECIMALS) + 0.0];
    }
}
