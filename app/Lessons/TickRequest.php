<?php

declare(strict_types=1);

namespace App\Lessons;

use Cathedra\Core\Rules\Bounds;
use Illuminate\Foundation\Http\FormRequest;

/** Entries of the list of what is to be ready, and whether they are. */
final class TickRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'keys' => ['bail', 'required', 'list', 'between:1,'.Bounds::MAX_TICKS],
            'keys.*' => ['bail', 'required', 'string', 'regex:/^[a-z-]{1,30}-\d{1,2}$/'],
            'done' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'keys.*' => 'Name one to '.Bounds::MAX_TICKS.' entries of the list.',
            'keys.*.*' => 'There is no such entry in the list.',
        ];
    }

    /** @return list<string> each once */
    public function entries(): array
    {
        return array_values(array_unique((array) $this->validated('keys')));
    }
}
