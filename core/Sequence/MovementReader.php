<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Sequence\Landmark\SheetPoint;
use Cathedra\Core\Sequence\Movement\BlintzMove;
use Cathedra\Core\Sequence\Movement\CollapseMove;
use Cathedra\Core\Sequence\Movement\CutMove;
use Cathedra\Core\Sequence\Movement\EarMove;
use Cathedra\Core\Sequence\Movement\Movement;
use Cathedra\Core\Sequence\Movement\PetalMove;
use Cathedra\Core\Sequence\Movement\PleatMove;
use Cathedra\Core\Sequence\Movement\ReverseMove;
use Cathedra\Core\Sequence\Movement\SquashMove;

/** Reads the keys of a fold of several creases at once. */
final readonly class MovementReader
{
    private function __construct(private Reader $in, private FoldReader $folds)
    {
    }

    /** @throws BadSequence */
    public static function read(FoldKind $kind, Reader $in, int $number): Movement
    {
        return (new self($in, new FoldReader($in, $number)))->movement($kind);
    }

    private function movement(FoldKind $kind): Movement
    {
        return match ($kind) {
            FoldKind::Squash => new SquashMove($this->folds->line('bring'), $this->folds->line('to')),
            FoldKind::Petal, FoldKind::Swivel => new PetalMove(
                $this->folds->point('lift'),
                $this->folds->line('hinge'),
                $kind === FoldKind::Swivel,
            ),
            FoldKind::RabbitEar => new EarMove(
                $this->folds->point('tip'),
                $this->folds->point('toward'),
                $this->folds->point('away'),
            ),
            FoldKind::InsideReverse, FoldKind::OutsideReverse => new ReverseMove(
                $this->folds->alignment(),
                $this->folds->layers(),
                $kind === FoldKind::InsideReverse,
            ),
            FoldKind::Pleat => $this->pleat(null),
            FoldKind::Crimp => $this->pleat($this->in->oneOf('side', ['inside', 'outside'], 'inside') === 'inside'),
            FoldKind::Blintz => new BlintzMove($this->in->oneOf('as', ['valley', 'mountain'], 'valley') === 'valley'),
            FoldKind::Collapse => $this->collapse(),
            FoldKind::Cut => $this->cut(),
            default => throw new \LogicException("$kind->value is not a fold of several creases."),
        };
    }

    private function pleat(?bool $inside): PleatMove
    {
        $valley = $inside !== null || $this->in->oneOf('as', ['valley', 'mountain'], 'valley') === 'valley';

        return new PleatMove(
            $this->folds->line('along'),
            $this->folds->line('back'),
            $this->folds->point('move'),
            $this->folds->layers(),
            $valley,
            $inside,
        );
    }

    private function collapse(): CollapseMove
    {
        $stays = $this->in->has('stays') ? $this->folds->point('stays') : null;
        if ($stays !== null && ! ($stays instanceof SheetPoint)) {
            throw $this->in->bad(
                'stays',
                '"stays" must be a point of the sheet: A to D, centre or "paper SHARE SHARE".',
            );
        }
        $move = new CollapseMove(
            $this->folds->lines('valley'),
            $this->folds->lines('mountain'),
            $this->folds->lines('flat'),
            $stays,
            $this->in->oneOf('moves', ['on top', 'under'], 'on top') === 'on top',
        );

        return $move->valley !== [] || $move->mountain !== []
            ? $move
            : throw $this->in->bad(null, 'A collapse lists its creases: valley, mountain, or both.');
    }

    private function cut(): CutMove
    {
        $lines = is_array($this->in->value('along')) ? $this->folds->lines('along') : [$this->folds->line('along')];
        $layers = $this->in->text('layers', 'all', 20);
        if (preg_match('/^(?:all|top(?: ([1-9]\d?))?)$/', $layers, $m) !== 1) {
            throw $this->in->bad('layers', '"layers" of a cut must be: all, top, or top with a number.');
        }

        return new CutMove(
            $lines,
            $layers === 'all' ? null : (int) ($m[1] ?? 1),
            $this->in->has('remove') ? $this->folds->point('remove') : null,
        );
    }
}
