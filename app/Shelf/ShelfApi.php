<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\Api\Posts;
use App\Support\Api\Reads;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[Reads('/models', 'models', 'easiest first', '#ModelSummary[]')]
#[
    Reads('/models/{model}', 'model', 'with all steps', '#ModelData', query: [
        'ways?' => '',
        'names?' => ['term', 'likeness', 'both'],
        'letters?' => ['on', 'off'],
    ]),
]
#[
    Reads(
        '/models/{model}/steps/{step}/motion',
        'motion',
        'how one step moves; worked out when it is first asked for',
        '#MotionData',
        query: ['ways?' => ''],
    ),
]
#[
    Reads(
        '/models/{model}/steps/{step}/faults',
        'faults',
        'what goes wrong at a step, the likeliest first; worked out when it is first asked for',
        '#FaultData[]',
        query: ['ways?' => ''],
    ),
]
#[
    Reads(
        '/models/{model}/sheet-map',
        'sheetMap',
        'where the flat sheet ends up',
        '#SheetMapData',
        query: ['ways?' => ''],
    ),
]
#[Reads('/folds', 'folds', 'every kind of fold', '#FoldData[]')]
#[
    Reads('/fold-pictures', 'foldPictures', 'a picture for each kind that the shelf teaches', [
        '[]' => ['kind' => 'string', 'drawing' => '#Drawing'],
    ]),
]
#[Reads('/folds/{kind}', 'fold', 'with pictures and where it is taught', '#FoldPageData')]
#[
    Posts(
        '/patterns',
        'foldPattern',
        'folded and checked; nothing is kept',
        '#PatternData',
        takes: ['document' => 'string'],
    ),
]
final class ShelfApi
{
}
