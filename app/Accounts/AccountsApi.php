<?php

declare(strict_types=1);

namespace App\Accounts;

use OpenApi\Attributes as OA;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[
    OA\Get(
        path: '/api/me',
        operationId: 'me',
        responses: [
            new OA\Response(
                response: 200,
                description: 'who is signed in',
                content: new OA\JsonContent(ref: '#/components/schemas/AccountData'),
            ),
            new OA\Response(
                response: 401,
                description: 'nobody',
                content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
            ),
        ],
    ),
]
#[
    OA\Put(
        path: '/api/me',
        operationId: 'changeMe',
        requestBody: new OA\RequestBody(
            content: new OA\JsonContent(
                required: ['unit'],
                properties: [new OA\Property(property: 'unit', type: 'string', enum: ['mm', 'cm', 'in'])],
            ),
        ),
        responses: [
            new OA\Response(
                response: 200,
                description: 'changed',
                content: new OA\JsonContent(ref: '#/components/schemas/AccountData'),
            ),
        ],
    ),
]
#[
    OA\Post(
        path: '/api/sign-in',
        operationId: 'signIn',
        requestBody: new OA\RequestBody(
            content: new OA\JsonContent(
                required: ['email', 'password'],
                properties: [
                    new OA\Property(property: 'email', type: 'string'),
                    new OA\Property(property: 'password', type: 'string'),
                ],
            ),
        ),
        responses: [
            new OA\Response(
                response: 200,
                description: 'signed in',
                content: new OA\JsonContent(ref: '#/components/schemas/AccountData'),
            ),
        ],
    ),
]
#[
    OA\Post(
        path: '/api/sign-out',
        operationId: 'signOut',
        responses: [new OA\Response(response: 204, description: 'signed out')],
    ),
]
final class AccountsApi
{
}
