<?php

declare(strict_types=1);

namespace App\Support\Api;

use Attribute;
use OpenApi\Attributes as OA;

/** The one answer that comes in lines. */
#[Attribute(Attribute::TARGET_CLASS)]
final class CutPlanAddress extends OA\Post
{
    public function __construct()
    {
        $takes = [
            'stock' => ['[]' => ['id' => 'integer', 'count' => '?integer']],
            'need' => ['[]' => ['side_mm' => '?length', 'count' => 'integer']],
            'method' => ['scissors', 'trimmer', 'tear'],
            'prefer' => ['least', 'fewest', 'scrap'],
        ];
        parent::__construct(
            path: '/api/cut-plan',
            operationId: 'cutPlan',
            description: 'Answers in lines of JSON while it works: {"share", "what"} and at last {"plan"}.'
                .' A count of null is plenty; a single size of null is the largest for so many.',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(...JsonShape::body($takes))),
            responses: [new OA\Response(
                response: 200,
                description: 'lines; the last holds the plan',
                content: new OA\MediaType(
                    mediaType: 'application/x-ndjson',
                    schema: new OA\Schema(ref: '#/components/schemas/BenchPlanData'),
                ),
            )],
        );
    }
}
