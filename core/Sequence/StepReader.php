<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\Landing;
use Cathedra\Core\Sequence\Landmark\Parser;
use Cathedra\Core\Sequence\Landmark\PointRef;

/** Reads one step. Every key is asked for only where the kind of fold has a use for it, so others are refused. */
final readonly class StepReader
{
    private const REPEATS = ['other side' => 'mirrored', 'behind' => 'behind'];

    private FoldReader $folds;

    private function __construct(private Reader $in, private int $number)
    {
        $this->folds = new FoldReader($in, $number);
    }

    /** @throws BadSequence */
    public static function read(Reader $in, int $number): Step
    {
        return (new self($in, $number))->step();
    }

    private function step(): Step
    {
        $kind = FoldKind::from($this->in->oneOf('fold', array_column(FoldKind::cases(), 'value')));
        $step = new Step(
            $this->number,
            $this->in->line(),
            $kind,
            $kind->creases() ? $this->folds->alignment() : null,
            $kind->creases() ? $this->folds->layers() : Layers::unsaid(),
            $this->landing($kind),
            $kind !== FoldKind::Crease || $this->in->oneOf('as', ['valley', 'mountain'], 'valley') === 'valley',
            $this->also($kind),
            $kind->isFold() ? $this->name() : null,
            $this->marks(),
            $this->in->optionalText('note', 300),
            $this->steps($kind),
            $kind === FoldKind::Rotate ? $this->turn() : 0.0,
            $kind !== FoldKind::TurnOver || $this->in->oneOf('axis', ['upright', 'level'], 'upright') === 'upright',
            $kind === FoldKind::Repeat ? self::REPEATS[$this->in->oneOf('on', array_keys(self::REPEATS))] : null,
            $kind->isCompound() ? MovementReader::read($kind, $this->in, $this->number) : null,
        );
        $this->in->nothingElse();

        return $step;
    }

    /** @return 'mirrored'|'behind'|null */
    private function also(FoldKind $kind): ?string
    {
        if (! $kind->isFold() || ! $this->in->has('also')) {
            return in_array($kind, [FoldKind::Kite, FoldKind::Cupboard], true) ? 'mirrored' : null;
        }

        return self::REPEATS[$this->in->oneOf('also', array_keys(self::REPEATS))];
    }

    private function landing(FoldKind $kind): Landing
    {
        if ($kind === FoldKind::Tuck) {
            return Landing::tuckedUnder($this->in->whole('under', 1, 20, 1));
        }
        if (! in_array($kind, [FoldKind::Valley, FoldKind::Mountain, FoldKind::PageTurn], true)) {
            return Landing::outside();
        }

        return $this->in->oneOf('lands', ['outside', 'inside'], 'outside') === 'inside' ? Landing::inside() : Landing::outside();
    }

    private function name(): ?string
    {
        $name = $this->in->optionalText('name', 40);
        if ($name !== null && preg_match('/^[a-z][a-z0-9-]*$/', $name) !== 1) {
            throw $this->in->bad('name', "A name has small letters, digits and hyphens and begins with a letter; \"$name\" does not.");
        }

        return $name;
    }

    /** @return array<string, PointRef> */
    private function marks(): array
    {
        if (! $this->in->has('marks')) {
            return [];
        }
        $marks = [];
        foreach ((array) $this->in->value('marks') as $name => $text) {
            if (! is_string($name) || ! is_string($text) || preg_match('/^[a-z][a-z0-9-]{0,39}$/', $name) !== 1) {
                throw $this->in->bad('marks', '"marks" must map names (small letters, digits, hyphens) to points.');
            }
            $marks[$name] = $this->folds->parsed('marks', $text, Parser::point(...));
        }

        return $marks;
    }

    /** @return list<int> */
    private function steps(FoldKind $kind): array
    {
        if ($kind === FoldKind::Unfold) {
            if ($this->number === 1) {
                throw $this->in->bad('step', 'Nothing has been folded before the first step, so there is nothing to unfold.');
            }

            return [$this->in->whole('step', 1, $this->number - 1, $this->number - 1)];
        }
        if ($kind !== FoldKind::Repeat) {
            return [];
        }
        $steps = $this->in->wholes('steps', 1, $this->number - 1);

        return $steps !== [] ? $steps : throw $this->in->bad('steps', '"steps" must name the steps to repeat.');
    }

    private function turn(): float
    {
        $degrees = $this->in->whole('by', 1, 359);

        return deg2rad($degrees) * ($this->in->oneOf('way', ['clockwise', 'counterclockwise'], 'clockwise') === 'clockwise' ? -1 : 1);
    }
}
