<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FinishRecord;
use App\Models\Group;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Stock;
use PHPUnit\Framework\Attributes\DataProvider;

final class GroupAndStockTest extends TestCase
{
    public function testAGroupIsEnteredReorderedAndErased(): void
    {
        $this->actingAs($this->lead());
        $names = static fn (array ...$l): array => $l;
        $group = $this->postJson('/api/groups', [
            'name' => 'Juniors',
            'age_band' => 'junior',
            'helpers' => 1,
            'learners' => $names(
                ['id' => null, 'name' => 'Ada'],
                ['id' => null, 'name' => 'Bram'],
                ['id' => null, 'name' => 'Cleo'],
            ),
        ])
            ->assertCreated()
            ->json();
        [$ada, $bram, $cleo] = array_column($group['learners'], 'id');
        $changed = $this->putJson("/api/groups/{$group['id']}", [
            'name' => 'Juniors',
            'age_band' => 'teen',
            'helpers' => 0,
            'learners' => $names(
                ['id' => $cleo, 'name' => 'Cleo'],
                ['id' => $ada, 'name' => 'Adele'],
                ['id' => null, 'name' => 'Dov'],
            ),
        ])
            ->assertOk()
            ->json();
        self::assertSame(
            [[1, 'Cleo', $cleo], [2, 'Adele', $ada]],
            array_map(
                static fn (array $l): array => [$l['seat'], $l['name'], $l['id']],
                array_slice($changed['learners'], 0, 2),
            ),
        );
        self::assertNull(Learner::query()->find($bram), 'who is no longer listed is erased');
        $this->deleteJson("/api/groups/{$group['id']}")->assertNoContent();
        self::assertSame([0, 0], [Group::query()->count(), Learner::query()->count()]);
    }

    public function testErasingALearnerErasesTheRecord(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $lesson = Lesson::query()->create([
            'organisation_id' => $lead->organisation_id,
            'group_id' => $group->id,
            'model' => 'helmet',
            'starts_at' => now(),
            'minutes' => 60,
            'helpers' => 0,
        ]);
        $lesson->finishes()->create(['learner_id' => $group->learners[0]->id, 'outcome' => 'alone', 'step' => null]);
        $this->actingAs($lead)
            ->putJson("/api/groups/{$group->id}", [
                'name' => $group->name,
                'age_band' => 'junior',
                'helpers' => 0,
                'learners' => [],
            ])
            ->assertOk();
        self::assertSame(0, FinishRecord::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badGroups(): iterable
    {
        yield 'no name' => [['name' => ''], '/name'];
        yield 'ten thousand letters' => [['name' => str_repeat('x', 10000)], '/name'];
        yield 'markup' => [['name' => '<script>alert(1)</script>'], '/name'];
        yield 'no such age' => [['age_band' => 'elves'], '/age_band'];
        yield 'helpers' => [['helpers' => 99], '/helpers'];
        yield 'five hundred learners' => [
            ['learners' => array_fill(0, 500, ['id' => null, 'name' => 'A'])],
            '/learners',
        ];
        yield 'a learner with markup' => [
            ['learners' => [['id' => null, 'name' => 'Ada'], ['id' => null, 'name' => '<b>Bram</b>']]],
            '/learners/1/name',
        ];
        yield 'a learner without a name' => [['learners' => [['id' => null, 'name' => ' ']]], '/learners/0/name'];
        yield 'a very long learner' => [
            ['learners' => [['id' => null, 'name' => str_repeat('y', 10000)]]],
            '/learners/0/name',
        ];
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('badGroups')]
    public function testBadGroups(array $changes, string $pointer): void
    {
        $this->actingAs($this->lead());
        $answer = $this->postJson('/api/groups', [
            ...['name' => 'G', 'age_band' => 'adult', 'helpers' => 0, 'learners' => []],
            ...$changes,
        ])
            ->assertUnprocessable()
            ->json();
        self::assertSame($pointer, $answer['errors'][0]['pointer']);
        self::assertSame([0, 0], [Group::query()->count(), Learner::query()->count()]);
    }

    public function testPaperGoesInAndOutOfTheCupboard(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $a4 = ['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 30];
        $stock = $this->postJson('/api/stocks', $a4)->assertCreated()->assertJsonPath('square_mm', 210)->json();
        $this->postJson('/api/stocks', $a4)->assertUnprocessable()->assertJsonPath('errors.0.pointer', '/name');
        $this->putJson("/api/stocks/{$stock['id']}", [...$a4, 'count' => null])
            ->assertOk()
            ->assertJsonPath('count', null);
        $group = $this->group($lead);
        $lesson = $this->postJson('/api/lessons', $this->lessonInput($group, ['stock_id' => $stock['id']]))->json(
            'card.id',
        );
        $this->deleteJson("/api/stocks/{$stock['id']}")->assertNoContent();
        $this->getJson("/api/lessons/$lesson")
            ->assertOk()
            ->assertJsonPath('paper', null);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badStocks(): iterable
    {
        yield 'zero' => [['width_mm' => 0], '/width_mm'];
        yield 'three metres' => [['height_mm' => 3000], '/height_mm'];
        yield 'words' => [['width_mm' => 'wide'], '/width_mm'];
        yield 'minus one sheet' => [['count' => -1], '/count'];
        yield 'half a sheet' => [['count' => 1.5], '/count'];
        yield 'cardboard of a kilogram' => [['grammage' => 1000], '/grammage'];
        yield 'markup' => [['name' => 'A4<br>'], '/name'];
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('badStocks')]
    public function testBadStocks(array $changes, string $pointer): void
    {
        $this->actingAs($this->lead());
        $this->postJson('/api/stocks', [
            ...['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => null, 'count' => null],
            ...$changes,
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.pointer', $pointer);
        self::assertSame(0, Stock::query()->count());
    }

    public function testTheDemoIsWhatItPromises(): void
    {
        $this->seed();
        $this->seed(); // twice: nothing doubles
        self::assertSame(
            [3, 40, 6, 6],
            [Group::query()->count(), Learner::query()->count(), Stock::query()->count(), Lesson::query()->count()],
        );
        self::assertSame(
            [2, 1],
            [
                Lesson::query()->whereNotNull('ended_at')->count(),
                Lesson::query()->whereDate('starts_at', today())->count(),
            ],
        );
    }
}
