<?php

declare(strict_types=1);

namespace Cathedra\Core\Insight;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pinches;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Sequence\Alignment\Bring;
use Cathedra\Core\Sequence\Run\Action;
use Cathedra\Core\Sequence\Run\FoldedStep;

/**
 * What the geometry of a step says about doing it. Lengths in mm on the sheet it was folded from, shares of the sheet.
 */
final readonly class StepInsight
{
    /** mm to either side of a place: what the eye takes in when it looks for a mark there; estimate, half a finger. */
    private const STRETCH = 8.0;

    /** Share of the way to the middle of a face: just inside its edge, where the layers beside it are looked up. */
    private const BESIDE = 1e-3;

    /**
     * @param  int  $layers  under the crease where most move; 0 where nothing is folded
     * @param  int  $creases  lines bent at once
     * @param  float|null  $shortest  mm, the shortest of them
     * @param  float  $moved  share of the sheet's area that moves, all layers counted
     * @param  float|null  $narrowest  mm, the narrowest flap afterwards
     * @param  int|null  $mirrors  the earlier step of which this is the mirror image
     * @param  list<int>  $guides  earlier steps whose open creases are folded along here
     * @param  int  $hidden  landmarks out of sight
     * @param  int  $byEye  landmarks that nothing marks
     * @param  float  $score  of the formula in library/difficulty.yaml
     * @param  int  $level  1 to 5
     */
    private function __construct(
        public int $layers,
        public int $creases,
        public ?float $shortest,
        public float $moved,
        public ?float $narrowest,
        public ?int $mirrors,
        public array $guides,
        public int $hidden,
        public int $byEye,
        public float $score,
        public int $level,
    ) {
    }

    /** @param  list<FoldedStep>  $earlier  those of the same model before it */
    public static function of(FoldedStep $step, array $earlier, Difficulty $scale): self
    {
        $actions = array_values(
            array_filter($step->actions, static fn (Action $a): bool => $a->crease !== null || $a->change !== null),
        );
        $lines = array_map(BentLines::of(...), $actions);
        $layers = max([0, ...array_map(self::layers(...), $actions)]);
        $creases = max([0, ...array_map(static fn (BentLines $l): int => $l->count(), $lines)]);
        $lengths = array_merge(...array_map(static fn (BentLines $l): array => $l->lengths, $lines));
        $shortest = $lengths === [] ? null : min($lengths);
        [$hidden, $byEye] = $actions === [] ? [0, 0] : self::landmarks($step, $actions[0], $lines[0]);
        $sheet = $step->after->sheet;
        $score =
            ($scale->kinds[$step->step->kind->value] ?? 1.0) +
            $scale->creases * max(0, $creases - 1) +
            $scale->layers * max(0, $layers - 2) +
            ($shortest === null
                ? 0.0
                : $scale->smallness *
                    max(
                        0.0,
                        log($scale->smallMm / max(0.1, ($shortest * 150) / min($sheet->width, $sheet->height)), 2),
                    )) +
            $scale->hidden * $hidden +
            $scale->byEye * $byEye;

        return new self(
            layers: $layers,
            creases: $creases,
            shortest: $shortest,
            moved: self::moved($step, $actions),
            narrowest: Narrowest::flap($step->after),
            mirrors: Mirrored::of($step, $earlier),
            guides: self::guides($actions, $earlier),
            hidden: $hidden,
            byEye: $byEye,
            score: $score,
            level: $scale->level($score),
        );
    }

    private static function layers(Action $action): int
    {
        $most = 0;
        foreach ($action->moving as $part) {
            $most = max(
                $most,
                count(array_intersect(Stacks::facesAt($action->state, $part->centroid()), $action->faces)),
            );
        }

        return $most;
    }

    /** @param  list<Action>  $actions */
    private static function moved(FoldedStep $step, array $actions): float
    {
        $area = array_sum(
            array_map(
                static fn (Action $a): float => array_sum(
                    array_map(static fn (Polygon $p): float => $p->area(), $a->moving),
                ),
                $actions,
            ),
        );

        return $area / ($step->after->sheet->width * $step->after->sheet->height);
    }

    /**
     * How many places the hands must find that are out of sight, and how many that nothing marks.
     *
     * @return array{int, int}
     */
    private static function landmarks(FoldedStep $step, Action $action, BentLines $lines): array
    {
        $places =
            $step->step->alignment instanceof Bring && $action->crease !== null
                ? [$action->crease->grip, $action->crease->landing]
                : ($lines->main === null ? array_filter([$action->grip]) : [$lines->main->a, $lines->main->b]);
        $hidden = 0;
        $byEye = 0;
        foreach ($places as $place) {
            match (self::sight($action->state, $place)) {
                'hidden' => $hidden++,
                'bare' => $byEye++,
                default => null,
            };
        }

        return [$hidden, $byEye];
    }

    /**
     * An edge is seen at a place when on any stretch of it about that place, half a finger to either side, one of the
     * faces that it bounds lies on top.
     *
     * @return 'marked'|'hidden'|'bare' whether an edge, crease or corner is seen at a place, lies there under other
     *     paper, or is not there
     */
    private static function sight(FoldedState $state, Point $place): string
    {
        $on = array_filter(
            $state->pattern->edges,
            static fn (Edge $edge): bool => ! $edge->isHidden() &&
                $state->segment($edge)->passes($place, $state->tolerance->sight),
        );
        foreach ($on as $edge) {
            foreach ($edge->faces as $face) {
                if (self::liesOnTop($state, $face, $state->segment($edge), $place)) {
                    return 'marked';
                }
            }
        }
        foreach (Pinches::of($state) as $pinch) {
            if ($pinch['at']->passes($place, $state->tolerance->sight)) {
                $beside = $place->toward($state->polygons[$pinch['face']]->centroid(), self::BESIDE);
                $top = Stacks::facesAt($state, $beside)[0] ?? $pinch['face'];

                return $top === $pinch['face'] ? 'marked' : 'hidden';
            }
        }

        return $on === [] ? 'bare' : 'hidden';
    }

    /** Whether a face lies on top somewhere along a stretch of its edge about a place. */
    private static function liesOnTop(FoldedState $state, int $face, Segment $edge, Point $place): bool
    {
        $centre = $state->polygons[$face]->centroid();
        $along = $edge->direction();
        foreach ([0.0, self::STRETCH, -self::STRETCH, self::STRETCH / 2, -self::STRETCH / 2] as $mm) {
            $on = $place->plus($along->times($mm));
            if ($mm !== 0.0 && ! $edge->passes($on, $state->tolerance->sight)) {
                continue;
            }
            $stack = Stacks::facesAt($state, $on->toward($centre, self::BESIDE));
            if ($stack !== [] && $stack[0] === $face) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Action>  $actions
     * @param  list<FoldedStep>  $earlier
     * @return list<int>
     */
    private static function guides(array $actions, array $earlier): array
    {
        $numbers = array_map(static fn (FoldedStep $s): int => $s->step->number, $earlier);
        $used = [];
        foreach ($actions as $action) {
            $folds = $action->change === null ? [] : $action->change->folds;
            foreach ($folds as ['at' => $segment]) {
                foreach (self::openAt($action->state, $segment->middle()) as $origin) {
                    $used[] = (int) $origin;
                }
            }
            if ($action->crease !== null) {
                foreach ($action->state->pattern->creases() as $edge) {
                    $segment = $action->state->segment($edge);
                    if (
                        $edge->assignment === Assignment::Flat &&
                        $segment->liesOn($action->crease->line, $action->state->tolerance->sight)
                    ) {
                        $used[] = (int) $edge->origin;
                    }
                }
            }
        }
        $used = array_values(array_unique(array_intersect($used, $numbers)));
        sort($used);

        return $used;
    }

    /** @return list<string> labels of the steps whose open creases run through a place of the folded plane */
    private static function openAt(FoldedState $state, Point $place): array
    {
        $labels = [];
        foreach ($state->pattern->creases() as $edge) {
            if (
                $edge->assignment === Assignment::Flat &&
                ! $edge->isHidden() &&
                $edge->origin !== null &&
                $state->segment($edge)->passes($place, $state->tolerance->meeting)
            ) {
                $labels[] = $edge->origin;
            }
        }

        return $labels;
    }
}
