<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\Api\JsonShape;

/** The page of a kind of fold: its guidance, its pictures from the engine, and where it is taught. */
#[
    JsonShape('FoldPageData', [
        'fold' => '#FoldData',
        'pictures' => ['[]' => [
            'show' => ['before', 'halfway', 'after', 'elsewhere'],
            'model' => 'string',
            'slug' => 'string',
            'ways' => '{string}',
            'step' => 'integer',
            'drawing' => '#Drawing',
        ]],
        'two_sides' => '#Drawing[]',
        'taught_in' => ['[]' => [
            'slug' => 'string',
            'title' => 'string',
            'difficulty' => 'integer',
            'ways' => '{string}',
            'way' => '?string',
            'steps' => 'integer[]',
        ]],
        'source' => 'string',
    ], [
        'pictures' => 'of the easiest step of its kind; "elsewhere" is the end of one in another model',
        'two_sides' => 'one crease seen from its front and from its back; for valley, mountain and crease only',
        'taught_in' => 'easiest first; way: title of the way in which alone it comes',
        'source' => 'where the guidance is from',
    ]),
]
final readonly class FoldPageData
{
    /**
     * @param  list<array{show: string, model: string, slug: string, ways: object, step: int,
     *     drawing: array<string, mixed>}>  $pictures
     * @param  list<array<string, mixed>>  $two_sides
     * @param  list<array{slug: string, title: string, difficulty: int, ways: object, way: string|null,
     *     steps: list<int>}>  $taught_in
     */
    public function __construct(
        public FoldData $fold,
        public array $pictures,
        public array $two_sides,
        public array $taught_in,
        public string $source,
    ) {
    }
}
