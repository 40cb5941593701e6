<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Support\Api\Changes;
use App\Support\Api\Makes;
use App\Support\Api\Posts;
use App\Support\Api\Reads;
use App\Support\Api\Removes;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[Reads('/home', 'home', 'what is next', '#HomeData')]
#[Reads(
    '/lessons',
    'lessons',
    'newest first; those to come from the next one on',
    ['lessons' => '#LessonCard[]', 'page' => 'integer', 'pages' => 'integer', 'count' => 'integer'],
    query: ['page?' => 'integer', 'when?' => ['coming', 'past'], 'group?' => 'integer', 'words?' => 'string'],
)]
#[
    Reads(
        '/first-lesson',
        'firstLessonOffers',
        'models that they finish in that time with that paper',
        '#ModelFit[]',
        query: ['learners' => 'integer', 'years' => 'integer', 'minutes' => 'integer', 'paper' => 'string'],
    ),
]
#[
    Makes('/first-lesson', 'makeFirstLesson', 'the group by numbers, the paper and the lesson', '#LessonData', takes: [
        'learners' => 'integer',
        'years' => 'integer',
        'minutes' => 'integer',
        'paper' => 'string',
        'model' => 'string',
        'starts_at' => 'string',
    ]),
]
#[Makes('/lessons', 'makeLesson', 'made', '#LessonData', takes: '#LessonInput')]
#[Reads('/lessons/{lesson}', 'lesson', 'with all stages', '#LessonData')]
#[Changes('/lessons/{lesson}', 'changeLesson', 'changed', '#LessonData', takes: '#LessonInput')]
#[
    Makes(
        '/lessons/{lesson}/copies',
        'copyLesson',
        'the same plan for another group or day; nothing that happened in it',
        '#LessonData',
        takes: ['group_id' => 'integer', 'starts_at' => 'string'],
    ),
]
#[Reads('/lessons/{lesson}/forecast', 'forecast', 'rehearsed many times, and what would help', '#ForecastData')]
#[Reads('/lessons/{lesson}/rest', 'restOfLesson', 'how it is likely to go on, while it is taught', '#RestData')]
#[Reads('/lessons/{lesson}/cast', 'cast', 'learners to rehearse it with', '#CastData', query: ['seed?' => 'integer'])]
#[
    Posts('/terms/plan', 'planTerm', 'nothing is kept', '#TermData', takes: [
        'group_id' => 'integer',
        'starts_at' => 'string',
        'minutes' => 'integer',
        'lessons' => 'integer',
        'days_off?' => 'string[]',
        'models?' => '?string[]',
    ]),
]
#[
    Makes('/terms', 'makeTerm', 'all of them, or none', ['lessons' => 'integer[]'], takes: [
        'group_id' => 'integer',
        'starts_at' => 'string',
        'minutes' => 'integer',
        'lessons' => 'integer',
        'days_off?' => 'string[]',
        'models?' => '?string[]',
    ]),
]
#[
    Changes(
        '/usual-policies',
        'keepUsualPolicies',
        'kept: lessons made from now on begin with them',
        takes: ['policies' => '?{string}', 'for' => ['me', 'place']],
    ),
]
#[Reads('/learned', 'learned', 'what taught lessons say of times', '#LearnedData')]
#[
    Changes(
        '/lessons/{lesson}/odd',
        'leaveOut',
        'left out of learning, or not',
        '#LearnedData',
        takes: ['odd' => 'boolean'],
    ),
]
#[Removes('/lessons/{lesson}', 'removeLesson', 'put into the bin', '#BinEntry', query: ['sure?' => 'boolean'])]
#[Changes('/lessons/{lesson}/ticks', 'tick', 'kept', takes: ['keys' => 'string[]', 'done' => 'boolean'])]
#[
    Reads(
        '/models/{model}/ways',
        'waysOfTeaching',
        'what another way of teaching each passage changes',
        '#WaysData',
        query: ['ways?' => '', 'group?' => 'integer', 'only?' => 'string'],
    ),
]
#[
    Changes(
        '/models/{model}/ways',
        'keepUsualWays',
        'kept as the usual ways of whoever is signed in; none: the usual ways of the library',
        ['ways' => '{string}'],
        takes: ['ways' => '{string}'],
    ),
]
#[
    Reads(
        '/lessons/{lesson}/ways/{model}',
        'waysOfLesson',
        'the same for a model of a lesson, with what a change while teaching does to its steps where no ways are asked',
        '#WaysData',
        query: ['ways?' => '', 'only?' => 'string'],
    ),
]
final class LessonsApi
{
}
