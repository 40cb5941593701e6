<?php

declare(strict_types=1);

namespace App\Pacing;

/** An easier model, and the names of the folds it teaches too. */
final readonly class EasierChoice
{
    public function __construct(public string $slug, public string $title, public string $folds)
    {
    }
}
