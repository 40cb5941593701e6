<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Support\Api\JsonShape;

/** Who belongs to a place, and who is invited. */
#[
    JsonShape('PeopleData', [
        'people' => ['[]' => ['id' => 'integer', 'name' => 'string', 'email' => 'string']],
        'invitations' => ['[]' => ['id' => 'integer', 'whom' => 'string', 'by' => 'string', 'until' => 'string']],
    ], [
        'whom' => 'as who invites calls them; empty where nothing was said',
        'by' => 'who invited; empty when that account is gone',
        'until' => 'the clock on the wall',
    ]),
]
final readonly class PeopleData
{
    /**
     * @param  list<array{id: int, name: string, email: string}>  $people
     * @param  list<array{id: int, whom: string, by: string, until: string}>  $invitations
     */
    public function __construct(public array $people, public array $invitations)
    {
    }
}
