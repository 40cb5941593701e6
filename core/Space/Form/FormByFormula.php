<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Geometry\Line;

/**
 * A finished form by formula: where every place of the paper is, from the flat state (progress 0) to the form. Its
 * stages follow one another; each takes 1 of the progress.
 */
interface FormByFormula
{
    /** @return list<Line> on the sheet: where a face bends that the flat state has no crease for, or rolls along */
    public function bends(int $face): array;

    /** At least 1. */
    public function stages(): int;

    /**
     * @param  float  $progress  0 to stages()
     * @return array{float, float, float} mm; x to the right, y up, z toward the folder
     */
    public function at(Spot $spot, float $progress): array;

    /**
     * Lengths of the finished form, measured between its places.
     *
     * @return array<string, float> mm, by names of Sequence\Form::SIZES
     */
    public function sizes(): array;
}
