<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\ApiRequest;
use Cathedra\Core\FoldFormat\FoldFile;

/** The text of a FOLD file. */
final class PatternRequest extends ApiRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['document' => ['required', 'string', 'max:'.FoldFile::MAX_BYTES]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'document.required' => 'Choose a FOLD file first.',
            'document.string' => 'Send the text of the FOLD file.',
            'document.max' => 'The file is too large: at most 4000 kB are read.',
        ];
    }
}
