<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

/** What a movement has to say of itself; the words are in library/wording. */
final readonly class Saying
{
    /**
     * @param  list<string>  $more  keys of sentences said after the first
     * @param  array<string, string|int>  $with  values for them
     */
    public function __construct(public array $more = [], public array $with = [])
    {
    }
}
