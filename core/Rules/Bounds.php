<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/**
 * How large and how many things may be: stated once, from here they reach forms ("least,most"), the database and, with
 * the account, the screens.
 */
final class Bounds
{
    /** mm; smaller is no paper for hands, larger than 2 m comes off a roll. */
    public const SIDE_MM = '10,2000';

    /** What is lost all round a sheet, mm. */
    public const TRIM_MM = '0,100';

    /** g/m2: tissue to card. */
    public const GRAMMAGE = '10,600';

    public const COUNT = '0,1000000';

    public const PRICE = '0,9999';

    public const HELPERS = '0,20';

    /** Learners of a group. */
    public const MAX_LEARNERS = 60;

    public const TABLE_SEATS = '1,20';

    /** Of a lesson. */
    public const MINUTES = '5,480';

    /** Years of who learns: who can crease an edge, and the oldest of a group. */
    public const YEARS = '4,99';

    /** Seconds of one's own for a step. */
    public const STEP_SECONDS = '1,3600';

    /** One after the other in a lesson. */
    public const MAX_MODELS = 5;

    /** Entries of the list of what is to be ready. */
    public const MAX_TICKS = 100;

    /** Lessons of a term. */
    public const MAX_LESSONS = 20;

    /** Passages of a model whose way can be chosen; a bird asks eleven. */
    public const MAX_WAYS = 30;

    /** Kinds of paper one lesson takes from. */
    public const MAX_PAPERS = 4;

    /** Numbers of five figures are read in groups of three. */
    private const LONG = 10_000;

    public const MAX_TAGS = 8;

    public const TAG_LENGTH = 30;

    public const NAME_LENGTH = 80;

    public const LEARNER_NAME_LENGTH = 40;

    public const VERSION = '1,4294967295';

    /** Days that what was removed lies in the bin. */
    public const BIN_DAYS = 30;

    /**
     * What a form asks for, by field: numbers from least to most, of texts and lists the most.
     *
     * @return array<string, array{least: float, most: float}>
     */
    public static function ofForms(): array
    {
        return [
            'side_mm' => self::range(self::SIDE_MM),
            'trim_mm' => self::range(self::TRIM_MM),
            'grammage' => self::range(self::GRAMMAGE),
            'count' => self::range(self::COUNT),
            'price' => self::range(self::PRICE),
            'helpers' => self::range(self::HELPERS),
            'table_size' => self::range(self::TABLE_SEATS),
            'minutes' => self::range(self::MINUTES),
            'years' => self::range(self::YEARS),
            'step_seconds' => self::range(self::STEP_SECONDS),
            'models' => ['least' => 1.0, 'most' => (float) self::MAX_MODELS],
            'lessons' => ['least' => 1.0, 'most' => (float) self::MAX_LESSONS],
            'learners' => ['least' => 0.0, 'most' => (float) self::MAX_LEARNERS],
            'papers' => ['least' => 0.0, 'most' => (float) self::MAX_PAPERS],
            'tags' => ['least' => 0.0, 'most' => (float) self::MAX_TAGS],
            'name' => ['least' => 1.0, 'most' => (float) self::NAME_LENGTH],
            'learner_name' => ['least' => 1.0, 'most' => (float) self::LEARNER_NAME_LENGTH],
        ];
    }

    /** @return array{least: float, most: float} */
    public static function range(string $bounds): array
    {
        [$least, $most] = array_map(floatval(...), explode(',', $bounds));

        return ['least' => $least, 'most' => $most];
    }

    /** As words: "between 10 and 2000", thousands parted from five figures on. */
    public static function said(string $bounds): string
    {
        ['least' => $least, 'most' => $most] = self::range($bounds);

        $figure = static fn (float $n): string => number_format($n, 0, '.', $n < self::LONG ? '' : ',');

        return 'between '.$figure($least).' and '.$figure($most);
    }

    public static function holds(string $bounds, float $value): bool
    {
        ['least' => $least, 'most' => $most] = self::range($bounds);

        return $value >= $least && $value <= $most;
    }
}
