<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Cathedra\Core\Wording\Manner;
use Illuminate\Support\Facades\Auth;

/** How whoever is signed in wants steps said; the usual manner where nobody is. */
final readonly class MannerOf
{
    public function __invoke(): Manner
    {
        $user = Auth::user();

        return $user instanceof User ? $user->organisation->manner() : new Manner();
    }
}
