<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

/**
 * What one picture shows, independent of how it is drawn: millimetres of the folded plane, x right, y up, with the
 * frame that holds it all. Drawing turns it into strokes.
 *
 * @phpstan-type Pair array{float, float}
 * @phpstan-type SceneFace array{points: list<Pair>, side: 'front'|'back', moving: bool, depth: int}
 * @phpstan-type SceneLine array{kind: 'raw'|'folded'|'crease', from: Pair, to: Pair}
 * @phpstan-type SceneTile array{points: list<Pair>, side: 'front'|'back', shade: int}
 * @phpstan-type TileItem array{type: 'tile', tile: SceneTile}
 * @phpstan-type SceneItem array{type: 'face', face: SceneFace}|array{type: 'line', line: SceneLine}|TileItem
 * @phpstan-type SceneFold array{kind: 'valley'|'mountain'|'cut'|'range', from: Pair, to: Pair}
 * @phpstan-type SceneArrow array{kind: 'fold'|'fold-unfold'|'behind'|'push'|'open'|'pull', from: Pair, bend: Pair,
 *     to: Pair}
 */
final readonly class Scene
{
    /**
     * @param  array{float, float, float, float}  $frame  left, bottom, width, height
     * @param  list<SceneItem>  $items  in paint order
     * @param  list<SceneFold>  $folds  fold lines of the coming step
     * @param  list<SceneArrow>  $arrows
     * @param  list<Pair>  $dots  landmarks that are being matched
     * @param  list<string>  $signs  turn-over, rotate-clockwise, rotate-counterclockwise, repeat-behind, unfold
     * @param  list<array{at: Pair, text: string, style: 'label'|'letter'}>  $labels  numbers of landmarks, letters of
     *     places
     */
    public function __construct(
        public array $frame,
        public array $items,
        public array $folds,
        public array $arrows,
        public array $dots,
        public array $signs,
        public array $labels = [],
    ) {
    }

    /**
     * The corners of an item, or the ends of a line.
     *
     * @param  SceneItem  $item
     * @return list<Pair>
     */
    public static function pointsOf(array $item): array
    {
        return match ($item['type']) {
            'face' => $item['face']['points'],
            'tile' => $item['tile']['points'],
            'line' => [$item['line']['from'], $item['line']['to']],
        };
    }

    /**
     * The same with letters instead of the first dots.
     *
     * @param  non-empty-list<string>  $letters
     */
    public function lettered(array $letters): self
    {
        $labels = $this->labels;
        foreach (array_slice($this->dots, 0, count($letters)) as $i => $at) {
            $labels[] = ['at' => $at, 'text' => $letters[$i], 'style' => 'letter'];
        }

        return new self(
            frame: $this->frame,
            items: $this->items,
            folds: $this->folds,
            arrows: $this->arrows,
            dots: array_slice($this->dots, count($letters)),
            signs: $this->signs,
            labels: $labels,
        );
    }

    /** The strokes that show it. */
    public function drawing(): Drawing
    {
        return Drawing::of($this);
    }
}
