<?php

declare(strict_types=1);

namespace App\Groups;

use App\Support\Api\Changes;
use App\Support\Api\Makes;
use App\Support\Api\Reads;
use App\Support\Api\Removes;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[Reads('/groups', 'groups', 'by name', '#GroupData[]')]
#[Makes('/groups', 'makeGroup', 'made', '#GroupData', takes: '#GroupInput')]
#[Changes('/groups/{group}', 'changeGroup', 'changed', '#GroupData', takes: '#GroupInput')]
#[
    Removes(
        '/groups/{group}',
        'removeGroup',
        'put into the bin with its lessons',
        '#BinEntry',
        query: ['sure?' => 'boolean'],
    ),
]
#[
    Removes(
        '/groups/{group}/learners/{learner}',
        'removeLearner',
        'put into the bin with its marks and records',
        '#BinEntry',
        query: ['sure?' => 'boolean'],
    ),
]
#[
    Reads(
        '/groups/{group}/times',
        'times',
        'how a lesson with each model would go with this group, paper squared before',
        '#ModelFit[]',
        query: ['minutes?' => 'integer'],
    ),
]
#[
    Reads(
        '/groups/{group}/fit',
        'lessonFit',
        'how a lesson with these models, one after the other, would go with this group, by its lead\'s usual ways',
        '#ModelFit',
        query: ['models' => 'string', 'minutes?' => 'integer', 'helpers?' => 'integer'],
    ),
]
#[
    Reads('/groups/{group}/paper', 'paperTable', 'each model against each stock: can this group fold it?', [
        '[]' => ['model' => 'string', 'stock' => 'integer', 'verdict' => '#WillFoldData'],
    ]),
]
#[Reads('/groups/{group}/folds', 'foldStanding', 'how many have made each kind of fold', '#FoldStandingData[]')]
#[Reads('/groups/{group}/next', 'nextModels', 'what they could fold next, and why', '#NextData[]')]
#[Reads('/groups/{group}/wall', 'wall', 'learners x models', '#WallData')]
final class GroupsApi
{
}
