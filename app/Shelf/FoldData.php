<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\Api\JsonShape;

/** A kind of fold: what a teacher says of it, wherever it stands. */
#[
    JsonShape('FoldData', [
        'kind' => 'string',
        'name' => 'string',
        'what' => 'string',
        'hold' => 'string',
        'press' => 'string',
        'stop' => 'string',
        'wrong' => ['[]' => ['looks' => 'string', 'cause' => 'string', 'remedy' => 'string']],
        'safer' => 'string',
        'is_fold' => 'boolean',
        'fold_seconds' => 'number',
        'show_seconds' => 'number',
        'before' => ['[]' => ['kind' => 'string', 'name' => 'string']],
        'models' => 'integer',
        'hardest' => 'integer',
    ], [
        'kind' => 'as the sequence format writes it',
        'is_fold' => 'a fold that learners learn; else a handling of the paper',
        'fold_seconds' => 'an adult beginner, median, at the usual size',
        'before' => 'simpler folds it is made of',
        'models' => 'of the shelf in which it comes, by any way',
        'hardest' => 'computed: level of the hardest step of this kind on the shelf, 1 to 5; 0 where none has it',
    ]),
]
final readonly class FoldData
{
    /**
     * @param  list<array{looks: string, cause: string, remedy: string}>  $wrong
     * @param  list<array{kind: string, name: string}>  $before
     */
    public function __construct(
        public string $kind,
        public string $name,
        public string $what,
        public string $hold,
        public string $press,
        public string $stop,
        public array $wrong,
        public string $safer,
        public bool $is_fold,
        public float $fold_seconds,
        public float $show_seconds,
        public array $before,
        public int $models,
        public int $hardest,
    ) {
    }
}
