<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Cathedra\Core\Wording\FoldNames;
use Cathedra\Core\Wording\Manner;
use Illuminate\Support\Facades\Auth;

/**
 * How steps are said: as the place of whoever is signed in wants it, the usual manner where nobody is; what a lesson
 * wants of its own comes with the request (names, letters).
 */
final readonly class MannerOf
{
    /** What may be asked for, by name in the query. */
    public const ASKED = ['names' => ['term', 'likeness', 'both'], 'letters' => ['on', 'off']];

    public function __invoke(): Manner
    {
        $user = Auth::user();
        $usual = $user instanceof User ? $user->organisation->manner() : new Manner();
        $names = request()->query('names');
        $letters = request()->query('letters');

        return new Manner(
            $usual->directions,
            (is_string($names) ? FoldNames::tryFrom($names) : null) ?? $usual->names,
            in_array($letters, self::ASKED['letters'], true) ? $letters === 'on' : $usual->letters,
        );
    }
}
