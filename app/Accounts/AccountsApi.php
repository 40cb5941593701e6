<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Support\Api\Changes;
use App\Support\Api\Makes;
use App\Support\Api\Posts;
use App\Support\Api\Reads;
use App\Support\Api\Removes;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[Reads('/me', 'me', 'who is signed in', '#AccountData')]
#[Changes('/me', 'changeMe', 'changed', '#AccountData', takes: ['unit' => ['mm', 'cm', 'in']])]
#[Changes(
    '/me/password',
    'changePassword',
    'changed; every other session of this account has ended',
    takes: ['current' => 'string', 'password' => 'string'],
)]
#[
    Changes('/organisation', 'changeOrganisation', 'changed, for everybody of the place', '#AccountData', takes: [
        'directions' => ['folder', 'wall'],
        'fold_names' => ['term', 'likeness', 'both'],
        'letters' => 'boolean',
    ]),
]
#[Reads('/people', 'people', 'who belongs to the place, and who is invited', '#PeopleData')]
#[
    Makes('/invitations', 'invite', 'a link for one person, shown this once', [
        'path' => 'string', 'days' => 'integer',
    ], takes: ['whom?' => 'string']),
]
#[Removes('/invitations/{invitation}', 'withdrawInvitation', 'withdrawn')]
#[Reads('/join/{token}', 'invitation', 'who invites, and where to', ['organisation' => 'string', 'by' => 'string'])]
#[
    Makes('/join/{token}', 'join', 'joined, and signed in', '#AccountData', takes: [
        'name' => 'string', 'email' => 'string', 'password' => 'string',
    ]),
]
#[Posts('/sign-in', 'signIn', 'signed in', '#AccountData', takes: ['email' => 'string', 'password' => 'string'])]
#[Posts('/sign-out', 'signOut', 'signed out')]
#[Reads('/health', 'health', 'the database answers', ['ok' => 'boolean'])]
final class AccountsApi
{
}
