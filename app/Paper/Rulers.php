<?php

declare(strict_types=1);

namespace App\Paper;

use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\DisplayString;
use Cathedra\Core\Paper\Length;
use Cathedra\Core\Paper\SquareCheck;
use Illuminate\Validation\ValidationException;

/** What is read off rulers: whether a square is one, how long a string must be, lengths as people write them. */
final readonly class Rulers
{
    /** mm of string for knots and the loop; estimate. */
    private const KNOTS = 150.0;

    /** g/m2 that a finished model is taken to be of; the usual office paper. */
    private const GRAMMAGE = 80;

    /** Shares by which a diagonal may be off before it is no diagonal of that square. */
    private const OFF = 0.15;

    public function __construct(private ModelShelf $shelf, private LibraryFiles $files, private Measure $measure)
    {
    }

    /**
     * @param  'mm'|'cm'|'in'  $unit
     * @param  array{side: string, first: string, second: string}  $read
     * @return array{passes: bool, text: string}
     *
     * @throws ValidationException at what cannot be read, or is no diagonal of that square
     */
    public function square(string $model, string $unit, array $read): array
    {
        $side = $this->length($read['side'], $unit, 'side');
        $diagonals = [];
        foreach (['first', 'second'] as $which) {
            $diagonals[] = $diagonal = $this->length($read[$which], $unit, $which);
            if (abs($diagonal / ($side * M_SQRT2) - 1) > self::OFF) {
                $about = Length::say($side * M_SQRT2, $unit);
                throw ValidationException::withMessages([
                    $which => "This is no diagonal of that square: it should have about $about.",
                ]);
            }
        }
        $difficulty = $this->shelf->facts($model)->difficulty;
        $tolerance = $this->files->paperRules()->squareTolerance($difficulty);
        $check = SquareCheck::of($side, $diagonals[0], $diagonals[1], $tolerance);

        return [
            'passes' => $check['passes'],
            'text' => $this->files->words()->say('measures', $check['passes'] ? 'square' : 'not-square', [
                'off' => (string) round($check['off_degrees'], 1),
                'allowed' => Length::say($check['allowed_mm'], 'mm'),
                'trim' => Length::say($check['trim_mm'], 'mm'),
            ]),
        ];
    }

    /**
     * A string of finished models: mm and g.
     *
     * @param  float  $side  mm
     * @param  float  $gap  mm between two models
     * @param  int  $goal  models to be collected in all
     * @return array{length_mm: float, length: string, drop_mm: float, drop: string, beads: int, weight_g: float,
     *     lessons: int|null}
     */
    public function string(string $model, float $side, int $models, float $gap, int $goal, int $perLesson): array
    {
        $of = $this->shelf->facts($model);
        $height = ($of->measures['height'] ?? $of->height_per_side) * $side;
        $area = $side ** 2 * max($of->ratio, 1 / $of->ratio);
        $string = DisplayString::of(
            models: $models,
            height: $height,
            gap: $gap,
            knots: self::KNOTS,
            sheetArea: $area,
            grammage: self::GRAMMAGE,
            goal: $goal,
            perLesson: $perLesson,
        );

        return [
            'length_mm' => round($string->length, 1),
            'length' => $this->measure->say($string->length),
            'drop_mm' => round($string->drop, 1),
            'drop' => $this->measure->say($string->drop),
            'beads' => $string->beads,
            'weight_g' => round($string->weight, 1),
            'lessons' => $string->lessons,
        ];
    }

    /**
     * @param  'mm'|'cm'|'in'  $unit
     * @return float mm
     *
     * @throws ValidationException at the field
     */
    public function length(string $text, string $unit, string $field): float
    {
        try {
            return Length::parse($text, $unit);
        } catch (BadPaper $e) {
            throw ValidationException::withMessages([$field => $e->getMessage()]);
        }
    }
}
