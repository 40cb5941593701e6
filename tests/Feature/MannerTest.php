<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;

/** How steps are said is a place's own choice, and holds for everybody there and nobody else. */
final class MannerTest extends TestCase
{
    private const USUAL = ['directions' => 'folder', 'fold_names' => 'term', 'letters' => false];

    public function testAPlaceChoosesHowItsStepsAreSaid(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead)->getJson('/api/me')->assertOk()->assertJson(self::USUAL);
        self::assertSame(['Bring the near corner to the far corner.', 'Diagonal fold'], $this->step());

        $this->putJson('/api/organisation', ['directions' => 'wall'] + self::USUAL)
            ->assertOk()
            ->assertJsonPath('directions', 'wall');
        self::assertSame(['Bring the bottom corner to the top corner.', 'Diagonal fold'], $this->step());

        $this->putJson('/api/organisation', ['directions' => 'wall', 'fold_names' => 'likeness', 'letters' => true])
            ->assertOk();
        self::assertSame(['Bring the bottom corner (A) to the top corner (B).', 'Kerchief'], $this->step());
        $drawing = $this->getJson('/api/models/drinking-cup')->json('steps.1.before.marks');
        self::assertSame(
            ['A', 'B'],
            array_column(array_filter($drawing, static fn (array $m): bool => $m['style'] === 'letter'), 'text'),
        );
        self::assertSame('Lifted petal', $this->getJson('/api/folds/petal')->json('fold.name'));
        self::assertContains('Lifted petal', $this->getJson('/api/models/crane')->json('summary.folds'));

        $this->actingAs($this->lead('Elsewhere'));
        self::assertSame(['Bring the near corner to the far corner.', 'Diagonal fold'], $this->step());
    }

    public function testALessonIsSaidInAMannerOfItsOwn(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $step = fn (string $query): array => $this->getJson("/api/models/drinking-cup?$query")->assertOk()
            ->json('steps.1');
        self::assertSame('Kerchief', $step('names=likeness')['name']);
        self::assertStringContainsString('(A)', $step('letters=on')['sentence']);
        $this->putJson('/api/organisation', ['letters' => true] + self::USUAL)->assertOk();
        self::assertStringNotContainsString('(A)', $step('letters=off')['sentence']);
        self::assertStringContainsString('(A)', $step('names=both')['sentence'], 'the rest is the place\'s');
        foreach (['names=nickname', 'letters=7', 'letters[]=on'] as $wrong) {
            $this->getJson("/api/models/drinking-cup?$wrong")->assertStatus(422);
        }

        // A lesson keeps what it wants, and says it to the room.
        $input = ['policies' => ['names' => 'likeness', 'letters' => 'on']] + $this->lessonInput($this->group($lead));
        $policies = $this->postJson('/api/lessons', $input)->assertCreated()->json('setting.policies');
        self::assertSame(
            ['names' => 'likeness', 'letters' => 'on'],
            array_intersect_key(array_column($policies['list'], 'chosen', 'key'), ['names' => 0, 'letters' => 0]),
        );
        self::assertContains('Folds are called by what they look like.', $policies['says']);
    }

    /** @return iterable<string, array{string, mixed}> */
    public static function faults(): iterable
    {
        yield 'no such directions' => ['directions', 'moon'];
        yield 'a list' => ['directions', ['wall']];
        yield 'no such names' => ['fold_names', 'nickname'];
        yield 'nothing' => ['fold_names', null];
        yield 'letters by number' => ['letters', 7];
    }

    #[DataProvider('faults')]
    public function testWhatCannotBeChosen(string $field, mixed $value): void
    {
        $lead = $this->lead();
        $this->actingAs($lead)
            ->putJson('/api/organisation', [$field => $value] + self::USUAL)
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', "/$field");
        $this->getJson('/api/me')->assertJson(self::USUAL);
    }

    public function testTheCommandSaysItInAManner(): void
    {
        $first = $this->said('--directions=wall --letters');
        self::assertSame('Bring the bottom left corner (A) to the top right corner (B).', substr($first, 0, 61));
        self::assertStringContainsString('Names (--names) are term, likeness or both.', $this->said('--names=pet'));
        self::assertStringContainsString('Directions (--directions) are', $this->said('--directions=moon'));
    }

    public function testTheCommandHoldsALanguageAgainstEnglish(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'xx');
        file_put_contents($file, "steps:\n  brnig: Falte {what}.\n");
        exec('php artisan cathedra:words '.escapeshellarg((string) $file).' 2>&1', $lines, $code);
        unlink((string) $file);
        self::assertSame(1, $code);
        self::assertStringContainsString('Line 2: nobody says steps.brnig; is "bring" meant?', implode("\n", $lines));
        exec('php artisan cathedra:words library/wording/en.yaml 2>&1', $whole, $code);
        self::assertSame([0, ['It says everything.']], [$code, $whole]);
    }

    /** @return array{string, string} the sentence and the name of the cup's second step */
    private function step(): array
    {
        $step = $this->getJson('/api/models/drinking-cup')->assertOk()->json('steps.1');

        return [$step['sentence'], $step['name']];
    }

    private function said(string $options): string
    {
        $text = (string) shell_exec("php artisan cathedra:steps crane $options 2>&1");
        $document = json_decode($text, true);

        return is_array($document) ? $document['steps'][0]['do'] : $text;
    }
}
