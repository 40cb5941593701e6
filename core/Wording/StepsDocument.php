<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Insight\ModelInsight;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Sequence\Alignment\Bring;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Hands\Handling;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Run\Action;
use Cathedra\Core\Sequence\Run\FoldedModel;

/**
 * Everything that is said and drawn of a model's steps, with the claims behind it as numbers, so that somebody else can
 * compare them with the folded states (cathedra:fold). Millimetres, in the frame of the state before the step.
 */
final readonly class StepsDocument
{
    private function __construct(
        private FoldedModel $model,
        private ModelInsight $insight,
        private BaseTimes $times,
    ) {
    }

    /** @return array<string, mixed> for JSON; the keys are described in docs/steps.md */
    public static function of(FoldedModel $model, Difficulty $scale, BaseTimes $times, Phrasebook $words): array
    {
        $insight = ModelInsight::of($model, $scale);
        $self = new self($model, $insight, $times);
        $said = Teacher::of($model, $insight, $scale, $words);

        return [
            'model' => $model->sequence->slug,
            'side_mm' => round(min($model->start->sheet->width, $model->start->sheet->height), 4),
            'steps' => array_map($self->step(...), array_keys($said), $said),
        ];
    }

    /** @return array<string, mixed> */
    private function step(int $i, SaidStep $said): array
    {
        $step = $this->model->steps[$i];
        $kind = $step->step->kind;
        $action = $step->actions[0] ?? null;
        // What is held or only pinched comes back: of the flat paper nothing is claimed to move.
        $stays = in_array($kind, [FoldKind::Repeat, FoldKind::Hold, FoldKind::PinchMark], true);
        $hands = $action === null || $stays ? null : Handling::of($action);
        $seconds = $this->times->folds[$kind->value] ?? ['show' => 0.0, 'fold' => 0.0];

        return [
            'number' => $step->step->number,
            'fold' => $kind->value,
            'name' => $said->name,
            'do' => $said->sentence(),
            'motions' => $said->do,
            'look' => $said->look,
            'because' => $said->because,
            'stop' => $said->stop,
            'warn_ahead' => $said->warnAhead,
            'cautions' => $said->cautions,
            'note' => $said->note,
            'hard' => in_array($step->step->number, $this->insight->hard, true),
            'seconds' => ['show' => $seconds['show'], 'fold' => $seconds['fold']],
            'claims' => $hands === null || $action === null
                ? ['take' => null, 'to' => null, 'fold_line' => null, 'direction' => null, 'turn' => null]
                : [
                    'take' => [
                        'at' => self::pair($hands->at),
                        'kind' => $hands->edge !== null ? 'edge' : ($kind === FoldKind::PageTurn ? 'flap' : 'point'),
                        'layers' => $hands->layers,
                        'of' => $hands->of,
                    ],
                    'to' => $step->step->alignment instanceof Bring &&
                        $step->step->alignment->to instanceof LineRef &&
                        $hands->target !== null
                            ? ['line' => self::ends($hands->target)]
                            : ['at' => self::pair($hands->to)],
                    'fold_line' => $hands->line === null ? null : self::ends($hands->line),
                    'direction' => $said->saysWay ? $hands->way->value : 'place',
                    'turn' => Handling::turn($action),
                ],
            'drawn' => $this->drawn($i, $hands, $action),
            'state' => $this->state($i, $step->after),
        ];
    }

    /** @return array<string, mixed> */
    private function drawn(int $i, ?Handling $hands, ?Action $action): array
    {
        $step = $this->model->steps[$i];
        // Where a part comes from lies on no paper of this state; of two pieces the document says the main one.
        $scene = $step->attached === null ? SceneBuilder::before($step) : SceneBuilder::ofState($step->before);
        $arrow = $scene->arrows[0] ?? null;

        return [
            'dots' => array_map(static fn (array $dot): array => self::pair(new Point(...$dot)), $scene->dots),
            'arrow' => $arrow === null
                ? null
                : [self::pair(new Point(...$arrow['from'])), self::pair(new Point(...$arrow['to']))],
            'fold_line' => $hands?->line === null ? null : self::ends($hands->line),
            'tinted_share' => $action === null ? null : self::tintedShare($scene, $action),
        ];
    }

    /** How much of the moving paper's area lies under the tint of the picture; null where nothing moves. */
    private static function tintedShare(Scene $scene, Action $action): ?float
    {
        $tints = [];
        foreach ($scene->items as $item) {
            if ($item['type'] === 'face' && $item['face']['moving']) {
                $points = array_map(static fn (array $p): Point => new Point(...$p), $item['face']['points']);
                $tints[] = Polygon::of($points);
            }
        }
        [$covered, $all] = [0.0, 0.0];
        foreach ($action->moving as $part) {
            $shares = array_map(static fn (Polygon $tint): float => $tint->intersection($part)->area(), $tints);
            $covered += max([0.0, ...$shares]);
            $all += $part->area();
        }

        return $all > 0 ? round($covered / $all, 4) : null;
    }

    /** @return array<string, mixed> */
    private function state(int $i, FoldedState $state): array
    {
        $anatomy = Anatomy::of($state);
        $loose = [];
        foreach ($anatomy->outline->corners as $corner => $at) {
            $count = $anatomy->cornerAt($corner)['loose'];
            if ($count > 1) {
                $loose[] = ['at' => self::pair($at), 'count' => $count];
            }
        }
        $sides = ['open' => [], 'closed' => [], 'mixed' => []];
        foreach (array_keys($anatomy->outline->sides()) as $side) {
            $name = $anatomy->compass->nameOfSide($side);
            if ($name !== null) {
                $sides[$anatomy->sideKind($side)][] = $name->value;
            }
        }

        return [
            'shape' => $anatomy->shape()->value,
            'loose_points' => $loose,
            'open' => $sides['open'],
            'closed' => $sides['closed'],
            'like' => $this->model->steps[$i]->step->like,
            'form3d' => Look::formAt($this->model, $i) !== null,
        ];
    }

    /** @return array{float, float} */
    private static function pair(Point $p): array
    {
        return [round($p->x, 4) + 0.0, round($p->y, 4) + 0.0];
    }

    /** @return array{array{float, float}, array{float, float}} */
    private static function ends(Segment $segment): array
    {
        return [self::pair($segment->a), self::pair($segment->b)];
    }
}
