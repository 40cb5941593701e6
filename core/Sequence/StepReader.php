<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\Landing;
use Cathedra\Core\Sequence\Alignment\Alignment;
use Cathedra\Core\Sequence\Alignment\Along;
use Cathedra\Core\Sequence\Alignment\Bring;
use Cathedra\Core\Sequence\Alignment\SquareTo;
use Cathedra\Core\Sequence\Alignment\Strip;
use Cathedra\Core\Sequence\Landmark\BadLandmark;
use Cathedra\Core\Sequence\Landmark\Parser;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\SheetPoint;

/** Reads one step. Every key is asked for only where the kind of fold has a use for it, so others are refused. */
final readonly class StepReader
{
    private const REPEATS = ['other side' => 'mirrored', 'behind' => 'behind'];

    private function __construct(private Reader $in, private int $number)
    {
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
            $kind->creases() ? $this->alignment() : null,
            $kind->creases() ? $this->layers() : Layers::unsaid(),
            $this->landing($kind),
            $kind !== FoldKind::Crease || $this->in->oneOf('as', ['valley', 'mountain'], 'valley') === 'valley',
            $kind->creases() && $this->in->has('also') ? self::REPEATS[$this->in->oneOf('also', array_keys(self::REPEATS))] : null,
            $kind->creases() ? $this->name() : null,
            $this->marks(),
            $this->in->optionalText('note', 300),
            $this->steps($kind),
            $kind === FoldKind::Rotate ? $this->turn() : 0.0,
            $kind !== FoldKind::TurnOver || $this->in->oneOf('axis', ['upright', 'level'], 'upright') === 'upright',
            $kind === FoldKind::Repeat ? self::REPEATS[$this->in->oneOf('on', array_keys(self::REPEATS))] : null,
        );
        $this->in->nothingElse();

        return $step;
    }

    private function alignment(): Alignment
    {
        $given = array_values(array_filter(['bring', 'along', 'square_to', 'strip'], $this->in->has(...)));
        if (count($given) !== 1) {
            throw $this->in->bad(null, 'A fold needs exactly one of: bring (with to), along (with move), square_to (with through and move), strip (with wide).');
        }

        return match ($given[0]) {
            'bring' => new Bring($this->landmark('bring', Parser::pointOrLine(...)), $this->landmark('to', Parser::pointOrLine(...)), $this->in->has('through') ? $this->landmark('through', Parser::point(...)) : null),
            'along' => new Along($this->landmark('along', Parser::line(...)), $this->landmark('move', Parser::point(...))),
            'square_to' => new SquareTo($this->landmark('square_to', Parser::line(...)), $this->landmark('through', Parser::point(...)), $this->landmark('move', Parser::point(...))),
            default => new Strip($this->landmark('strip', Parser::line(...)), $this->landmark('wide', Parser::share(...))),
        };
    }

    private function layers(): Layers
    {
        if (! $this->in->has('layers')) {
            return Layers::unsaid();
        }
        $text = $this->in->text('layers', null, 60);
        if (preg_match('/^(top|bottom)(?: ([1-9]\d?))?$/', $text, $m) === 1) {
            return $m[1] === 'top' ? Layers::top((int) ($m[2] ?? 1)) : Layers::bottom((int) ($m[2] ?? 1));
        }
        if (str_starts_with($text, 'flap ')) {
            $point = $this->parsed('layers', substr($text, 5), Parser::point(...));
            if ($point instanceof SheetPoint) {
                return Layers::flap($point);
            }
        }

        return $text === 'all' ? Layers::all()
            : throw $this->in->bad('layers', '"layers" must be: all, top, top 2, bottom, bottom 2, or "flap" with a corner A to D or "paper SHARE SHARE".');
    }

    private function landing(FoldKind $kind): Landing
    {
        if ($kind === FoldKind::Tuck) {
            return Landing::tuckedUnder($this->in->whole('under', 1, 20, 1));
        }
        if ($kind !== FoldKind::Valley && $kind !== FoldKind::Mountain) {
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
            $marks[$name] = $this->parsed('marks', $text, Parser::point(...));
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

    /**
     * @template T
     *
     * @param  callable(string): T  $parse
     * @return T
     */
    private function landmark(string $key, callable $parse): mixed
    {
        return $this->parsed($key, $this->in->text($key), $parse);
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $parse
     * @return T
     */
    private function parsed(string $key, string $text, callable $parse): mixed
    {
        try {
            return $parse($text);
        } catch (BadLandmark $e) {
            throw new BadSequence($this->in->line($key), $this->number, $e->getMessage(), null, $e);
        }
    }
}
