<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Stock;
use App\Support\ApiRequest;
use App\Support\EachOnce;
use App\Support\PlainText;
use Cathedra\Core\Rules\Bounds;
use Cathedra\Core\Rules\PaperKind;
use Cathedra\Core\Rules\PaperSides;
use Illuminate\Validation\Rule;

final class StockRequest extends ApiRequest
{
    protected function prepareForValidation(): void
    {
        $this->readLengths(['width_mm', 'height_mm', 'trim_mm']);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $stock = $this->route('stock');

        return [
            'name' => [
                'required',
                'string',
                'max:'.Bounds::NAME_LENGTH,
                new PlainText(),
                Rule::unique('stocks')
                    ->where('organisation_id', $this->organisation()->id)
                    ->whereNull('deleted_at')
                    ->ignore($stock instanceof Stock ? $stock->id : null),
            ],
            'width_mm' => ['required', 'numeric', 'between:'.Bounds::SIDE_MM],
            'height_mm' => ['required', 'numeric', 'between:'.Bounds::SIDE_MM],
            'grammage' => ['nullable', 'integer', 'between:'.Bounds::GRAMMAGE],
            'count' => ['nullable', 'integer', 'between:'.Bounds::COUNT],
            'kind' => ['sometimes', Rule::enum(PaperKind::class)],
            'sides' => ['sometimes', Rule::enum(PaperSides::class)],
            'trim_mm' => ['sometimes', 'numeric', 'between:'.Bounds::TRIM_MM],
            'version' => ['sometimes', 'integer', 'between:'.Bounds::VERSION],
            'price' => ['sometimes', 'nullable', 'numeric', 'between:'.Bounds::PRICE],
            'tags' => ['sometimes', 'array', 'list', 'max:'.Bounds::MAX_TAGS],
            'tags.*' => [
                'string',
                'max:'.Bounds::TAG_LENGTH,
                new EachOnce('Each tag comes once.'),
                new PlainText(),
            ],
            'scrap' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the paper a name.',
            'name.max' => 'The name is too long; '.Bounds::NAME_LENGTH.' characters are enough.',
            'name.unique' => 'There is paper of this name already.',
            'width_mm.*' => 'The width must be a number '.Bounds::said(Bounds::SIDE_MM).' mm.',
            'height_mm.*' => 'The height must be a number '.Bounds::said(Bounds::SIDE_MM).' mm.',
            'grammage.*' => 'The grammage must be '.Bounds::said(Bounds::GRAMMAGE).' g/m2, or empty.',
            'trim_mm.*' => 'What is lost all round must be '.Bounds::said(Bounds::TRIM_MM).' mm.',
            'price.*' => 'The price of one sheet must be a number '.Bounds::said(Bounds::PRICE).', or empty.',
            'tags.max' => Bounds::MAX_TAGS.' tags are enough.',
            'tags.*.max' => 'A tag has at most '.Bounds::TAG_LENGTH.' characters.',
            'count.*' => 'The count must be a whole number '.Bounds::said(Bounds::COUNT).', or empty for plenty.',
        ];
    }
}
