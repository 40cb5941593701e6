<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\Side;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** Reads a fold sequence from YAML text, strictly: what is not in docs/fold-sequence.md is an error with its line. */
final readonly class Loader
{
    /** Bytes; a long model has 10 kB. */
    private const MAX_BYTES = 200_000;

    /** The longest traditional models that beginners meet have about 40. */
    public const MAX_STEPS = 120;

    /** @throws BadSequence */
    public static function load(string $slug, string $yaml): Sequence
    {
        if (strlen($yaml) > self::MAX_BYTES) {
            throw new BadSequence(1, null, sprintf('The file has %d kB; a sequence may have %d kB.', intdiv(strlen($yaml), 1000), intdiv(self::MAX_BYTES, 1000)));
        }
        if (! mb_check_encoding($yaml, 'UTF-8')) {
            throw new BadSequence(1, null, 'The file is not UTF-8 text. Save it as UTF-8.');
        }
        try {
            $data = Yaml::parse($yaml, Yaml::PARSE_EXCEPTION_ON_INVALID_TYPE);
        } catch (ParseException $e) {
            throw new BadSequence(max(1, $e->getParsedLine()), null, 'This is not YAML: '.preg_replace('/ at line \d+.*/s', '.', $e->getMessage()), null, $e);
        }
        $lines = LineIndex::of($yaml);

        return self::model($slug, Reader::over($data, '', $lines), $lines);
    }

    private static function model(string $slug, Reader $top, LineIndex $lines): Sequence
    {
        $steps = self::steps($top, $lines);
        $count = count($steps);
        $model = new Sequence(
            $slug,
            $top->text('title', null, 80),
            $top->text('about', null, 600),
            self::ratio($top),
            Side::from($top->oneOf('side_up', ['front', 'back'])),
            $top->whole('age_from', 3, 99),
            $top->whole('difficulty', 1, 5),
            $top->wholes('resting', 1, $count),
            $top->wholes('checkpoints', 1, $count),
            $top->texts('cautions'),
            $steps,
        );
        $top->nothingElse();

        return $model;
    }

    private static function ratio(Reader $top): float
    {
        $sheet = $top->text('sheet', 'square', 20);
        if ($sheet === 'square') {
            return 1.0;
        }
        if (preg_match('/^(\d{1,4}(?:\.\d{1,4})?) x (\d{1,4}(?:\.\d{1,4})?)$/', $sheet, $m) !== 1 || (float) $m[1] <= 0.0 || (float) $m[2] <= 0.0) {
            throw $top->bad('sheet', '"sheet" must be "square" or width x height, such as "210 x 297".');
        }

        return (float) $m[2] / (float) $m[1];
    }

    /** @return list<Step> */
    private static function steps(Reader $top, LineIndex $lines): array
    {
        $list = $top->value('steps');
        if (! is_array($list) || ! array_is_list($list) || $list === []) {
            throw $top->bad('steps', '"steps" must be a list with at least one step.');
        }
        if (count($list) > self::MAX_STEPS) {
            throw $top->bad('steps', sprintf('There are %d steps; at most %d are allowed.', count($list), self::MAX_STEPS));
        }
        $steps = [];
        foreach ($list as $i => $entry) {
            $steps[] = StepReader::read(Reader::over($entry, "steps.$i", $lines, $i + 1), $i + 1);
        }

        return $steps;
    }
}
