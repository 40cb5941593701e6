<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Stock;
use App\Support\ApiRequest;
use App\Support\EachOnce;
use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Rules\Bounds;
use Cathedra\Core\Rules\Method;
use Illuminate\Validation\Rule;

/** Paper of the cupboard and the squares wanted from it. */
final class BenchRequest extends ApiRequest
{
    protected function prepareForValidation(): void
    {
        $this->readLengths(
            array_map(
                static fn (int|string $i): string => "need.$i.side_mm",
                array_keys(is_array($this->input('need')) ? $this->input('need') : []),
            ),
        );
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'stock' => ['required', 'array', 'between:1,6'],
            'stock.*.id' => [
                'required',
                'integer',
                new EachOnce('Each paper comes once.'),
                Rule::exists('stocks', 'id')->where('organisation_id', $this->organisation()->id),
            ],
            'stock.*.count' => ['nullable', 'integer', 'between:'.Bounds::COUNT],
            'need' => ['required', 'array', 'between:1,6'],
            'need.*.side_mm' => ['nullable', 'numeric', 'between:'.Bounds::SIDE_MM],
            'need.*.count' => ['required', 'integer', 'between:1,2000'],
            'method' => ['required', 'string', Rule::enum(Method::class)],
            'prefer' => ['required', Rule::enum(Prefer::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'stock.required' => 'Choose some paper first.',
            'stock.between' => 'Choose one to six kinds of paper.',
            'stock.*.id.exists' => 'That paper is gone from the cupboard. Choose another.',
            'stock.*.id.*' => 'Each paper comes once.',
            'stock.*.count.*' => 'The count must be a whole number '.Bounds::said(Bounds::COUNT)
                .', or empty for plenty.',
            'need.required' => 'Say which squares are wanted.',
            'need.between' => 'Ask for one to six sizes.',
            'need.*.side_mm.*' => 'The side of a square must be '.Bounds::said(Bounds::SIDE_MM).' mm.',
            'need.*.count.*' => 'The number of squares must be a whole number from 1 to 2,000.',
        ];
    }

    /** @return list<array{Stock, int|null}> with the count to plan with */
    public function papers(): array
    {
        $papers = [];
        /** @var list<array{id: int|string, count?: int|string|null}> $given */
        $given = $this->validated('stock');
        foreach ($given as $entry) {
            /** @var Stock $stock */
            $stock = Stock::query()->findOrFail((int) $entry['id']);
            $papers[] = [$stock, isset($entry['count']) ? (int) $entry['count'] : null];
        }

        return $papers;
    }

    /** @return list<array{side: float|null, count: int}> side null: as large as can be */
    public function need(): array
    {
        /** @var list<array{side_mm?: float|string|null, count: int|string}> $given */
        $given = $this->validated('need');

        return array_map(
            static fn (array $n): array => [
                'side' => isset($n['side_mm']) ? (float) $n['side_mm'] : null,
                'count' => (int) $n['count'],
            ],
            array_values($given),
        );
    }
}
