<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Landing;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Alignment\Along;
use Cathedra\Core\Sequence\Alignment\Bring;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Landmark\CreaseOf;
use Cathedra\Core\Sequence\Layers;
use Cathedra\Core\Sequence\Movement\PetalMove;
use Cathedra\Core\Sequence\Movement\ReverseMove;
use Cathedra\Core\Sequence\Movement\SquashMove;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Sequence\Step;

/**
 * A step as somebody might do it instead: the same step with one thing changed, not done at all, or done on paper that
 * is held otherwise.
 */
final readonly class Variants
{
    /** The share of the way that is done when a fold stops short. */
    private const SHORT = 0.9;

    /** The share of the way that is done when a fold goes past its mark. */
    private const FAR = 1.1;

    /** The shares of the way at which another line may be taken for the one meant. */
    private const OTHER_WAY = [0.5, 2.0];

    /** How far the hinge of a petal is missed, as a share of the way to its point. */
    private const HINGE = 0.12;

    /** @return list<Variant> */
    public static function of(FoldedStep $right): array
    {
        [$step, $before] = [$right->step, $right->before];
        if ($step->kind === FoldKind::TurnOver) {
            return [new Variant(FaultKind::NotTurned, [])];
        }
        if ($step->kind === FoldKind::Repeat) {
            return [new Variant($step->on === 'behind' ? FaultKind::FrontOnly : FaultKind::OneSide, [])];
        }
        if ($step->kind === FoldKind::Unfold) {
            return [new Variant(FaultKind::GuideLeft, [])];
        }
        if (! $step->kind->isFold() || $step->kind === FoldKind::Hold || $step->kind === FoldKind::PinchMark) {
            return [];
        }

        return [
            ...self::otherwise($step, $before),
            ...self::inexact($right),
            ...OtherBase::of($right),
            ...self::held($right),
        ];
    }

    /** @return list<Variant> one thing changed: a side, the direction, layers, the manner */
    private static function otherwise(Step $step, FoldedState $before): array
    {
        $found = [];
        if ($step->also !== null) {
            $found[] = self::variant(
                $step->also === 'behind' ? FaultKind::FrontOnly : FaultKind::OneSide,
                $step,
                ['also' => null],
            );
        }
        $other = match ($step->kind) {
            FoldKind::Valley, FoldKind::PageTurn => FoldKind::Mountain,
            FoldKind::Mountain => FoldKind::Valley,
            default => null,
        };
        if ($other !== null) {
            $found[] = self::variant(FaultKind::WrongSide, $step, ['kind' => $other]);
        }
        if ($step->kind === FoldKind::Crease && $before->faceCount() > 1 && $before->isFolded()) {
            $found[] = self::variant(FaultKind::GuideLeft, $step, ['kind' => FoldKind::Valley]);
        }
        foreach (self::layers($step) as [$kind, $layers]) {
            $found[] = self::variant($kind, $step, ['layers' => $layers]);
        }
        foreach (self::plainly($step) as $plain) {
            $found[] = new Variant(FaultKind::Plainly, [$plain]);
        }

        return $found;
    }

    /** @return list<Variant> short of the mark, past it, the sides unlike, to another line, the hinge missed */
    private static function inexact(FoldedStep $right): array
    {
        $step = $right->step;
        $move = $step->movement;
        if ($move instanceof PetalMove) {
            return array_map(static fn (float $share): Variant => self::variant(FaultKind::PetalLine, $step, [
                'movement' => new PetalMove(
                    $move->tip,
                    new ShiftedLine($move->hinge, $move->tip, $share),
                    $move->oneSided,
                ),
            ]), [self::HINGE, -self::HINGE]);
        }
        $plain = [FoldKind::Valley, FoldKind::Mountain, FoldKind::Kite, FoldKind::Cupboard];
        if (! in_array($step->kind, $plain, true) || ! $step->alignment instanceof Bring) {
            return [];
        }
        $to = static fn (float $share, bool $second = false): array => [
            'alignment' => new ShortOf($step->alignment, $share, $second),
        ];
        $found = [
            self::variant(FaultKind::Short, $step, $to(self::SHORT)),
            self::variant(FaultKind::TooFar, $step, $to(self::FAR)),
        ];
        if ($step->also === 'mirrored') {
            $found[] = self::variant(FaultKind::Unlike, $step, $to(self::SHORT, true));
        }
        $crease = $right->actions[0]->crease ?? null;
        foreach (self::OTHER_WAY as $share) {
            if ($crease !== null && self::isOnALine($right->before, $crease->grip->toward($crease->landing, $share))) {
                $found[] = self::variant(FaultKind::NearForFar, $step, $to($share));
            }
        }

        return $found;
    }

    /** @return list<Variant> the paper held otherwise, where it looks alike so; an uncreased oblong also across */
    private static function held(FoldedStep $right): array
    {
        [$step, $before] = [$right->step, $right->before];
        $turn = static fn (float $by): Step => self::changed($step, [
            'kind' => FoldKind::Rotate, 'turn' => $by, 'alignment' => null, 'movement' => null, 'also' => null,
            'name' => null, 'like' => null,
        ]);
        $found = [];
        $isSheet = ! $before->isFolded();
        $look = Alike::of($before);
        if ($look->halfTurned && ! $isSheet) {
            $found[] = new Variant(FaultKind::HalfTurned, [$turn(M_PI), self::changed($step, [])]);
        }
        if ($isSheet ? ! $before->sheet->isSquare() : $look->quarterTurned) {
            $found[] = new Variant(FaultKind::QuarterTurned, [
                $turn(M_PI / 2),
                self::changed($step, $isSheet ? self::acrossTheSheet($right) : []),
            ]);
        }
        if ($step->also === null && $look->mirrored && ! $isSheet) {
            $found[] = new Variant(FaultKind::LeftForRight, [self::changed($step, [
                'kind' => FoldKind::Repeat, 'steps' => [$step->number], 'on' => 'mirrored', 'alignment' => null,
                'movement' => null, 'name' => null, 'like' => null,
            ])]);
        }

        return $found;
    }

    /**
     * On a sheet held across, a crease that is meant lies where it would lie in the picture, by shares of the sheet.
     *
     * @return array<string, mixed>
     */
    private static function acrossTheSheet(FoldedStep $right): array
    {
        $alignment = $right->step->alignment;
        $target = $right->actions[0]->crease->target ?? null;
        if (! $alignment instanceof Bring || ! $alignment->to instanceof CreaseOf || $target === null) {
            return [];
        }
        $box = $right->before->box();
        $middle = $box->centre();
        $stretch = $box->height() / $box->width();
        $across = static fn (Point $p): Point => new Point(
            $middle->x + ($p->x - $middle->x) * $stretch,
            $middle->y + ($p->y - $middle->y) / $stretch,
        );

        $pivot = $right->actions[0]->crease?->line->crossing($target->straight());

        return ['alignment' => new Bring(
            $alignment->what,
            new GivenLine(new Segment($across($target->a), $across($target->b))),
            $alignment->through === null || $pivot === null ? $alignment->through : new GivenPoint($across($pivot)),
        )];
    }

    /** Whether an edge or a crease runs through a place. */
    private static function isOnALine(FoldedState $state, Point $place): bool
    {
        foreach ($state->pattern->edges as $edge) {
            if ($state->segment($edge)->passes($place, $state->tolerance->sight)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<array{FaultKind, Layers}> */
    private static function layers(Step $step): array
    {
        if ($step->alignment === null) {
            return [];
        }

        return match ($step->layers->which) {
            'top' => [
                [FaultKind::LayerMore, Layers::top($step->layers->number + 1)],
                ...$step->layers->number > 1 ? [[FaultKind::LayerLess, Layers::top($step->layers->number - 1)]] : [],
            ],
            'all' => [[FaultKind::LayerLess, Layers::top(1)]],
            'flap' => [[FaultKind::LayerMore, Layers::top(2)]],
            default => [],
        };
    }

    /** @return list<Step> */
    private static function plainly(Step $step): array
    {
        $move = $step->movement;

        return match (true) {
            $move instanceof ReverseMove => [self::changed($step, [
                'kind' => FoldKind::Valley, 'movement' => null, 'alignment' => $move->alignment,
                'layers' => $move->layers,
            ]), self::changed($step, [
                'kind' => FoldKind::Valley, 'movement' => null, 'alignment' => $move->alignment,
                'layers' => Layers::all(),
            ])],
            $move instanceof SquashMove => [self::changed($step, [
                'kind' => FoldKind::Valley,
                'movement' => null,
                'alignment' => new Bring($move->edge, $move->hinge, null),
                'layers' => Layers::top(1),
            ])],
            $move instanceof PetalMove => [self::changed($step, [
                'kind' => FoldKind::Valley, 'movement' => null, 'alignment' => new Along($move->hinge, $move->tip),
                'layers' => Layers::top(1),
            ])],
            $step->kind === FoldKind::Tuck => [self::changed($step, [
                'kind' => $step->creaseAsValley ? FoldKind::Valley : FoldKind::Mountain,
                'landing' => Landing::outside(),
            ])],
            default => [],
        };
    }

    /** @param  array<string, mixed>  $with */
    private static function variant(FaultKind $kind, Step $step, array $with): Variant
    {
        return new Variant($kind, [self::changed($step, $with)]);
    }

    /** @param  array<string, mixed>  $with */
    private static function changed(Step $step, array $with): Step
    {
        return $step->with([...$with, 'marks' => [], 'call' => []]);
    }
}
