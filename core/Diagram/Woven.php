<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/**
 * The picture of faces that overlap in a ring, as a windmill's vanes do: no order of painting whole faces is right,
 * so what is seen is painted cell by cell, each as its uppermost layer, and every edge where its face is uppermost.
 *
 * @phpstan-import-type SceneItem from Scene
 */
final readonly class Woven
{
    /** Whether some faces lie each above the next all the way round. */
    public static function is(FoldedState $state): bool
    {
        $above = array_fill(0, $state->faceCount(), 0);
        $under = [];
        foreach ($state->order->pairs() as [$i, $j, $isAbove]) {
            [$upper, $lower] = $isAbove ? [$i, $j] : [$j, $i];
            $under[$upper][] = $lower;
            $above[$lower]++;
        }
        $free = array_keys($above, 0, true);
        for ($k = 0; $k < count($free); $k++) {
            foreach ($under[$free[$k]] ?? [] as $lower) {
                if (--$above[$lower] === 0) {
                    $free[] = $lower;
                }
            }
        }

        return count($free) < $state->faceCount();
    }

    /** @return list<SceneItem> in paint order */
    public static function items(FoldedState $state): array
    {
        $items = [];
        $cells = Stacks::of($state)->cells;
        foreach ($cells as $cell) {
            $items[] = [
                'type' => 'face',
                'face' => [
                    'points' => array_map(static fn (Point $p): array => [$p->x, $p->y], $cell['polygon']->points),
                    'side' => $state->frontUp[$cell['faces'][0]] ? 'front' : 'back',
                    'moving' => false,
                    'depth' => 0,
                ],
            ];
        }
        foreach ($state->pattern->edges as $edge) {
            $kind = $edge->assignment->isRaw() ? 'raw' : ($edge->assignment->isFolded() ? 'folded' : 'crease');
            foreach ($edge->isHidden() ? [] : self::seen($state, $edge, $cells) as $piece) {
                $items[] = [
                    'type' => 'line',
                    'line' => [
                        'kind' => $kind,
                        'from' => [$piece->a->x, $piece->a->y],
                        'to' => [$piece->b->x, $piece->b->y],
                    ],
                ];
            }
        }

        return $items;
    }

    /**
     * The pieces of an edge along which one of its faces is uppermost.
     *
     * @param  list<array{polygon: \Cathedra\Core\Geometry\Polygon, faces: list<int>}>  $cells
     * @return list<Segment>
     */
    private static function seen(FoldedState $state, Edge $edge, array $cells): array
    {
        $segment = $state->segment($edge);
        $shares = [0.0, 1.0];
        foreach ($cells as $cell) {
            $span = $cell['polygon']->spanInside($segment->a, $segment->b, -$state->tolerance->meeting);
            $shares = $span === null ? $shares : [...$shares, ...$span];
        }
        sort($shares);
        $aside = $segment->direction()->turnedLeft()->times($state->tolerance->aside);
        $seen = [];
        foreach ($shares as $i => $to) {
            $from = $shares[max(0, $i - 1)];
            if (($to - $from) * $segment->length() <= $state->tolerance->aside) {
                continue;
            }
            $middle = $segment->at(($from + $to) / 2);
            $top = [
                Stacks::facesAt($state, $middle->plus($aside))[0] ?? null,
                Stacks::facesAt($state, $middle->minus($aside))[0] ?? null,
            ];
            if (array_intersect($edge->faces, array_filter($top, is_int(...))) !== []) {
                $seen[] = new Segment($segment->at($from), $segment->at($to));
            }
        }

        return $seen;
    }
}
