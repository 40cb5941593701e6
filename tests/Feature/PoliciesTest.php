<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\Lesson;
use App\Models\User;
use Cathedra\Core\Rules\PolicyTable;
use PHPUnit\Framework\Attributes\DataProvider;

/** How a lesson is taught: chosen with the lesson, seen in its plan, its preparation and on its stage. */
final class PoliciesTest extends TestCase
{
    private Group $group;

    private User $lead;

    public function testWhatIsChosenSetsThePlanAndWhatIsSaid(): void
    {
        $usual = $this->made([]);
        self::assertSame([], $usual['setting']['policies']['says']);
        self::assertSame(
            array_keys(PolicyTable::OPTIONS),
            array_column($usual['setting']['policies']['list'], 'key'),
        );
        $twice = $this->changed($usual, ['policies' => ['show' => 'twice', 'pace' => 'wait']]);
        self::assertGreaterThan($usual['plan']['needed_minutes'], $twice['plan']['needed_minutes']);
        self::assertSame(['I show each step twice; look both times.'], $twice['setting']['policies']['says']);
        self::assertSame('twice', $this->chosen($twice, 'show'));
        $back = $this->changed($twice, ['policies' => null]);
        self::assertSame($usual['plan'], $back['plan']);
    }

    public function testStepsFoldedBeforeAreLeftOutAndPrepared(): void
    {
        $lesson = $this->made(['prepared' => 3]);
        $steps = array_values(array_filter(array_column($lesson['plan']['lines'], 'step')));
        self::assertSame(4, $steps[0]);
        self::assertContains('recap', array_column($lesson['plan']['lines'], 'key'));
        self::assertSame([3, 6], [
            $lesson['setting']['policies']['prepared'],
            $lesson['setting']['policies']['most_prepared'],
        ]);
        $stock = $this->lead->organisation->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => 30]);
        $none = $this->changed($lesson, ['stock_ids' => [$stock->id], 'prepared' => 0])['paper'];
        $three = $this->changed($lesson, ['stock_ids' => [$stock->id], 'prepared' => 3, 'version' => 2])['paper'];
        $said = array_column($three['list'], 'text', 'key');
        // Three learners and one spare.
        self::assertSame('Fold steps 1 to 3 of 4 Drinking cup, and lay them ready.', $said['prefold-1']);
        self::assertArrayNotHasKey('prefold-1', array_column($none['list'], 'text', 'key'));
        self::assertGreaterThan($none['prepare']['minutes'], $three['prepare']['minutes']);
    }

    public function testAModelFoldedTwiceTakesTwoSquaresEach(): void
    {
        $this->lead = $this->lead();
        $stock = $this->lead->organisation->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => 30]);
        $this->group = $this->group($this->lead);
        $input = fn (array $model): array => ['models' => [['model' => 'drinking-cup'] + $model]]
            + $this->lessonInput($this->group, ['stock_id' => $stock->id]);
        $this->actingAs($this->lead);
        $once = (array) $this->postJson('/api/lessons', $input([]))->assertCreated()->json();
        $path = "/api/lessons/{$once['card']['id']}";
        $twice = (array) $this->putJson($path, $input(['times' => 2]))->assertOk()->json();
        self::assertSame([1, 2], [$once['models'][0]['times'], $twice['models'][0]['times']]);
        // Three, a spare and one to practise with; six, then, two spares and one.
        self::assertSame([5, 9], [$once['card']['sheets'], $twice['card']['sheets']]);
        self::assertContains('again', array_column($twice['plan']['lines'], 'key'));
        $kit = $this->getJson("$path/kits")->assertOk()->json('kit');
        self::assertStringContainsString('Drinking cup: 2 squares of', $kit[0]);
        $made = ['square_in_lesson' => true, 'policies' => ['squaring' => 'fresh']];
        $fresh = (array) $this->putJson($path, $made + $input([]))->assertOk()->json();
        self::assertSame(9, $fresh['card']['sheets'], 'the square each has made is put aside');
        self::assertCount(count(array_filter(array_column($once['plan']['lines'], 'step'))), array_filter(
            array_column($twice['plan']['lines'], 'step'),
        ));
        foreach ([0, 3, 'two', 1.5] as $bad) {
            $this->postJson('/api/lessons', $input(['times' => $bad]))
                ->assertStatus(422)
                ->assertJsonPath('errors.0.pointer', '/models/0/times');
        }
    }

    public function testTheCreaseThatMadeTheSquareCounts(): void
    {
        $lesson = $this->made(['square_in_lesson' => true]);
        self::assertSame([2], $lesson['setting']['policies']['creases_there'], 'turned first, then corner to corner');
        $again = $this->changed($lesson, ['square_in_lesson' => true, 'policies' => ['squaring' => 'again']]);
        self::assertSame([], $again['setting']['policies']['creases_there']);
        $seconds = static fn (array $of): int => array_column($of['plan']['lines'], 'seconds', 'step')[2];
        self::assertGreaterThan($seconds($lesson), $seconds($again));
    }

    /** @return iterable<string, array{array<string, string>, string, int, string}> */
    public static function squares(): iterable
    {
        yield 'strip, then the check' => [[], 'Fold it up along the edge', 6, 'fold the other diagonal'];
        yield 'edge, both creases first' => [
            ['cut_line' => 'edge', 'second' => 'before'],
            'Cut it off along the edge',
            5,
            'both creases end in its corners',
        ];
        yield 'pencil, one crease' => [
            ['cut_line' => 'pencil', 'second' => 'model'],
            'open the sheet, and cut along the line',
            4,
            'Check it: both diagonals must be 29',
        ];
    }

    /** @param  array<string, string>  $chosen */
    #[DataProvider('squares')]
    public function testTheSquareIsMadeAsChosen(array $chosen, string $cut, int $pictures, string $check): void
    {
        $this->group = $this->group($this->lead = $this->lead());
        $stock = $this->lead->organisation->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => 30]);
        $lesson = (array) $this->actingAs($this->lead)->postJson('/api/lessons', $this->lessonInput($this->group, [
            'stock_id' => $stock->id, 'square_in_lesson' => true, 'policies' => $chosen,
        ]))->assertCreated()->json();
        $paper = $lesson['paper'];
        self::assertCount($pictures, $paper['squaring']);
        self::assertStringContainsString($cut, implode(' ', $paper['steps']));
        self::assertStringContainsString($check, implode(' ', $paper['steps']));
        self::assertSame(
            ($chosen['second'] ?? '') === 'before',
            str_contains(implode(' ', $paper['steps']), 'fold the other top corner down in the same way'),
        );
    }

    /** Each contradiction is said, and each of its ways out ends it. */
    public function testWhatContradictsItselfIsSaidWithWaysOut(): void
    {
        $none = ['cutting' => 'none'];
        $against = fn (array $lesson): array => $lesson['setting']['policies']['against'];
        self::assertSame([], $against($this->made(['policies' => $none])));
        $cases = [
            ['yet nothing may be cut', 3, ['policies' => $none, 'square_in_lesson' => true]],
            ['Pyramid is cut with scissors', 1, ['policies' => ['cutting' => 'square'], 'model' => 'pyramid']],
            ['Steps 1 to 2 are folded before the lesson', 3, ['prepared' => 2, 'square_in_lesson' => true]],
            ['yet all wait for the last one', 2, ['policies' => ['show' => 'cards', 'pace' => 'everybody']]],
        ];
        foreach ($cases as [$says, $ways, $changes]) {
            $lesson = $this->made($changes);
            [$one] = $against($lesson);
            self::assertStringContainsString($says, $one['text']);
            self::assertCount($ways, $one['ways'], $says);
            foreach ($one['ways'] as $way) {
                $chosen = array_column($lesson['setting']['policies']['list'], 'chosen', 'key');
                $change = $way['change'];
                $input = $this->lessonInput($this->group, [
                    ...$changes,
                    ...$change,
                    'policies' => [...$chosen, ...$change['policies'] ?? []],
                ]);
                $after = $this->putJson("/api/lessons/{$lesson['card']['id']}", $input)->assertOk()->json();
                self::assertSame([], $against($after), "$says: {$way['title']}");
            }
        }
        $fresh = $this->made(['prepared' => 2, 'square_in_lesson' => true, 'policies' => ['squaring' => 'fresh']]);
        self::assertSame([], $against($fresh), 'prepared squares are folded, those of the lesson are put aside');
    }

    /** What is chosen has to be laid out: it stands on the list of what to prepare, and can be ticked there. */
    public function testWhatIsChosenIsPrepared(): void
    {
        $this->group = $this->group($this->lead = $this->lead(), ['Ada', 'Bram', 'Cleo', 'Dov', 'Edda']);
        $this->group->update(['table_size' => 2]);
        $stock = $this->lead->organisation->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => 90]);
        $list = function (array $changes) use ($stock): array {
            $lesson = (array) $this->actingAs($this->lead)->postJson('/api/lessons', $this->lessonInput($this->group, [
                'stock_id' => $stock->id, ...$changes,
            ]))->assertCreated()->json();
            $entries = array_filter(
                $lesson['paper']['list'],
                static fn (array $e): bool => str_starts_with($e['key'], 'bring-'),
            );

            return array_column($entries, 'text', 'key');
        };
        self::assertSame([], $list([]));
        self::assertSame(
            ['bring-step-cards-1' => 'Print the steps 5 times, one set for each learner.',
                'bring-card-1' => 'Lay out 5 rulers or stiff cards to crease with, one each.'],
            $list(['policies' => ['crease_with' => 'card', 'show' => 'cards', 'pace' => 'ahead']]),
        );
        self::assertSame(
            ['bring-table-cards-1' => 'Print the steps 3 times, one set for each table.',
                'bring-pencil-1' => 'Lay out 5 pencils, one each.'],
            $list(['policies' => ['crease_with' => 'pencil', 'pace' => 'ahead']]),
        );
        self::assertSame(
            [],
            $list(['policies' => ['cut_line' => 'pencil', 'squaring' => 'fresh']]),
            'nobody makes a square in the lesson',
        );
        $making = ['square_in_lesson' => true, 'policies' => ['cut_line' => 'pencil', 'squaring' => 'fresh']];
        self::assertSame(
            ['bring-fresh-1' => 'Cut 5 squares beforehand: they are folded, '
                .'and those made in the lesson are put aside.',
                'bring-pencil-1' => 'Lay out 5 pencils, one each.'],
            $list($making),
        );
    }

    /** New lessons begin as this lead teaches, else as this place does; what a lesson has chosen stays its own. */
    public function testWhatIsUsualIsOfTheLeadElseOfThePlace(): void
    {
        $this->group = $this->group($this->lead = $this->lead());
        $this->actingAs($this->lead);
        $made = fn (): array => (array) $this->postJson('/api/lessons', $this->lessonInput($this->group))
            ->assertCreated()->json();
        $of = static fn (array $lesson, string $what): array => array_column(
            array_filter(
                $lesson['setting']['policies']['list'],
                static fn (array $one): bool => in_array($one['key'], ['show', 'quick'], true),
            ),
            $what,
            'key',
        );
        $first = $made();
        self::assertSame(['show' => 'along', 'quick' => 'help'], $of($first, 'chosen'));

        $this->putJson('/api/usual-policies', ['policies' => ['show' => 'twice'], 'for' => 'place'])->assertNoContent();
        self::assertSame(['show' => 'twice', 'quick' => 'help'], $of($made(), 'chosen'));
        $again = (array) $this->getJson("/api/lessons/{$first['card']['id']}")->assertOk()->json();
        self::assertSame(['show' => 'along', 'quick' => 'help'], $of($again, 'chosen'), 'a planned one stays');
        self::assertSame(['show' => 'twice', 'quick' => 'help'], $of($again, 'usual'), 'and differs now');

        $this->putJson('/api/usual-policies', [
            'policies' => ['show' => 'silent', 'quick' => 'again'], 'for' => 'me',
        ])->assertNoContent();
        self::assertSame(['show' => 'silent', 'quick' => 'again'], $of($made(), 'chosen'));

        $other = $this->lead->organisation;
        $colleague = \App\Models\User::query()->create([
            'organisation_id' => $other->id, 'name' => 'Ivo', 'email' => uniqid('ivo').'@gullwick.example',
            'password' => 'fold-the-corner',
        ]);
        $this->actingAs($colleague);
        self::assertSame(['show' => 'twice', 'quick' => 'help'], $of($made(), 'chosen'), 'a colleague');

        $this->actingAs($this->lead)->putJson('/api/usual-policies', ['policies' => null, 'for' => 'place']);
        self::assertSame(['show' => 'along', 'quick' => 'help'], $of($made(), 'chosen'), 'as most do again');
        foreach ([[['show' => 'thrice'], 'me', '/policies'], ['x', 'me', '/policies'], [null, 'all', '/for']] as $bad) {
            $this->putJson('/api/usual-policies', ['policies' => $bad[0], 'for' => $bad[1]])
                ->assertStatus(422)->assertJsonPath('errors.0.pointer', $bad[2]);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function bad(): iterable
    {
        yield 'no such policy' => [['policies' => ['music' => 'loud']], '/policies', 'There is no such policy'];
        yield 'no such option' => [['policies' => ['show' => 'thrice']], '/policies', 'is one of: along, first, twice'];
        yield 'a list' => [['policies' => ['show' => ['twice']]], '/policies', 'is one of'];
        yield 'a word' => [['policies' => 'twice'], '/policies', ''];
        yield 'the whole model' => [['prepared' => 7], '/prepared', 'at most 6 can be folded before'];
        yield 'fewer than none' => [['prepared' => -1], '/prepared', 'a whole number from 0 on'];
        yield 'half a step' => [['prepared' => 1.5], '/prepared', 'a whole number'];
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('bad')]
    public function testWhatCannotBeMeant(array $changes, string $at, string $said): void
    {
        $this->group = $this->group($this->lead = $this->lead());
        $answer = $this->actingAs($this->lead)
            ->postJson('/api/lessons', $this->lessonInput($this->group, $changes))
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', $at);
        self::assertStringContainsString($said, (string) $answer->json('errors.0.message'));
        self::assertSame(0, Lesson::query()->count());
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    private function made(array $changes): array
    {
        $this->group = $this->group($this->lead = $this->lead());

        return (array) $this->actingAs($this->lead)
            ->postJson('/api/lessons', $this->lessonInput($this->group, $changes))
            ->assertCreated()
            ->json();
    }

    /**
     * @param  array<string, mixed>  $lesson
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    private function changed(array $lesson, array $changes): array
    {
        $input = $this->lessonInput($this->group, $changes + ['version' => $lesson['setting']['version']]);

        return (array) $this->putJson("/api/lessons/{$lesson['card']['id']}", $input)->assertOk()->json();
    }

    /** @param  array<string, mixed>  $lesson */
    private function chosen(array $lesson, string $policy): string
    {
        return array_column($lesson['setting']['policies']['list'], 'chosen', 'key')[$policy];
    }
}
