<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Format;

use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Part;
use Cathedra\Core\Sequence\Sequence;
use Cathedra\Core\Sequence\Ways\Passage;
use Cathedra\Core\Sequence\Ways\StepList;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** Reads a fold sequence from YAML text, strictly: what is not in docs/fold-sequence.md is an error with its line. */
final readonly class Loader
{
    /** Bytes; a long model has 10 kB. */
    private const MAX_BYTES = 200_000;

    /** What is written at a step and means nothing at the top. */
    private const OF_A_STEP = ['like', 'call', 'note', 'caution'];

    /**
     * @param  array<string, string>  $choice  for models with passages: the way taken, by route; others take the first
     *
     * @throws BadSequence
     */
    public static function load(string $slug, string $yaml, array $choice = []): Sequence
    {
        if (strlen($yaml) > self::MAX_BYTES) {
            throw new BadSequence(
                1,
                null,
                sprintf(
                    'The file has %d kB; a sequence may have %d kB.',
                    intdiv(strlen($yaml), 1000),
                    intdiv(self::MAX_BYTES, 1000),
                ),
            );
        }
        if (! mb_check_encoding($yaml, 'UTF-8')) {
            throw new BadSequence(1, null, 'The file is not UTF-8 text. Save it as UTF-8.');
        }
        try {
            $data = Yaml::parse($yaml, Yaml::PARSE_EXCEPTION_ON_INVALID_TYPE);
        } catch (ParseException $e) {
            throw new BadSequence(
                atLine: max(1, $e->getParsedLine()),
                step: null,
                reason: 'This is not YAML: '.preg_replace('/ at line \d+.*/s', '.', $e->getMessage()),
                place: null,
                previous: $e,
            );
        }
        $lines = LineIndex::of($yaml);

        return self::model($slug, Reader::over($data, '', $lines), $lines, $choice);
    }

    /** @param  array<string, string>  $choice */
    private static function model(string $slug, Reader $top, LineIndex $lines, array $choice): Sequence
    {
        $parts = self::parts($top, $lines);
        $list = new StepList($lines, $parts, $choice);
        $list->read($top->value('steps'), 'steps', null);
        foreach (array_diff_key($choice, $list->passages) as $name => $_) {
            throw $top->bad(
                'steps',
                "There is no route or choice called \"$name\"; there are: ".
                    (implode(', ', array_keys($list->passages)) ?: 'none').
                    '.',
            );
        }
        $top->knowSteps($list->ids, $list->elsewhere);
        $count = count($list->steps);
        $model = new Sequence(
            slug: $slug,
            title: $top->text('title', null, 80),
            about: $top->text('about', null, 600),
            ratio: self::ratio($top),
            sideUp: Side::from($top->oneOf('side_up', ['front', 'back'])),
            ageFrom: $top->whole('age_from', 3, 99),
            difficulty: $top->whole('difficulty', 1, 5),
            resting: $top->stepsThere('resting', $count),
            checkpoints: $top->stepsThere('checkpoints', $count),
            cautions: $top->texts('cautions'),
            steps: $list->steps,
            parts: $parts,
            passages: $list->passages,
            talk: $top->texts('talk'),
            decorate: $top->texts('decorate'),
            display: $top->texts('display'),
            does: $top->someOf('does', Sequence::DOES),
            occasions: $top->someOf('occasions', Sequence::OCCASIONS),
            goals: GoalReader::all($top, $lines),
            shown: $top->has('shown') ? $top->step('shown', $count, $count) : null,
            play: [...$top->texts('play'), ...array_values(array_filter(array_map(
                static fn (Passage $passage): ?string => $passage->played(),
                $list->passages,
            )))],
        );
        foreach (self::OF_A_STEP as $key) {
            if ($top->has($key)) {
                throw $top->bad($key, "\"$key\" says something of one step; write it in that step, beside \"fold\".");
            }
        }
        $top->nothingElse();

        return $model;
    }

    /** @return array<string, Part> */
    private static function parts(Reader $top, LineIndex $lines): array
    {
        $parts = [];
        foreach ((array) $top->value('parts') as $name => $entry) {
            $name = (string) $name;
            $in = Reader::over($entry, "parts.$name", $lines);
            if (preg_match('/^[a-z][a-z0-9-]{0,39}$/', $name) !== 1) {
                throw $in->bad(null, '"parts" must map names of small letters, digits and hyphens to parts.');
            }
            $scale = $in->value('scale') ?? 1.0;
            if ((! is_float($scale) && ! is_int($scale)) || $scale < 0.1 || $scale > 10) {
                throw $in->bad(
                    'scale',
                    '"scale" must be a number from 0.1 to 10: the side of this sheet over that of the main one.',
                );
            }
            $parts[$name] = new Part(
                name: $name,
                title: $in->text('title', null, 80),
                ratio: self::ratio($in),
                scale: (float) $scale,
                sideUp: Side::from($in->oneOf('side_up', ['front', 'back'])),
            );
            $in->nothingElse();
        }

        return $parts;
    }

    private static function ratio(Reader $in): float
    {
        $sheet = $in->text('sheet', 'square', 20);
        if ($sheet === 'square') {
            return 1.0;
        }
        if (
            preg_match('/^(\d{1,4}(?:\.\d{1,4})?) x (\d{1,4}(?:\.\d{1,4})?)$/', $sheet, $m) !== 1 ||
            (float) $m[1] <= 0.0 ||
            (float) $m[2] <= 0.0
        ) {
            throw $in->bad('sheet', '"sheet" must be "square" or width x height, such as "210 x 297".');
        }

        return (float) $m[2] / (float) $m[1];
    }
}
