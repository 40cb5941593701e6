<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\Lesson;
use App\Support\Gone;

/** A lesson whose models are all gone from the library. */
final class GoneFromShelf extends Gone
{
    public static function of(Lesson $lesson): self
    {
        $models = $lesson->models->pluck('model')->implode(', ');

        return new self(
            "No model of this lesson is on the shelf any more ($models). Put its file back into library/models, or "
                .'plan another lesson and remove this one; its records are kept.',
            '/models',
        );
    }
}
