<?php

declare(strict_types=1);

namespace App\Home;

use App\Shelf\ModelShelf;
use App\Support\ApiRequest;
use App\Support\LibraryFiles;
use Cathedra\Core\Rules\Bounds;
use Illuminate\Validation\Rule;

/** "I teach __ learners of __ years for __ minutes, with __ paper": all that a first lesson asks. */
final class FirstLessonRequest extends ApiRequest
{
    /** @return array<string, mixed> */
    public function rules(LibraryFiles $files, ModelShelf $shelf): array
    {
        $isMade = $this->isMethod('POST');

        return [
            'learners' => ['required', 'integer', 'between:1,'.Bounds::MAX_LEARNERS],
            'years' => ['required', 'integer', 'between:'.Bounds::YEARS],
            'minutes' => ['required', 'integer', 'between:'.Bounds::MINUTES],
            'paper' => ['required', 'string', Rule::in(array_column($files->formats(), 'key'))],
            'model' => [$isMade ? 'required' : 'sometimes', 'string', Rule::in($shelf->slugs())],
            'starts_at' => [
                'bail',
                $isMade ? 'required' : 'sometimes',
                'string',
                'date_format:Y-m-d\TH:i',
                'after:2000-01-01',
                'before:2100-01-01',
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'learners.*' => 'Learners are a whole number between 1 and '.Bounds::MAX_LEARNERS.'.',
            'years.*' => 'Their age is a whole number '.Bounds::said(Bounds::YEARS).' years.',
            'minutes.*' => 'The lesson has '.Bounds::said(Bounds::MINUTES).' minutes.',
            'paper.*' => 'Choose one of the papers.',
            'model.*' => 'Choose one of the models.',
            'starts_at.*' => 'Give the start as a date and a time.',
        ];
    }

    public function wish(): FirstWish
    {
        return new FirstWish(
            (int) $this->validated('learners'),
            (int) $this->validated('years'),
            (int) $this->validated('minutes'),
            (string) $this->validated('paper'),
        );
    }
}
