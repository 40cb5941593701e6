<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pinches;
use Cathedra\Core\Folding\Reading\LayerDepth;
use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Landmark\Nameable;
use Cathedra\Core\Sequence\Run\Action;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Space\StepMotion;

/**
 * Makes the scene of a state, alone or with the coming step drawn on it. Layers are fanned: every vertex is moved a
 * little along one diagonal by the mean depth of the faces round it, so that raw edges lying on one another part while
 * folds stay closed.
 *
 * @phpstan-import-type Pair from Scene
 * @phpstan-import-type SceneItem from Scene
 * @phpstan-import-type SceneArrow from Scene
 */
final class SceneBuilder
{
    /**
     * How far one layer is moved, as a share of the sheet's shorter side: seen at 3 cm width, small against any flap.
     */
    private const FAN = 0.004;

    /** The whole fan is never wider than this share, however many layers there are. */
    private const FAN_MOST = 0.02;

    /** @var array<int, int> layers over each face, the longest chain */
    private array $depth;

    private float $fan;

    private function __construct(private readonly FoldedState $state)
    {
        $this->depth = LayerDepth::of($state);
        $deepest = max([1, ...$this->depth]);
        $this->fan = min($state->sheet->width, $state->sheet->height) * min(self::FAN, self::FAN_MOST / $deepest);
    }

    /** The state as it lies. */
    public static function ofState(FoldedState $state): Scene
    {
        return (new self($state))->scene([], []);
    }

    /**
     * The state with numbers at its landmarks; those of one place stand together.
     *
     * @param  list<Nameable>  $landmarks
     */
    public static function labelled(FoldedState $state, array $landmarks): Scene
    {
        $plain = self::ofState($state);
        $labels = [];
        foreach ($landmarks as $landmark) {
            $at = $landmark->place();
            $key = sprintf('%.1f %.1f', $at->x, $at->y);
            $labels[$key] ??= ['at' => [$at->x, $at->y], 'text' => '', 'style' => 'label'];
            $labels[$key]['text'] .= ($labels[$key]['text'] === '' ? '' : '/').$landmark->number;
        }

        return new Scene(
            frame: $plain->frame,
            items: $plain->items,
            folds: [],
            arrows: [],
            dots: [],
            signs: [],
            labels: array_values($labels),
        );
    }

    /** The model as lists show it: finished, with the parts that were attached, or its most telling flat state. */
    public static function ofModel(FoldedModel $model): Scene
    {
        $last = $model->steps[count($model->steps) - 1] ?? null;
        $form = $last === null ? null : self::formed($last);
        if ($form !== null) {
            return $form;
        }
        $shown = $model->sequence->shown;
        if ($shown !== null) {
            return self::after($model->steps[$shown - 1]);
        }
        $scene = self::ofState($model->end());
        foreach ($model->attachments() as $step) {
            $scene = Attaching::joined($scene, $step);
        }

        return $scene;
    }

    /** The finished form in space that a step makes; null where it lies flat, or none is known. */
    private static function formed(FoldedStep $step): ?Scene
    {
        $form = $step->step->form;
        $pieces = StepMotion::form($step);
        if ($form === null || ! is_array($pieces) || $pieces === []) {
            return null;
        }
        $piece = $pieces[count($pieces) - 1];

        return SpaceScene::of(
            piece: $piece,
            moment: count($piece->at) - 1,
            turn: deg2rad($form->turn),
            tilt: deg2rad($form->tilt),
            roll: deg2rad($form->roll),
        );
    }

    /** The state after a step, or the form in space that it makes. */
    public static function after(FoldedStep $step): Scene
    {
        return self::formed($step) ?? Attaching::joined(self::ofState($step->after), $step);
    }

    /**
     * The state before a step, with fold lines, arrows and signs of what comes.
     *
     * @param  bool  $letters  whether the places of the first arrow have letters instead of dots
     */
    public static function before(FoldedStep $step, bool $letters = false): Scene
    {
        $inFront = array_values(array_filter($step->actions, static fn (Action $a): bool => ! $a->behind));
        $behind = count($inFront) < count($step->actions);
        $signs = self::signs($step, $behind);
        $scene = (new self($step->before))->scene($inFront, $signs, self::pulls($step), $step->range);
        $scene = $step->attached === null ? $scene : Attaching::beside($scene, $step, $step->attached);

        return $letters && $scene->dots !== [] ? $scene->lettered(FoldMarks::LETTERS) : $scene;
    }

    /**
     * Opening out is a pull to both sides, from near the middle.
     *
     * @return list<SceneArrow>
     */
    private static function pulls(FoldedStep $step): array
    {
        if ($step->step->kind !== FoldKind::OpenOut) {
            return [];
        }
        $box = $step->before->box();
        $centre = $box->centre();

        return array_map(
            static fn (int $way): array => [
                'kind' => 'pull',
                'from' => [$centre->x + $way * 0.12 * $box->width(), $centre->y],
                'bend' => [$centre->x + $way * 0.3 * $box->width(), $centre->y + 0.06 * $box->height()],
                'to' => [$centre->x + $way * 0.48 * $box->width(), $centre->y],
            ],
            [-1, 1],
        );
    }

    /** How small the action must be, as a share of the model, to be shown larger once more. */
    private const SMALL = 0.4;

    /**
     * The same picture as before(), of the place of the action only; null when the action is large enough to be seen.
     */
    public static function closeUp(FoldedStep $step, bool $letters = false): ?Scene
    {
        $scene = self::before($step, $letters);
        $marks = [
            ...array_merge(...array_map(static fn (array $f): array => [$f['from'], $f['to']], $scene->folds)),
            ...$scene->dots,
        ];
        foreach ($scene->items as $item) {
            $marks =
                $item['type'] === 'face' && $item['face']['moving'] ? [...$marks, ...$item['face']['points']] : $marks;
        }
        if ($scene->folds === []) {
            return null;
        }
        $box = Box::around(array_map(static fn (array $p): Point => new Point(...$p), $marks));
        $size = max($box->width(), $box->height());
        $whole = $step->before->box();
        if ($size >= self::SMALL * max($whole->width(), $whole->height())) {
            return null;
        }
        $half = $size * 0.7;
        $centre = $box->centre();

        return new Scene(
            frame: [$centre->x - $half, $centre->y - $half, 2 * $half, 2 * $half],
            items: $scene->items,
            folds: $scene->folds,
            arrows: $scene->arrows,
            dots: $scene->dots,
            signs: [],
            labels: $scene->labels,
        );
    }

    /**
     * @param  list<Action>  $actions
     * @param  list<string>  $signs
     * @param  list<SceneArrow>  $arrows  besides those of the actions
     * @param  list<Action>  $range  with the least and the most of a length chosen by eye
     */
    private function scene(array $actions, array $signs, array $arrows = [], array $range = []): Scene
    {
        $folds = FoldMarks::range($range);
        $dots = [];
        foreach ($actions as $action) {
            $folds = [...$folds, ...FoldMarks::lines($action)];
            $arrow = FoldMarks::arrow($action);
            if ($arrow !== null) {
                $arrows[] = $arrow;
                $dots = [...$dots, $arrow['from'], $arrow['to']];
            }
        }
        $marks = [
            ...array_merge(...array_map(static fn (array $f): array => [$f['from'], $f['to']], $folds)),
            ...array_merge(...array_map(static fn (array $a): array => [$a['from'], $a['bend'], $a['to']], $arrows)),
        ];

        return new Scene(
            frame: $this->frame($marks, count($signs)),
            items: [...$this->items(), ...self::tints($actions)],
            folds: $folds,
            arrows: $arrows,
            dots: $dots,
            signs: $signs,
        );
    }

    /**
     * Faces from the bottom up, each followed by its edges; faces that overlap in a ring are painted piece by piece.
     *
     * @return list<SceneItem>
     */
    private function items(): array
    {
        if (Woven::is($this->state)) {
            return Woven::items($this->state);
        }
        $sorted = array_keys($this->depth);
        usort($sorted, fn (int $i, int $j): int => [$this->depth[$j], $i] <=> [$this->depth[$i], $j]);
        $offsets = $this->offsets();
        $items = [];
        foreach ($sorted as $face) {
            $loop = $this->state->pattern->faces[$face];
            $at = fn (int $vertex): array => $this->pair($this->state->corner($face, $vertex)->plus($offsets[$vertex]));
            $side = $this->state->frontUp[$face] ? 'front' : 'back';
            $items[] = [
                'type' => 'face',
                'face' => [
                    'points' => array_map($at, $loop),
                    'side' => $side,
                    'moving' => false,
                    'depth' => $this->depth[$face],
                ],
            ];
            foreach ($this->state->pattern->around($face) as $edge) {
                if ($edge->isHidden()) {
                    continue;
                }
                $kind = $edge->assignment->isRaw() ? 'raw' : ($edge->assignment->isFolded() ? 'folded' : 'crease');
                $items[] = [
                    'type' => 'line',
                    'line' => ['kind' => $kind, 'from' => $at($edge->a), 'to' => $at($edge->b)],
                ];
            }
            $items = [...$items, ...$this->pinches($face, $offsets)];
        }

        return $items;
    }

    /**
     * Short marks on a face, moved as the face is in the fan.
     *
     * @param  array<int, Point>  $offsets
     * @return list<SceneItem>
     */
    private function pinches(int $face, array $offsets): array
    {
        $loop = $this->state->pattern->faces[$face];
        $sum = array_reduce($loop, static fn (Point $p, int $v): Point => $p->plus($offsets[$v]), new Point(0, 0));
        $by = $sum->times(1 / count($loop));
        $here = array_filter(Pinches::of($this->state), static fn (array $p): bool => $p['face'] === $face);

        return array_values(array_map(fn (array $pinch): array => [
            'type' => 'line',
            'line' => [
                'kind' => 'crease',
                'from' => $this->pair($pinch['at']->a->plus($by)),
                'to' => $this->pair($pinch['at']->b->plus($by)),
            ],
        ], $here));
    }

    /**
     * All moving paper, tinted.
     *
     * @param  list<Action>  $actions
     * @return list<SceneItem>
     */
    private static function tints(array $actions): array
    {
        $items = [];
        foreach ($actions as $action) {
            foreach ($action->moving as $i => $part) {
                $items[] = [
                    'type' => 'face',
                    'face' => [
                        'points' => array_map(static fn (Point $p): array => [$p->x, $p->y], $part->points),
                        'side' => $action->state->frontUp[$action->faces[$i]] ? 'front' : 'back',
                        'moving' => true,
                        'depth' => 0,
                    ],
                ];
            }
        }

        return $items;
    }

    /** @return array<int, Point> by vertex */
    private function offsets(): array
    {
        $sum = [];
        foreach ($this->state->pattern->faces as $face => $loop) {
            foreach ($loop as $vertex) {
                $sum[$vertex][] = $this->depth[$face];
            }
        }
        $step = new Point(-$this->fan * 0.8, -$this->fan);

        return array_map(static fn (array $depths): Point => $step->times(array_sum($depths) / count($depths)), $sum);
    }

    /**
     * @param  list<Pair>  $marks
     * @param  int  $signs  for so many room is kept under the model
     * @return array{float, float, float, float}
     */
    private function frame(array $marks, int $signs): array
    {
        $box = $this->state->box();
        [$l, $b, $r, $t] = [$box->left, $box->bottom, $box->right, $box->top];
        foreach ($marks as [$x, $y]) {
            [$l, $b, $r, $t] = [min($l, $x), min($b, $y), max($r, $x), max($t, $y)];
        }
        $margin = 0.05 * max($r - $l, $t - $b) + ((self::FAN_MOST / 2) * $this->state->sheet->diagonal()) / 2;

        $below = $signs > 0 ? 0.14 * max($r - $l, $t - $b) : 0.0;
        $height = $t - $b + 2 * $margin + $below;
        $narrow = max(0.0, ($signs * Drawing::SIGN['apart'] * $height) / Drawing::BOX - ($r - $l + 2 * $margin));
        [$l, $r] = [$l - $narrow / 2, $r + $narrow / 2];

        return [$l - $margin, $b - $margin - $below, $r - $l + 2 * $margin, $height];
    }

    /** @return list<string> */
    private static function signs(FoldedStep $step, bool $behind): array
    {
        $signs = match ($step->step->kind) {
            FoldKind::TurnOver => [$step->step->upright ? 'turn-over' : 'turn-over-level'],
            FoldKind::Rotate => [$step->step->turn < 0 ? 'rotate-clockwise' : 'rotate-counterclockwise'],
            FoldKind::Unfold => ['unfold'],
            FoldKind::Inflate,
            FoldKind::OpenOut,
            FoldKind::Curl,
            FoldKind::Pinch,
            FoldKind::Stand,
            FoldKind::Attach,
            FoldKind::Cut => [$step->step->kind->value],
            default => [],
        };

        return $behind ? [...$signs, 'repeat-behind'] : $signs;
    }

    /** @return Pair */
    private function pair(Point $p): array
    {
        return [$p->x, $p->y];
    }
}
