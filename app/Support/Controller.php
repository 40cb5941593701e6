<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Organisation;
use App\Models\User;
use Illuminate\Http\Request;

abstract class Controller
{
    /** Whoever is signed in. */
    protected function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new \LogicException('The route asks for a user.');
    }

    /** The organisation of whoever is signed in; everything is looked up inside it, so others' things are not found. */
    protected function organisation(Request $request): Organisation
    {
        return $this->user($request)->organisation;
    }
}
