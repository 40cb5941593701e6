<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Ways;

use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Format\LineIndex;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Format\StepReader;
use Cathedra\Core\Sequence\FreeLength;
use Cathedra\Core\Sequence\Part;
use Cathedra\Core\Sequence\Step;

/**
 * Reads the list of steps: plain steps, routes and choices by the way taken, and the steps of a second part, in the
 * order they are done. What holds for other options only ("if") is left out; each combination is read by itself.
 */
final class StepList
{
    /** The longest traditional models that beginners meet have about 40. */
    public const MAX_STEPS = 120;

    /** @var list<Step> */
    public array $steps = [];

    /** @var array<string, Passage> */
    public array $passages = [];

    /** @var array<string, int> step numbers by id */
    public array $ids = [];

    /** @var list<string> ids of steps that other ways have */
    public array $elsewhere = [];

    /**
     * @param  array<string, Part>  $parts
     * @param  array<string, string>  $choice  option by route
     */
    public function __construct(
        private readonly LineIndex $lines,
        private readonly array $parts,
        private readonly array $choice,
    ) {
    }

    /** @throws BadSequence */
    public function read(
        mixed $list,
        string $path,
        ?string $part,
        bool $inPassage = false,
        bool $mayBeEmpty = false,
    ): void {
        if (! is_array($list) || ! array_is_list($list) || ($list === [] && ! $mayBeEmpty)) {
            throw new BadSequence(
                $this->lines->line($path),
                null,
                '"'.$path.'" must be a list with at least one step.',
            );
        }
        foreach ($list as $i => $entry) {
            $number = count($this->steps) + 1;
            if ($number > self::MAX_STEPS) {
                throw new BadSequence(
                    $this->lines->line($path),
                    null,
                    sprintf('There are more steps than a model may have: at most %d are allowed.', self::MAX_STEPS),
                );
            }
            $in = Reader::over($entry, "$path.$i", $this->lines, $number);
            $asked = $this->asked($in);
            if ($this->holds($in, $asked)) {
                $this->entry($in, "$path.$i", $part, $inPassage);
                $new = count($this->steps) < $number ? [] : range($number, count($this->steps));
                foreach (array_keys($asked + ($in->has('fold') ? FreeLength::asked($in) : [])) as $name) {
                    $this->passages[$name] = $this->passages[$name]->with($new);
                }
            }
        }
    }

    /** @throws BadSequence */
    private function entry(Reader $in, string $path, ?string $part, bool $inPassage): void
    {
        foreach (['route', 'choice'] as $kind) {
            if ($in->has($kind)) {
                $inPassage
                    ? throw $in->bad($kind, "A $kind cannot stand inside a route or a choice.")
                    : $this->passage($in, $kind, $path, $part);

                return;
            }
        }
        if ($in->has('part') && ! $in->has('fold')) {
            $this->part($in, $path, $part);

            return;
        }
        $this->steps[] = $this->step($in, count($this->steps) + 1, $part);
    }

    /**
     * What an entry asks of choices made before: "if: {legs: narrow}", or a list of options.
     *
     * @return array<string, list<mixed>> options by choice
     */
    private function asked(Reader $in): array
    {
        return $in->has('if') ? $in->conditions($in->value('if'), 'if') : [];
    }

    /** @param  array<string, list<mixed>>  $asked */
    private function holds(Reader $in, array $asked, string $key = 'if'): bool
    {
        $holds = true;
        foreach ($asked as $name => $wanted) {
            $passage = $this->passages[$name] ?? throw $in->bad(
                $key,
                "No choice before this is called \"$name\"; there is: "
                    .(implode(', ', array_keys($this->passages)) ?: 'none').'.',
            );
            foreach ($wanted as $option) {
                is_string($option) && isset($passage->options[$option]) || throw $in->bad(
                    $key,
                    "The choice \"$name\" has no such option; it has: "
                        .implode(', ', array_keys($passage->options)).'.',
                );
            }
            $holds = $holds && in_array($passage->chosen, $wanted, true);
        }

        return $holds;
    }

    private function step(Reader $in, int $number, ?string $part): Step
    {
        $in->knowSteps($this->ids, $this->elsewhere);
        $id = $in->optionalText('id', 40);
        if ($id !== null) {
            if (preg_match('/^[a-z][a-z0-9-]*$/', $id) !== 1 || isset($this->ids[$id])) {
                throw $in->bad(
                    'id',
                    "An id has small letters, digits and hyphens, begins with a letter and occurs once; \"$id\" does "
                        .'not.',
                );
            }
            $this->ids[$id] = $number;
        }

        $holds = fn (array $asked): bool => $this->holds($in, $asked, 'by_eye');

        return StepReader::read(in: $in, number: $number, part: $part, parts: $this->parts, holds: $holds);
    }

    /** @param  'route'|'choice'  $kind */
    private function passage(Reader $in, string $kind, string $path, ?string $part): void
    {
        $name = $in->text($kind, null, 40);
        $options = $in->value('options');
        if (preg_match('/^[a-z][a-z0-9-]*$/', $name) !== 1 || isset($this->passages[$name])) {
            throw $in->bad(
                $kind,
                "A $kind has a name of small letters, digits and hyphens that occurs once; \"$name\" does not.",
            );
        }
        if (! is_array($options) || count($options) < 2 || array_is_list($options)) {
            throw $in->bad('options', '"options" must map at least two names to ways, each with a title and steps.');
        }
        $chosen = $this->choice[$name] ?? (string) array_key_first($options);
        if (! isset($options[$chosen])) {
            throw $in->bad(
                'options',
                "The $kind \"$name\" has no way called \"$chosen\"; it has: ".
                    implode(', ', array_keys($options)).
                    '.',
            );
        }
        $isChoice = $kind === 'choice';
        $question = $isChoice ? $in->text('title', null, 80) : $in->optionalText('title', 80);
        $in->has('if') && $in->value('if');
        $in->nothingElse();
        $first = count($this->steps) + 1;
        $titles = [];
        $when = [];
        $play = [];
        $untouched = clone $this;
        foreach ($options as $key => $option) {
            $way = Reader::over($option, "$path.options.$key", $this->lines);
            $titles[(string) $key] = $way->text('title', null, 80);
            $for = $isChoice ? $way->text('when', null, 160) : $way->optionalText('when', 160);
            $for !== null && ($when[(string) $key] = $for);
            $used = $way->optionalText('play', 200);
            $used !== null && ($play[(string) $key] = $used);
            $steps = $way->value('steps') ?? ($isChoice ? [] : null);
            $way->nothingElse();
            // the other ways are read all the same, so that a mistake in them is found
            $list = $key === $chosen ? $this : clone $untouched;
            $list->read(
                list: $steps,
                path: "$path.options.$key.steps",
                part: $part,
                inPassage: true,
                mayBeEmpty: $isChoice,
            );
            $list === $this || array_push($this->elsewhere, ...array_keys(array_diff_key($list->ids, $this->ids)));
        }
        $this->passages[$name] = new Passage(
            name: $name,
            options: $titles,
            chosen: $chosen,
            firstStep: $first,
            lastStep: count($this->steps),
            alike: ! $isChoice,
            question: $question,
            when: $when,
            play: $play,
        );
    }

    private function part(Reader $in, string $path, ?string $within): void
    {
        $name = $in->text('part', null, 40);
        if ($within !== null || ! isset($this->parts[$name])) {
            throw $in->bad(
                'part',
                $within !== null
                    ? 'A part cannot stand inside another part.'
                    : "\"$name\" is not a part; parts are: ".
                        (implode(', ', array_keys($this->parts)) ?: 'none').
                        '.',
            );
        }
        $steps = $in->value('steps');
        $in->nothingElse();
        $this->read($steps, "$path.steps", $name);
    }
}
