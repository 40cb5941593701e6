<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** Lengths as people write and read them; mm inside. Inches are fractions, as rulers have them. */
final readonly class Length
{
    private const UNITS = [
        'mm' => 1.0,
        'cm' => 10.0,
        'm' => 1000.0,
        'in' => 25.4,
        'inch' => 25.4,
        'inches' => 25.4,
        '"' => 25.4,
        '″' => 25.4,
    ];

    private const SIGNS = [
        '½' => ' 1/2',
        '¼' => ' 1/4',
        '¾' => ' 3/4',
        '⅛' => ' 1/8',
        '⅜' => ' 3/8',
        '⅝' => ' 5/8',
        '⅞' => ' 7/8',
    ];

    /** Rounding slack, mm: 25.4 / 16 * 16 is an inch. */
    private const SLACK = 1e-9;

    /**
     * @param  string  $text  "210", "21,0 cm", "8 1/2 in", "8.5in", "8½\""
     * @param  'mm'|'cm'|'in'  $unit  where none is written
     * @return float mm
     *
     * @throws BadPaper saying what could not be read
     */
    public static function parse(string $text, string $unit = 'mm', string $pointer = ''): float
    {
        $plain = trim(strtr($text, self::SIGNS));
        if (
            preg_match(
                '/^(-?)\s*(\d{1,6}(?:[.,]\d{1,6})?)?(?:(?:\s+|-|(?<=^))(\d{1,3})\/(\d{1,3}))?'
                .'\s*(mm|cm|m|inches|inch|in|"|″)?$/u',
                $plain,
                $m,
            ) !== 1 ||
            (($m[2] ?? '') === '' && ($m[3] ?? '') === '')
        ) {
            throw new BadPaper(
                $pointer,
                "\"$text\" is not a length. Write it like 210 mm, 21.0 cm, 8.5 in or 8 1/2 in.",
            );
        }
        if ($m[1] === '-') {
            throw new BadPaper($pointer, "\"$text\" is less than nothing. A length is more than 0.");
        }
        $written = $m[5] ?? '';
        $hasFraction = ($m[3] ?? '') !== '';
        $bottom = (int) ($m[4] ?? 0);
        if (
            ($hasFraction && $written === '' && $unit !== 'in') ||
            ($hasFraction && $written !== '' && self::UNITS[$written] !== 25.4)
        ) {
            throw new BadPaper(
                $pointer,
                "\"$text\": fractions are for inches. Write \"in\" behind it, or a decimal number.",
            );
        }
        if (
            $hasFraction &&
            ($bottom === 0 ||
                (int) $m[3] >= $bottom ||
                str_contains($m[2] ?? '', '.') ||
                str_contains($m[2] ?? '', ','))
        ) {
            throw new BadPaper($pointer, "\"$text\" is no ruler's measure. Write it like 8 1/2 in.");
        }
        $number =
            (float) strtr(($m[2] ?? '') === '' ? '0' : $m[2], ',', '.') + ($hasFraction ? (int) $m[3] / $bottom : 0.0);
        $mm = $number * self::UNITS[$written === '' ? $unit : $written];

        return $mm > 0 ? $mm : throw new BadPaper($pointer, "\"$text\" is nothing. A length is more than 0.");
    }

    /**
     * The largest ruler mark that is not longer: a square cut to it is never bigger than the sheet.
     *
     * @param  8|16  $parts  of an inch
     * @return array{text: string, mm: float, short_mm: float} as read off the ruler, in mm, and how much shorter that
     *     is
     */
    public static function underRuler(float $mm, int $parts = 16): array
    {
        $ticks = (int) floor(($mm / 25.4) * $parts + self::SLACK);
        $whole = intdiv($ticks, $parts);
        $top = $ticks % $parts;
        $bottom = $parts;
        while ($top > 0 && $top % 2 === 0) {
            $top = intdiv($top, 2);
            $bottom = intdiv($bottom, 2);
        }
        $text = trim(($whole > 0 || $top === 0 ? (string) $whole : '').($top > 0 ? " $top/$bottom" : '')).' in';

        return [
            'text' => $text,
            'mm' => ($ticks * 25.4) / $parts,
            'short_mm' => max(0.0, $mm - ($ticks * 25.4) / $parts),
        ];
    }

    /**
     * For reading: cm with one decimal, cut off, not rounded up; or inches by the ruler.
     *
     * @param  'cm'|'in'|'mm'  $unit
     */
    public static function say(float $mm, string $unit): string
    {
        return match ($unit) {
            'in' => self::underRuler($mm)['text'],
            'cm' => number_format(floor($mm + self::SLACK) / 10, 1, '.', '').' cm',
            default => rtrim(rtrim(number_format(floor($mm * 10 + self::SLACK) / 10, 1, '.', ''), '0'), '.').' mm',
        };
    }

    /**
     * The largest length that can be read off a ruler of the unit and is not longer: sixteenths of an inch, whole
     * millimetres on a ruler in cm, tenths in mm (where a half is read between two marks).
     *
     * @param  'mm'|'cm'|'in'  $unit
     * @return float mm
     */
    public static function down(float $mm, string $unit): float
    {
        return match ($unit) {
            'in' => self::underRuler($mm)['mm'],
            'cm' => floor($mm + self::SLACK),
            default => floor($mm * 10 + self::SLACK) / 10,
        };
    }
}
