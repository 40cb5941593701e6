<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Format;

use Cathedra\Core\Folding\Landing;
use Cathedra\Core\Sequence\Attach;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Form\Form;
use Cathedra\Core\Sequence\Form\FormShape;
use Cathedra\Core\Sequence\Form\Solid;
use Cathedra\Core\Sequence\FreeLength;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Layers;
use Cathedra\Core\Sequence\Part;
use Cathedra\Core\Sequence\Step;

/** Reads one step. Every key is asked for only where the kind of fold has a use for it, so others are refused. */
final readonly class StepReader
{
    private const ON = ['other side' => 'mirrored', 'behind' => 'behind', 'here' => 'here'];

    private const REPEATS = ['other side' => 'mirrored', 'behind' => 'behind', 'opposite side' => 'opposite'];

    private FoldReader $folds;

    /** @param  array<string, Part>  $parts */
    private function __construct(private Reader $in, private int $number, private ?string $part, private array $parts)
    {
        $this->folds = new FoldReader($in, $number);
    }

    /**
     * @param  string|null  $part  the second part it belongs to; null: the main piece
     * @param  array<string, Part>  $parts
     * @param  callable(array<string, list<mixed>>): bool  $holds  whether options of choices made before are taken
     *
     * @throws BadSequence
     */
    public static function read(Reader $in, int $number, ?string $part, array $parts, callable $holds): Step
    {
        [$free, $in, $ends] = FreeLength::read($in, $holds);
        $with = static fn (Reader $in, ?FreeLength $free): Step => (new self($in, $number, $part, $parts))->step($free);
        $ends = array_map(static fn (Reader $end): Step => $with($end, null), $ends);

        return $with($in, $free?->between($ends));
    }

    private function step(?FreeLength $free): Step
    {
        $kind = FoldKind::from($this->in->oneOf('fold', array_column(FoldKind::cases(), 'value')));
        $step = new Step(
            number: $this->number,
            line: $this->in->line(),
            kind: $kind,
            alignment: $kind->creases() ? $this->folds->alignment() : null,
            layers: $kind->creases() ? $this->folds->layers() : Layers::unsaid(),
            landing: $this->landing($kind),
            creaseAsValley: ! ($kind->isUnfoldedAgain() || $kind === FoldKind::Tuck) ||
                $this->in->oneOf('as', ['valley', 'mountain'], 'valley') === 'valley',
            also: $this->also($kind),
            name: $kind->isFold() ? $this->name() : null,
            marks: $this->marks(),
            note: $this->in->optionalText('note', 300),
            steps: $this->steps($kind),
            turn: $kind === FoldKind::Rotate ? $this->turn() : 0.0,
            upright: $kind !== FoldKind::TurnOver
                || $this->in->oneOf('axis', ['upright', 'level'], 'upright') === 'upright',
            on: $kind === FoldKind::Repeat ? self::ON[$this->in->oneOf('on', array_keys(self::ON))] : null,
            movement: $kind->movement() === null ? null : [$kind->movement(), 'read']($kind, $this->in, $this->folds),
            part: $this->part,
            form: $kind->isForm() ? $this->form() : null,
            attach: $kind === FoldKind::Attach ? $this->attach() : null,
            like: $this->in->optionalText('like', 80),
            caution: $this->in->optionalText('caution', 300),
            call: $this->call(),
            free: $free,
            pinchAt: $kind === FoldKind::PinchMark ? $this->folds->point('at') : null,
            opposite: $kind === FoldKind::Rotate
                && $this->in->oneOf('places', ['seen', 'opposite'], 'seen') === 'opposite',
        );
        $this->in->has('if') && $this->in->value('if'); // the list of steps has looked at it
        $this->in->nothingElse();

        return $step;
    }

    /** @return 'mirrored'|'behind'|'opposite'|null */
    private function also(FoldKind $kind): ?string
    {
        if (! ($kind->isFold() || $kind === FoldKind::Cut) || ! $this->in->has('also')) {
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

        return $this->in->oneOf('lands', ['outside', 'inside'], 'outside') === 'inside'
            ? Landing::inside()
            : Landing::outside();
    }

    private function name(): ?string
    {
        $name = $this->in->optionalText('name', 40);
        if ($name !== null && preg_match('/^[a-z][a-z0-9-]*$/', $name) !== 1) {
            throw $this->in->bad(
                'name',
                "A name has small letters, digits and hyphens and begins with a letter; \"$name\" does not.",
            );
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

    /** @return array<string, PointRef|null> */
    private function call(): array
    {
        $call = [];
        foreach ($this->in->has('call') ? (array) $this->in->value('call') : [] as $name => $text) {
            if (! is_string($name) || ! is_string($text) || preg_match('/^[a-z][a-z-]{0,29}$/', $name) !== 1) {
                throw $this->in->bad(
                    'call',
                    '"call" must map names (small letters, and hyphens for spaces) to points, or to none.',
                );
            }
            $call[$name] = $text === 'none' ? null : $this->folds->parsed('call', $text, Parser::point(...));
        }

        return $call;
    }

    /** @return list<int> */
    private function steps(FoldKind $kind): array
    {
        if ($kind === FoldKind::Unfold) {
            if ($this->number === 1) {
                throw $this->in->bad(
                    'step',
                    'Nothing has been folded before the first step, so there is nothing to unfold.',
                );
            }

            return [$this->in->step('step', $this->number - 1, $this->number - 1)];
        }
        if ($kind !== FoldKind::Repeat) {
            return [];
        }
        $steps = $this->in->steps('steps', $this->number - 1);

        return $steps !== [] ? $steps : throw $this->in->bad('steps', '"steps" must name the steps to repeat.');
    }

    private function turn(): float
    {
        $degrees = $this->in->whole('by', 1, 359);

        return deg2rad($degrees) *
            ($this->in->oneOf('way', ['clockwise', 'counterclockwise'], 'clockwise') === 'clockwise' ? -1 : 1);
    }

    private function form(): Form
    {
        $sizes = [];
        $size = $this->in->value('size');
        if ($size !== null && ! is_array($size)) {
            throw $this->in->bad(
                'size',
                '"size" must map '.implode(', ', Form::SIZES).' to formulas in s, w and h.',
            );
        }
        foreach ($size ?? [] as $name => $text) {
            if (! in_array($name, Form::SIZES, true) || ! (is_string($text) || is_int($text) || is_float($text))) {
                throw $this->in->bad(
                    'size',
                    '"size" must map '.implode(', ', Form::SIZES).' to formulas in s, w and h.',
                );
            }
            try {
                $sizes[$name] = Formula::of((string) $text);
            } catch (\InvalidArgumentException $e) {
                throw $this->in->bad('size', "In \"$name\": ".$e->getMessage().'.');
            }
        }

        $opens = $this->in->has('opens') ? $this->in->stepsThere('opens', $this->number - 1) : [];
        $shape = $this->in->has('shape')
            ? FormShape::from($this->in->oneOf('shape', array_column(FormShape::cases(), 'value')))
            : null;
        if ($shape !== null && $opens !== []) {
            throw $this->in->bad('shape', 'A form is told by "opens" or by "shape", not by both.');
        }
        $curls = $shape === FormShape::Curl ? $this->in->oneOf('curls', Form::SIDES) : null;
        $isKnown = $shape !== null || $opens !== [];

        return new Form(
            sizes: $sizes,
            solid: $this->in->has('solid') ? $this->solid($sizes, $shape !== null) : null,
            opens: $opens,
            to: match (true) {
                $opens !== [] => $this->in->whole('to', 1, 179, 90),
                $shape === FormShape::Fan => $this->in->whole('to', 10, 75, 70),
                default => 90,
            },
            turn: $isKnown ? $this->in->whole('turn', -180, 180, -35) : 0,
            tilt: $isKnown ? $this->in->whole('tilt', -90, 90, 25) : 0,
            roll: $isKnown ? $this->in->whole('roll', -180, 180, 0) : 0,
            shape: $shape,
            curls: $curls,
        );
    }

    private function attach(): Attach
    {
        $part = $this->in->text('part', null, 40);
        if (! isset($this->parts[$part]) || $this->part !== null) {
            throw $this->in->bad(
                'part',
                "\"$part\" is not a part that can be attached here; parts are: ".
                    (implode(', ', array_keys($this->parts)) ?: 'none').
                    '.',
            );
        }
        $turn = $this->in->whole('turn', -359, 359, 0);
        $how = $this->in->oneOf('how', ['glue', 'tape', 'tuck'], 'glue');
        $inFront = $this->in->oneOf('place', ['in front', 'behind'], 'in front') === 'in front';

        return new Attach(
            part: $part,
            at: $this->folds->point('at'),
            turn: deg2rad($turn),
            how: in_array($how, ['glue', 'tape', 'tuck'], true) ? $how : 'glue',
            inFront: $inFront,
            hold: $this->in->has('hold') ? $this->folds->point('hold') : null,
        );
    }

    /**
     * @param  array<string, Formula>  $sizes
     * @param  bool  $isMeasured  its lengths are measured on the form and need not be typed
     */
    private function solid(array $sizes, bool $isMeasured): Solid
    {
        $solid = Solid::from($this->in->oneOf('solid', array_column(Solid::cases(), 'value')));
        foreach ($solid->lengths() as $length) {
            isset($sizes[$length]) || ($isMeasured && $sizes === []) || throw $this->in->bad(
                'size',
                "A {$solid->value} is measured by ".implode(', ', $solid->lengths())."; \"size\" lacks $length.",
            );
        }

        return $solid;
    }
}
