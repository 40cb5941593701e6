<?php

declare(strict_types=1);

namespace Bin;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** What bin/fuzz sends: bodies made after the OpenAPI document, then spoilt at one place; same seed, same row. */
final class Wrong
{
    public const PATHS = [
        '/api/%ff',
        '/api/%00',
        '/api/lessons/%00',
        '/api/lessons/%ff',
        '/api/lessons/99999999999999999999',
        '/api/models/%2e%2e%2f.env',
        '/%ff',
        '/x%00y',
        '/api/groups/1%27',
        '/api/models/crane/steps/999.svg',
        '/api/models/crane?ways[base]=',
        '/api/models/crane?ways=x',
        '/api/lessons?page=1e9',
        '/api/lessons?page[]=1',
        '/api/paper-ahead?until[]=x',
        '/api/paper-ahead?until=%00',
    ];

    private const UUID = '00000000-0000-4000-8000-000000000000';

    private const FITTING = ['drinking-cup', '2026-11-24T16:00', 'A4', '105 mm', self::UUID];

    private const SANE_PATH = ['model' => 'crane', 'kind' => 'lesson', 'id' => '1', 'learner' => '1'];

    /** How many rows of each kind the demo has; ids beyond are asked for too. */
    private const ROWS = ['lesson' => 6, 'group' => 3, 'stock' => 6];

    private readonly Randomizer $chance;

    /** @param  array<string, mixed>  $document  the OpenAPI document, decoded */
    public function __construct(private readonly array $document, int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** @return list<array{string, string, array<string, mixed>}> method, path, operation; none that signs in */
    public function operations(): array
    {
        $operations = [];
        foreach ($this->document['paths'] as $path => $methods) {
            foreach ($methods as $method => $operation) {
                if (! str_contains($path, 'sign-') && ! str_contains($path, 'password')) {
                    $operations[] = [strtoupper($method), $path, $operation];
                }
            }
        }

        return $operations;
    }

    /** @param  array<string, mixed>  $operation */
    public function path(string $path, array $operation): string
    {
        foreach ($operation['parameters'] ?? [] as $parameter) {
            $parameter = $this->resolve($parameter);
            $name = $parameter['name'];
            $value = $this->oneIn(4) ? $this->evil() : $this->fit($parameter['schema'] ?? []);
            $text = is_scalar($value) ? (string) $value : (string) self::json($value);
            if ($parameter['in'] === 'path') {
                $sane = self::SANE_PATH[$name] ?? (string) $this->chance->getInt(1, self::ROWS[$name] ?? 1);
                $put = $this->oneIn(3) ? rawurlencode(substr($text, 0, 300)) : $sane;
                $path = str_replace('{'.$name.'}', $put, $path);
            } elseif ($this->oneIn(2)) {
                $path .= (str_contains($path, '?') ? '&' : '?').$name.'='.rawurlencode(substr($text, 0, 3000));
            }
        }

        return $path;
    }

    /**
     * @param  array<string, mixed>  $operation
     * @return array<mixed>|string|null
     */
    public function body(array $operation, int $turn): array|string|null
    {
        $schema = $operation['requestBody']['content']['application/json']['schema'] ?? null;
        if ($schema === null) {
            return null;
        }
        $raw = self::raw();
        $body = $turn % 23 === 0 ? $raw[intdiv($turn, 23) % count($raw)] : $this->spoil($this->fit($schema));

        return is_array($body) || is_string($body) ? $body : self::json($body);
    }

    public static function json(mixed $value): string
    {
        return (string) json_encode($value, JSON_PARTIAL_OUTPUT_ON_ERROR);
    }

    /** @return list<string> bodies that are no JSON, or JSON that nobody should send */
    private static function raw(): array
    {
        return [
            '',
            '{',
            '[]',
            '"x"',
            'null',
            '{"a":1e400}',
            '{"learners":'.str_repeat('[', 200).str_repeat(']', 200).'}',
            '{"tags":['.implode(',', array_fill(0, 10_000, '"t"')).']}',
            '{"learners":['.implode(',', array_fill(0, 100_000, '[]')).']}',
            "{\"name\":\"\xFF\xFE\"}",
            str_repeat(' ', 400_000).'{}',
        ];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function resolve(array $schema): array
    {
        while (isset($schema['$ref'])) {
            $at = $this->document;
            foreach (array_slice(explode('/', $schema['$ref']), 1) as $part) {
                $at = $at[strtr($part, ['~1' => '/', '~0' => '~'])];
            }
            $schema = $at;
        }

        return $schema;
    }

    /**
     * Something that fits the schema, more or less.
     *
     * @param  array<string, mixed>  $schema
     */
    private function fit(array $schema, int $depth = 0): mixed
    {
        $schema = $this->resolve($schema);
        if (isset($schema['enum'])) {
            return $this->oneOf($schema['enum']);
        }

        return match ($schema['type'] ?? 'object') {
            'integer' => $this->chance->getInt(0, 30),
            'number' => $this->chance->getInt(10, 3000) / 10,
            'boolean' => $this->oneIn(2),
            'string' => $this->oneOf(self::FITTING),
            'array' => array_map(
                fn (): mixed => $this->fit($schema['items'] ?? [], $depth + 1),
                range(1, $this->chance->getInt(1, 3)),
            ),
            default => array_map(
                fn (array $p): mixed => $depth > 4 ? null : $this->fit($p, $depth + 1),
                $schema['properties'] ?? [],
            ),
        };
    }

    /** Something that nobody should send. */
    private function evil(): mixed
    {
        return $this->oneOf([
            ...[null, true, false, 0, -1, 1.5, 1e30, -1e-300, 4294967296, 16777217, PHP_INT_MAX, PHP_INT_MIN],
            ...['', ' ', '1', '-0', '0x10', '1e400', 'null', "\0", "a\0b", "line\nline", "\u{202E}x", '%00', '<b>'],
            ...["\xF0\x9F\x98\x80", 'İıſK', '٣', "' OR 1=1 --", '../../.env'],
            ...['2026-13-45T99:99', '9999-12-31T23:59'],
            ...[str_repeat('x', 10_000), str_repeat('9', 400), (object) [], ['a' => ['b' => 'c']], ['x' => "\0"]],
            ...[[], [[]], [[[[[[]]]]]], array_fill(0, 300, 1), array_fill(0, 260, []), range(1, 240)],
        ]);
    }

    /** One place of a body changed, dropped, or the whole of it. */
    private function spoil(mixed $body): mixed
    {
        if (! is_array($body) || $body === [] || $this->oneIn(6)) {
            return $this->evil();
        }
        $key = $this->oneOf(array_keys($body));
        if ($this->oneIn(8)) {
            unset($body[$key]);
        } else {
            $body[$key] = is_array($body[$key]) ? $this->spoil($body[$key]) : $this->evil();
        }

        return $body;
    }

    private function oneIn(int $n): bool
    {
        return $this->chance->getInt(1, $n) === 1;
    }

    /** @param  non-empty-list<mixed>  $of */
    private function oneOf(array $of): mixed
    {
        return $of[$this->chance->getInt(0, count($of) - 1)];
    }
}
