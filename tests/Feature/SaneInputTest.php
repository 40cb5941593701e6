<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\Stock;
use PHPUnit\Framework\Attributes\DataProvider;

/** What no form sends and somebody will: refused with its place before anything else looks at it; nothing is kept. */
final class SaneInputTest extends TestCase
{
    /** @return iterable<string, array{string, int, string, string}> body as text, status, pointer, words */
    public static function bodies(): iterable
    {
        $name = static fn (string $json): string => '{"name":'.$json.',"age_band":"junior","helpers":1,"learners":[]}';
        yield 'no JSON' => ['{"name":', 422, '', 'not JSON that can be read'];
        yield 'a number alone' => ['7', 422, '', 'must be a JSON object'];
        yield 'a text alone' => ['"group"', 422, '', 'must be a JSON object'];
        yield 'NUL in a text' => [$name('"a\u0000b"'), 422, '/name', 'must be text'];
        yield 'no UTF-8' => ["{\"name\":\"\xC3\x28\"}", 422, '', 'not JSON that can be read'];
        yield 'NUL in the name of a field' => ['{"a\u0000":1}', 422, '', 'Names of fields'];
        yield 'a number beyond numbers' => ['{"helpers":1e400}', 422, '/helpers', 'too large'];
        yield 'beyond numbers, deep inside' => ['{"learners":[{"id":-1e999}]}', 422, '/learners/0/id', 'too large'];
        yield 'nested without end' => [
            '{"a":'.str_repeat('[', 100).str_repeat(']', 100).'}',
            422,
            '',
            'not JSON that can be read',
        ];
        yield 'a list of 251' => [
            '{"tags":['.implode(',', array_fill(0, 251, '1')).']}',
            422,
            '/tags',
            'too long: at most 250',
        ];
        yield 'ten thousand' => [
            '{"also_stock_ids":['.implode(',', range(1, 10_000)).']}',
            422,
            '/also_stock_ids',
            'too long',
        ];
        yield 'lists in lists' => [
            '{"learners":['.implode(',', array_fill(0, 100, '['.implode(',', array_fill(0, 100, '0')).']')).']}',
            422,
            '',
            'at most 6000 values',
        ];
        yield 'half a megabyte' => ['{"name":"'.str_repeat('x', 500_000).'"}', 413, '', 'at most 300 kB'];
        yield 'a slash in a field is written as pointers write it' => [
            '{"a/b~c":1e400}',
            422,
            '/a~1b~0c',
            'too large',
        ];
    }

    public function testAListWhereTextIsMeantIsRefusedAtItsPlace(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead);
        $lesson = $this->postJson('/api/lessons', $this->lessonInput($group))->assertCreated()->json('card.id');
        $stock = ['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297];
        $deed = $this->deeds([['kind' => 'moved', 'step' => 1]])['events'][0];
        $lists = [
            ['POST', '/api/stocks', [...$stock, 'tags' => ['red', ['red']]], '/tags/1'],
            ['POST', '/api/stocks', [...$stock, 'tags' => [['a' => 'b'], 'red']], '/tags/0'],
            [
                'POST',
                "/api/lessons/$lesson/events",
                ['after' => 0, 'events' => [$deed, ['key' => ['x']] + $deed]],
                '/events/1/key',
            ],
            ['PUT', "/api/lessons/$lesson", $this->lessonInput($group, ['starts_at' => ['2026-11-24']]), '/starts_at'],
            ['PUT', "/api/lessons/$lesson", $this->lessonInput($group, ['starts_at' => 20261124]), '/starts_at'],
            ['PUT', "/api/lessons/$lesson", $this->lessonInput($group, ['ends_at' => [1]]), '/ends_at'],
            ['POST', '/api/stocks', [...$stock, 'tags' => ['Red', 'red']], '/tags/0'],
        ];
        foreach ($lists as [$method, $path, $body, $pointer]) {
            $this->json($method, $path, $body)->assertStatus(422)->assertJsonPath('errors.0.pointer', $pointer);
        }
        $this->putJson("/api/lessons/$lesson", $this->lessonInput($group, ['ends_at' => '2026-11-24T15:00']))
            ->assertStatus(422)
            ->assertJsonPath('errors.0.message', 'The slot ends before it starts. Choose an end after the start.');
    }

    /** Between the question whether a name is free and taking it, somebody else takes it. */
    public function testTwoOfOneNameAtOnceIsSaid(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $first = true;
        foreach ([Group::class, Stock::class] as $class) {
            $class::creating(static function (Group|Stock $new) use (&$first, $class): void {
                if ($first) {
                    $first = false;
                    $class::query()->create($new->getAttributes());
                }
            });
        }
        $group = ['name' => 'Gulls', 'age_band' => 'junior', 'helpers' => 1, 'learners' => []];
        $stock = ['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297];
        foreach (['/api/groups' => $group, '/api/stocks' => $stock] as $path => $body) {
            $first = true;
            $this->postJson($path, $body)->assertStatus(409)->assertJsonPath('errors.0.pointer', '/name');
        }
    }

    #[DataProvider('bodies')]
    public function testABody(string $body, int $status, string $pointer, string $words): void
    {
        $this->actingAs($this->lead());
        $answer = $this->call('POST', '/api/groups', [], [], [], [
            'CONTENT_TYPE' => 'application/json',
            'HTTP_ACCEPT' => 'application/json',
        ], $body);
        self::assertSame($status, $answer->getStatusCode(), (string) $answer->getContent());
        self::assertSame($pointer, $answer->json('errors.0.pointer'));
        self::assertStringContainsString($words, (string) $answer->json('message'));
        self::assertSame(0, Group::query()->count());
    }

    /** @return iterable<string, array{string, int}> */
    public static function addresses(): iterable
    {
        yield 'no UTF-8' => ['/api/%ff', 404];
        yield 'NUL' => ['/api/lessons/%00', 404];
        yield 'a word for a number' => ['/api/lessons/first', 404];
        yield 'a number beyond numbers' => ['/api/lessons/99999999999999999999999', 404];
        yield 'less than nothing' => ['/api/lessons/-1', 404];
        yield 'a page that is a list' => ['/api/lessons?page[]=1', 422];
        yield 'a page that is no number' => ['/api/lessons?page=1e9', 422];
        yield 'the first page' => ['/api/lessons?page=1', 200];
        yield 'a day that is NUL' => ['/api/paper-ahead?until=%00', 422];
        yield 'a day that is a list' => ['/api/paper-ahead?until[]=2026-01-01', 422];
        yield 'a way that is none' => ['/api/models/crane?ways=x', 422];
        yield 'events after a word' => ['/api/lessons/1/events?after=x', 404];
    }

    #[DataProvider('addresses')]
    public function testAnAddress(string $path, int $status): void
    {
        $this->actingAs($this->lead());
        $answer = $this->getJson($path);
        self::assertSame($status, $answer->getStatusCode(), (string) $answer->getContent());
        if ($status === 422) {
            self::assertNotSame('', (string) $answer->json('errors.0.message'));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> a group with one thing wrong, and where */
    public static function wrongGroups(): iterable
    {
        $bad = [true, [], ['a' => 1], str_repeat('x', 10_000), 1.5];
        $fields = [
            'name' => [[], ['x'], str_repeat('n', 81)],
            'helpers' => [...array_slice($bad, 1), -1, 21],
            'age_band' => $bad,
            'table_size' => [[], 0, 21, '4 and a half'],
            'version' => [[], -1, 'x'],
        ];
        foreach ($fields as $field => $values) {
            foreach ($values as $i => $value) {
                yield "$field, $i" => [[$field => $value], "/$field"];
            }
        }
        yield 'learners as a text' => [['learners' => 'Ada'], '/learners'];
        yield 'sixty-one learners' => [
            ['learners' => array_fill(0, 61, ['id' => null, 'name' => 'N'])],
            '/learners',
        ];
        yield 'a learner as a text' => [['learners' => ['Ada']], '/learners/0'];
        yield 'a learner as a list' => [['learners' => [[]]], '/learners/0'];
        yield 'a name as a list' => [['learners' => [['id' => null, 'name' => ['Ada']]]], '/learners/0/name'];
        yield 'a long name' => [
            ['learners' => [['id' => null, 'name' => str_repeat('a', 41)]]],
            '/learners/0/name',
        ];
        yield 'an id that is a word' => [['learners' => [['id' => 'first', 'name' => 'Ada']]], '/learners/0/id'];
    }

    /** @param  array<string, mixed>  $wrong */
    #[DataProvider('wrongGroups')]
    public function testAGroupWithOneThingWrong(array $wrong, string $pointer): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead);
        $good = [
            'name' => 'Harbour Juniors',
            'age_band' => 'junior',
            'helpers' => 1,
            'version' => 1,
            'learners' => array_map(
                static fn (int $id, string $name): array => ['id' => $id, 'name' => $name],
                $group->learners->pluck('id')->all(),
                $group->learners->pluck('name')->all(),
            ),
        ];
        $answer = $this->putJson("/api/groups/{$group->id}", $wrong + $good);
        self::assertContains($answer->getStatusCode(), [409, 422], (string) $answer->getContent());
        $pointers = array_column((array) $answer->json('errors'), 'pointer');
        self::assertNotSame([], array_filter($pointers, static fn (string $p): bool => str_starts_with($p, $pointer)),
            implode(', ', $pointers));
        self::assertSame($group->name, $group->refresh()->name, 'nothing is half saved');
        self::assertSame(['Ada', 'Bram', 'Cleo'], $group->learners()->pluck('name')->all());
        $this->putJson("/api/groups/{$group->id}", $good)->assertOk();
    }
}
