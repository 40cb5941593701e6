<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** A string of finished models. Lengths in mm, weight in g. */
final readonly class DisplayString
{
    private function __construct(
        public float $length,
        public float $drop,
        public int $beads,
        public float $weight,
        public ?int $lessons,
    ) {
    }

    /**
     * @param  int  $models  on the string
     * @param  float  $height  mm of one of them along the string
     * @param  float  $gap  mm between two
     * @param  float  $knots  mm of string that knots and the loop take in all
     * @param  float  $sheetArea  mm2 of the paper of one model
     * @param  float  $grammage  g/m2
     * @param  int  $goal  models wanted in all
     * @param  float  $perLesson  models a lesson brings
     *
     * @throws BadPaper when there is nothing to hang
     */
    public static function of(
        int $models,
        float $height,
        float $gap,
        float $knots,
        float $sheetArea,
        float $grammage,
        int $goal,
        float $perLesson,
    ): self {
        if ($models < 1 || $height <= 0 || $gap < 0) {
            throw new BadPaper('', 'A string needs at least one model, with a size and a gap that is not negative.');
        }
        $drop = $models * $height + ($models - 1) * $gap;

        return new self(
            length: $drop + $knots,
            drop: $drop,
            beads: $models,
            weight: ($models * $sheetArea * $grammage) / 1e6,
            lessons: $perLesson > 0 ? (int) ceil($goal / $perLesson) : null,
        );
    }
}
