<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;
use Cathedra\Core\Progress\FoldEvidence;

/** How many of a group have made a kind of fold. */
#[
    JsonShape('FoldStandingData', [
        'kind' => 'string',
        'alone' => 'integer',
        'helped' => 'integer',
        'unseen' => 'integer',
        'of' => 'integer',
        'known' => 'boolean',
    ], [
        'alone' => 'learners who finished a model with it alone',
        'helped' => 'further learners who finished one with help',
        'unseen' => 'of these two together, those whom nobody saw finish: presumed, since nothing else was said',
        'of' => 'learners of the group',
        'known' => 'at least half of them have made it',
    ]),
]
final readonly class FoldStandingData
{
    public function __construct(
        public string $kind,
        public int $alone,
        public int $helped,
        public int $unseen,
        public int $of,
    ) {
        $this->known = FoldEvidence::isKnown($alone + $helped, $of);
    }

    public bool $known;
}
