<?php

declare(strict_types=1);

namespace App\Support\Api;

use OpenApi\Attributes as OA;

/** What one address takes and answers, as named arguments of swagger-php's operations. */
final class Address
{
    /**
     * @param  string  $path  with {names}; `{lesson}`, `{group}`, `{stock}`, `{learner}` and `{id}` are numbers
     * @param  string|array<string, mixed>|null  $takes  a shape's name or fields
     * @param  string|array<string, mixed>|null  $answers  a type ("#LessonData", "#GroupData[]") or fields
     * @param  array<string, mixed>  $query
     * @return array<string, mixed>
     */
    public static function of(
        string $path,
        string $id,
        string $says,
        string|array|null $takes,
        string|array|null $answers,
        array $query,
        int $status,
    ): array {
        return [
            'path' => '/api'.$path,
            'operationId' => $id,
            ...$takes === null ? [] : ['requestBody' => new OA\RequestBody(content: self::content($takes))],
            'parameters' => self::parameters($path, $query) ?: null,
            'responses' => [new OA\Response(
                response: $answers === null ? 204 : $status,
                description: $says,
                content: $answers === null ? null : self::content($answers),
            )],
        ];
    }

    /** @param  string|array<string, mixed>  $of */
    private static function content(string|array $of): OA\JsonContent
    {
        return new OA\JsonContent(...JsonShape::type($of));
    }

    /**
     * @param  array<string, mixed>  $query
     * @return list<OA\Parameter>
     */
    private static function parameters(string $path, array $query): array
    {
        $parameters = [];
        if (isset($query['ways?'])) { // the way taken, by route
            unset($query['ways?']);
            $parameters[] = new OA\Parameter(ref: '#/components/parameters/Ways');
        }
        preg_match_all('/\{(\w+)\}/', $path, $names);
        foreach ($names[1] as $name) {
            $type = in_array($name, ['lesson', 'group', 'stock', 'learner', 'id'], true) ? 'integer' : 'string';
            $parameters[] = new OA\Parameter(
                name: $name,
                in: 'path',
                required: true,
                schema: new OA\Schema(type: $type),
            );
        }
        foreach ($query as $name => $type) {
            $parameters[] = new OA\Parameter(
                name: rtrim($name, '?'),
                in: 'query',
                required: ! str_ends_with($name, '?') ? true : null,
                schema: new OA\Schema(...JsonShape::type($type)),
            );
        }

        return $parameters;
    }
}
