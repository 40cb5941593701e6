<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Stock;
use PHPUnit\Framework\Attributes\DataProvider;

final class GroupAndStockTest extends TestCase
{
    public function testAGroupIsEnteredReorderedAndRemoved(): void
    {
        $this->actingAs($this->lead());
        $list = static fn (array ...$l): array => array_map(
            static fn (array $l): array => ['id' => $l[0], 'name' => $l[1]],
            $l,
        );
        // a number written as text is a number
        $given = ['name' => 'Juniors', 'age_band' => 'junior', 'helpers' => '1'];
        $group = $this->postJson('/api/groups', [
            ...$given,
            'learners' => $list([null, 'Ada'], [null, 'Bram'], [null, 'Cleo']),
        ])
            ->assertCreated()
            ->json();
        self::assertSame(1, $group['helpers']);
        [$ada, $bram, $cleo] = array_column($group['learners'], 'id');
        $changed = $this->putJson("/api/groups/{$group['id']}", [
            ...$given,
            'age_band' => 'teen',
            'learners' => $list([$cleo, 'Cleo'], [$ada, 'Adele'], [null, 'Dov']),
            'remove' => [$bram],
            'version' => $group['version'],
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
        self::assertNull(Learner::query()->find($bram), 'who was named for it lies in the bin');
        $this->deleteJson("/api/groups/{$group['id']}")
            ->assertConflict()
            ->assertJsonPath('errors.0.pointer', '/sure')
            ->assertJsonPath('holds', '4 learners');
        $this->deleteJson("/api/groups/{$group['id']}?sure=1")
            ->assertOk()
            ->assertJsonPath('title', 'Juniors');
        self::assertSame([0, 1], [Group::query()->count(), Group::withTrashed()->count()]);
        $this->putJson("/api/groups/{$group['id']}", [...$given, 'learners' => []])->assertStatus(410);
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
        $this->deleteJson("/api/stocks/{$stock['id']}")
            ->assertConflict()
            ->assertJsonPath('holds', '1 planned lesson');
        $this->deleteJson("/api/stocks/{$stock['id']}?sure=1")->assertOk();
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
            [4, 52, 6, 18],
            [Group::query()->count(), Learner::query()->count(), Stock::query()->count(), Lesson::query()->count()],
        );
        self::assertSame(
            [14, 1],
            [
                Lesson::query()->whereNotNull('ended_at')->count(),
                Lesson::query()->whereDate('starts_at', today())->count(),
            ],
        );
    }
}
