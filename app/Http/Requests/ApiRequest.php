<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Organisation;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;

/** A request by somebody who is signed in. */
abstract class ApiRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user() instanceof User;
    }

    public function organisation(): Organisation
    {
        $user = $this->user();

        return $user instanceof User ? $user->organisation : throw new \LogicException('Authorised requests have a user.');
    }
}
