<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Landing;
use Cathedra\Core\Sequence\Alignment\Along;
use Cathedra\Core\Sequence\Alignment\Bring;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Layers;
use Cathedra\Core\Sequence\Movement\PetalMove;
use Cathedra\Core\Sequence\Movement\ReverseMove;
use Cathedra\Core\Sequence\Movement\SquashMove;
use Cathedra\Core\Sequence\Step;

/** A step as somebody might do it instead: the same step with one thing changed, or not done at all. */
final readonly class Variants
{
    /** The share of the way that is done when a fold stops short. */
    private const SHORT = 0.9;

    /** @return list<array{FaultKind, Step|null}> null: the step is left out */
    public static function of(Step $step, FoldedState $before): array
    {
        $found = [];
        if ($step->kind === FoldKind::TurnOver) {
            return [[FaultKind::NotTurned, null]];
        }
        if ($step->kind === FoldKind::Repeat) {
            return [[$step->on === 'behind' ? FaultKind::FrontOnly : FaultKind::OneSide, null]];
        }
        if ($step->kind === FoldKind::Unfold) {
            return [[FaultKind::GuideLeft, null]];
        }
        if (! $step->kind->isFold() || $step->kind === FoldKind::Hold || $step->kind === FoldKind::PinchMark) {
            return [];
        }
        if ($step->also !== null) {
            $found[] = [
                $step->also === 'behind' ? FaultKind::FrontOnly : FaultKind::OneSide,
                self::changed($step, ['also' => null]),
            ];
        }
        $other = match ($step->kind) {
            FoldKind::Valley, FoldKind::PageTurn => FoldKind::Mountain,
            FoldKind::Mountain => FoldKind::Valley,
            default => null,
        };
        if ($other !== null) {
            $found[] = [FaultKind::WrongSide, self::changed($step, ['kind' => $other])];
        }
        if ($step->kind === FoldKind::Crease && $before->faceCount() > 1 && self::isFolded($before)) {
            $found[] = [FaultKind::GuideLeft, self::changed($step, ['kind' => FoldKind::Valley])];
        }
        foreach (self::layers($step) as [$kind, $layers]) {
            $found[] = [$kind, self::changed($step, ['layers' => $layers])];
        }
        foreach (self::plainly($step) as $plain) {
            $found[] = [FaultKind::Plainly, $plain];
        }
        $plain = [FoldKind::Valley, FoldKind::Mountain, FoldKind::Kite, FoldKind::Cupboard];
        if (in_array($step->kind, $plain, true) && $step->alignment instanceof Bring) {
            $found[] = [
                FaultKind::Short,
                self::changed($step, ['alignment' => new ShortOf($step->alignment, self::SHORT)]),
            ];
        }

        return $found;
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

    private static function isFolded(FoldedState $state): bool
    {
        foreach ($state->pattern->creases() as $edge) {
            if ($edge->assignment->isFolded()) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<string, mixed>  $with */
    private static function changed(Step $step, array $with): Step
    {
        return $step->with([...$with, 'marks' => [], 'call' => []]);
    }
}
