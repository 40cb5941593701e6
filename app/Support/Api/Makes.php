<?php

declare(strict_types=1);

namespace App\Support\Api;

use Attribute;
use OpenApi\Attributes as OA;

/** Post of an address; see Route. Without an answer it is 204. */
#[Attribute(Attribute::TARGET_CLASS | Attribute::IS_REPEATABLE)]
final class Makes extends OA\Post
{
    /**
     * @param  string|array<string, mixed>|null  $answers
     * @param  string|array<string, mixed>|null  $takes
     * @param  array<string, mixed>  $query
     */
    public function __construct(
        string $path,
        string $id,
        string $says,
        string|array|null $answers = null,
        string|array|null $takes = null,
        array $query = [],
    ) {
        parent::__construct(...Address::of(
            path: $path,
            id: $id,
            says: $says,
            takes: $takes,
            answers: $answers,
            query: $query,
            status: 201,
        ));
    }
}
