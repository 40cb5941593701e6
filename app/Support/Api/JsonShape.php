<?php

declare(strict_types=1);

namespace App\Support\Api;

use Attribute;
use OpenApi\Attributes as OA;

/**
 * A JSON object in a line a field, for the API document. Types: "string", "integer", "number", "boolean", "length" (a
 * number of mm, or text with its unit), "#Name" (another shape), "{string}" (a map), each with "?" before it when it
 * may be null and "[]" after it for a list; a list of words is an enum, fields in an array are an object, and ["[]" =>
 * fields] a list of objects. A field whose name ends in "?" may be left out.
 */
#[Attribute(Attribute::TARGET_CLASS)]
final class JsonShape extends OA\Schema
{
    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, string>  $says  description by field
     */
    public function __construct(string $name, array $fields, array $says = [])
    {
        parent::__construct(...['schema' => $name] + self::body($fields, $says));
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, string>  $says
     * @return array{required: list<string>|null, properties: list<OA\Property>, type: string}
     */
    public static function body(array $fields, array $says = []): array
    {
        $required = [];
        $properties = [];
        foreach ($fields as $field => $type) {
            $name = rtrim($field, '?');
            $name === $field && ($required[] = $name);
            $properties[] = new OA\Property(
                ...[
                    'property' => $name,
                    'description' => $says[$name] ?? null,
                ] + self::type($type),
            );
        }

        return ['required' => $required ?: null, 'properties' => $properties, 'type' => 'object'];
    }

    /**
     * @return array<string, mixed> named arguments of a property or of items
     */
    public static function type(mixed $type): array
    {
        if (is_array($type)) {
            return match (true) {
                array_is_list($type) => ['type' => 'string', 'enum' => $type],
                isset($type['[]']) => ['type' => 'array', 'items' => new OA\Items(...self::body((array) $type['[]']))],
                default => self::body($type),
            };
        }
        $type = is_string($type) ? $type : throw new \LogicException('A type is a word or fields.');
        $plain = ltrim($type, '?');
        $null = $plain === $type ? [] : ['nullable' => true];

        return $null +
            match (true) {
                str_ends_with($plain, '[]') => [
                    'type' => 'array',
                    'items' => new OA\Items(...self::type(substr($plain, 0, -2))),
                ],
                str_starts_with($plain, '#') => ['ref' => '#/components/schemas/'.substr($plain, 1)],
                str_starts_with($plain, '{') => [
                    'type' => 'object',
                    'additionalProperties' => new OA\AdditionalProperties(...self::type(trim($plain, '{}'))),
                ],
                $plain === 'length' => [
                    'oneOf' => [new OA\Schema(type: 'number'), new OA\Schema(type: 'string', example: '8 1/2 in')],
                ],
                default => ['type' => $plain],
            };
    }
}
