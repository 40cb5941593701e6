<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Lesson;
use App\Models\User;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;

/** What the API answers is what docs/api/openapi.json promises, since the front end's types are made from that. */
final class ContractTest extends TestCase
{
    /** @var array<string, mixed>|null */
    private static ?array $document = null;

    /** @return iterable<string, array{string, string}> the path of the document, and one to ask */
    public static function answers(): iterable
    {
        foreach (
            [
                '/api/me',
                '/api/home',
                '/api/groups',
                '/api/stocks',
                '/api/lessons',
                '/api/models',
                '/api/paper-needs',
                '/api/paper-ahead',
            ] as $path
        ) {
            yield $path => [$path, $path];
        }
        foreach (
            [
                '/api/groups/{group}/times',
                '/api/groups/{group}/paper',
                '/api/groups/{group}/wall',
                '/api/lessons/{lesson}',
                '/api/lessons/{lesson}/kits',
                '/api/lessons/{lesson}/measures',
                '/api/stocks/{stock}/changes',
            ] as $path
        ) {
            yield $path => [$path, $path];
        }
        yield 'a lesson thought of' => ['/api/groups/{group}/fit', '/api/groups/{group}/fit?models=crane,helmet'];
        foreach (['crane', 'cat', 'oblong-box', 'square-box'] as $slug) {
            yield "model $slug" => ['/api/models/{model}', "/api/models/$slug"];
        }
        yield 'square check' => ['/api/square-check', '/api/square-check?side=150&first=212&second=213&model=crane'];
        yield 'string' => [
            '/api/display-string',
            '/api/display-string?model=crane&side=150&models=10&gap=25&goal=100&per_lesson=15',
        ];
    }

    #[DataProvider('answers')]
    public function testAnswersAreAsPromised(string $path, string $ask): void
    {
        $lead = $this->demo();
        $library = $lead->organisation;
        foreach ($library->lessons()->orderBy('id')->pluck('id') as $lesson) {
            // taught ones, one to come, one of two models and two papers
            foreach ($library->groups()->pluck('id') as $group) {
                $address = strtr($ask, [
                    '{lesson}' => $lesson,
                    '{group}' => $group,
                    '{stock}' => $library->stocks()->value('id'),
                ]);
                $this->assertPromised($this->getJson($address)->assertOk()->getContent(), 'get', $path, '200');
                if (! str_contains($ask, '{group}')) {
                    break;
                }
            }
            if (! str_contains($ask, '{lesson}')) {
                break;
            }
        }
    }

    public function testWhatIsMadeAndChangedIsAnsweredAsPromised(): void
    {
        $lead = $this->demo();
        $group = $lead->organisation->groups()->firstOrFail();
        $stock = ['name' => 'Post paper', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => null, 'count' => null];
        $made = $this->postJson('/api/stocks', $stock)->assertCreated();
        $this->assertPromised($made->getContent(), 'post', '/api/stocks', '201');
        $this->assertPromised(
            $this->putJson(
                '/api/stocks/'.$made->json('id'),
                ['count' => 40, 'tags' => ['thin'], 'price' => 0.05] + $stock,
            )
                ->assertOk()
                ->getContent(),
            'put',
            '/api/stocks/{stock}',
            '200',
        );
        $this->assertPromised(
            $this->postJson('/api/stocks/'.$made->json('id').'/offcuts', ['count' => 3])
                ->assertOk()
                ->getContent(),
            'post',
            '/api/stocks/{stock}/offcuts',
            '200',
        );
        $input = $this->lessonInput($group, [
            'stock_id' => $made->json('id'),
            'side_mm' => 90,
            'also' => [],
            'further' => [['model' => 'cat', 'side_mm' => 100]],
            'starts_at' => now()->addDay()->format('Y-m-d\T10:00'),
            'ends_at' => now()->addDay()->format('Y-m-d\T12:00'),
        ]);
        $lesson = $this->postJson('/api/lessons', $input)->assertCreated();
        $this->assertPromised($lesson->getContent(), 'post', '/api/lessons', '201');
        $id = $lesson->json('card.id');
        $this->assertPromised(
            $this->putJson("/api/lessons/$id", ['decorate' => 'before', 'materials' => ['beads']] + $input)
                ->assertOk()
                ->getContent(),
            'put',
            '/api/lessons/{lesson}',
            '200',
        );
        $events = $this->send(
            $id,
            ['kind' => 'started'],
            ['kind' => 'moved', 'step' => 1],
            ['kind' => 'done', 'learner' => $group->learners[0]->id, 'step' => 1],
            ['kind' => 'corrected', 'learner' => $group->learners[0]->id,
                'correction' => ['model' => 'cat', 'finish' => 'stopped', 'step' => 2]],
            ['kind' => 'noted', 'text' => 'Scissors were short.'],
            ['kind' => 'ended'],
        )->assertOk();
        $this->assertPromised($events->getContent(), 'post', '/api/lessons/{lesson}/events', '200');
        $this->assertPromised($this->getJson("/api/lessons/$id")->getContent(), 'get', '/api/lessons/{lesson}', '200');
        $this->assertPromised(
            $this->getJson("/api/lessons/$id/events?after=2")->assertOk()->getContent(),
            'get',
            '/api/lessons/{lesson}/events',
            '200',
        );
        $this->assertPromised(
            $this->getJson('/api/stocks/'.$made->json('id').'/changes')
                ->assertOk()
                ->getContent(),
            'get',
            '/api/stocks/{stock}/changes',
            '200',
        );
        $this->assertPromised(
            $this->postJson('/api/stocks/'.$made->json('id').'/undo', [
                'change' => $this->getJson('/api/stocks/'.$made->json('id').'/changes')->json('0.id'),
            ])
                ->assertOk()
                ->getContent(),
            'post',
            '/api/stocks/{stock}/undo',
            '200',
        );
        $lines = explode(
            "\n",
            trim(
                $this->postJson('/api/cut-plan', [
                    'stock' => [['id' => $made->json('id'), 'count' => 3]],
                    'need' => [['side_mm' => 90, 'count' => 30]],
                    'method' => 'tear',
                    'prefer' => 'fewest',
                ])
                    ->assertOk()
                    ->streamedContent(),
            ),
        );
        $plan = (array) json_decode(end($lines));
        $this->assertPromised(
            (string) json_encode($plan['plan'], JSON_PRESERVE_ZERO_FRACTION),
            'post',
            '/api/cut-plan',
            '200',
        );
        $this->assertPromised(
            $this->postJson('/api/patterns', [
                'document' => (string) file_get_contents(dirname(__DIR__).'/fixtures/bird-base.fold'),
            ])
                ->assertOk()
                ->getContent(),
            'post',
            '/api/patterns',
            '200',
        );
    }

    public function testRefusalsAreAsPromised(): void
    {
        $lead = $this->demo();
        foreach (
            [
                $this->postJson('/api/stocks', []),
                $this->getJson('/api/lessons/999999'),
                $this->putJson('/api/lessons/'.Lesson::query()->value('id'), ['side_mm' => 'wide']),
            ] as $answer
        ) {
            $this->assertFits($answer->getContent(), '#/components/schemas/Problem');
        }
        self::assertSame('Marta', $lead->name);
    }

    public function testTheDocumentItselfCanSayNo(): void
    {
        self::assertNotNull(
            $this->faults('{"id": "one"}', '#/components/schemas/StockData'),
            'a name is missing and the id is no number',
        );
        self::assertNotNull($this->faults('[]', '#/components/schemas/LessonData'));
    }

    private function demo(): User
    {
        $this->seed();
        $this->actingAs($lead = User::query()->firstOrFail());

        return $lead;
    }

    private function assertPromised(string|false $answer, string $method, string $path, string $status): void
    {
        $of = self::document()['paths'][$path][$method]['responses'][$status]['content'];
        $this->assertFits(
            $answer,
            '#/paths/'.
                strtr($path, ['~' => '~0', '/' => '~1', '{' => '%7B', '}' => '%7D']).
                "/$method/responses/$status/content/".
                strtr((string) array_key_first($of), ['/' => '~1']).
                '/schema',
        );
    }

    private function assertFits(string|false $answer, string $pointer): void
    {
        self::assertNull($this->faults((string) $answer, $pointer), "$pointer\n".mb_substr((string) $answer, 0, 300));
    }

    /** @return string|null what does not fit, with the place */
    private function faults(string $answer, string $pointer): ?string
    {
        $schema = (object) json_decode((string) json_encode(['$ref' => $pointer] + self::document()));
        $validator = new Validator(max_errors: 3);
        $error = $validator->validate(json_decode($answer, flags: JSON_THROW_ON_ERROR), $schema)->error();

        return $error === null ? null : (string) json_encode((new ErrorFormatter)->format($error, true));
    }

    /** @return array<string, mixed> with nullable said as JSON Schema says it */
    private static function document(): array
    {
        return self::$document ??= self::plain(
            (array) json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/api/openapi.json'), true),
        );
    }

    /**
     * @param  array<string, mixed>  $node
     * @return array<string, mixed>
     */
    private static function plain(array $node): array
    {
        foreach ($node as $key => $value) {
            $node[$key] = is_array($value) ? self::plain($value) : $value;
        }
        if (($node['nullable'] ?? false) === true) {
            unset($node['nullable']);

            return ['anyOf' => [['type' => 'null'], $node]];
        }

        return $node;
    }
}
