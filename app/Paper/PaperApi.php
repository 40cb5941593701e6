<?php

declare(strict_types=1);

namespace App\Paper;

use App\Support\Api\Changes;
use App\Support\Api\CutPlanAddress;
use App\Support\Api\Makes;
use App\Support\Api\Posts;
use App\Support\Api\Reads;
use App\Support\Api\Removes;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[CutPlanAddress]
#[
    Reads('/lessons/{lesson}/kits', 'kits', 'what goes to each table and to each learner', [
        'tables' => [
            '[]' => [
                'table' => 'integer',
                'learners' => ['[]' => ['name' => 'string', 'seat' => '?integer']],
                'items' => 'string[]',
            ],
        ],
        'kit' => 'string[]',
        'cautions' => 'string[]',
    ]),
]
#[
    Reads(
        '/paper-ahead',
        'paperAhead',
        'what the lessons ahead take together',
        '#PaperAheadData',
        query: ['until?' => 'string'],
    ),
]
#[Reads('/lessons/{lesson}/measures', 'measures', 'bodies of the lesson; none: all models lie flat', '#MeasureData[]')]
#[
    Changes(
        '/lessons/{lesson}/readings',
        'read',
        'kept',
        takes: [
            'learner' => 'integer',
            'model' => 'string',
            'name' => 'string',
            'value' => 'string',
            'unit' => ['mm', 'cm', 'in'],
        ],
    ),
]
#[
    Reads(
        '/square-check',
        'squareCheck',
        'whether the square is true enough for the model, by its diagonals',
        ['passes' => 'boolean', 'text' => 'string'],
        query: [
            'side' => 'string',
            'first' => 'string',
            'second' => 'string',
            'model' => 'string',
            'unit?' => 'string',
        ],
    ),
]
#[
    Reads(
        '/display-string',
        'displayString',
        'a string of finished models: mm and g',
        [
            'length_mm' => 'number',
            'length' => 'string',
            'drop_mm' => 'number',
            'drop' => 'string',
            'beads' => 'integer',
            'weight_g' => 'number',
            'lessons' => '?integer',
        ],
        query: [
            'model' => 'string',
            'side' => 'number',
            'models' => 'integer',
            'gap' => 'number',
            'goal' => 'integer',
            'per_lesson' => 'integer',
        ],
    ),
]
#[Reads('/stocks', 'stocks', 'by name', '#StockData[]')]
#[Makes('/stocks', 'makeStock', 'made', '#StockData', takes: '#StockInput')]
#[Changes('/stocks/{stock}', 'changeStock', 'changed', '#StockData', takes: '#StockInput')]
#[Removes('/stocks/{stock}', 'removeStock', 'put into the bin', '#BinEntry', query: ['sure?' => 'boolean'])]
#[Reads('/stocks/{stock}/changes', 'stockChanges', 'newest first', '#StockChangeData[]')]
#[
    Posts(
        '/stocks/{stock}/undo',
        'undoStockChange',
        'a change of its count is taken back, once however often it is asked',
        '#StockData',
        takes: ['change' => 'integer'],
    ),
]
#[
    Posts(
        '/stocks/{stock}/offcuts',
        'keepOffcuts',
        'so many offcuts, as a stock of their own; without sides the strip of the diagonal fold',
        '#StockData',
        takes: ['count' => 'integer', 'width_mm?' => 'number', 'height_mm?' => 'number'],
    ),
]
#[
    Reads('/paper-needs', 'paperNeeds', 'what the lessons that are planned take together, by stock', [
        '[]' => [
            'stock' => 'integer',
            'name' => 'string',
            'lessons' => 'integer',
            'sheets' => 'integer',
            'have' => '?integer',
            'short' => 'integer',
        ],
    ]),
]
final class PaperApi
{
}
