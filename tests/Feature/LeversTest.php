<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;

/** Levers of paper, guide creases, small groups and a lesson split in two; what each promises comes true. */
final class LeversTest extends TestCase
{
    private Group $group;

    public function testLargerSquaresOfTheSamePaper(): void
    {
        $stock = $this->room(12)->stock('Office paper', 80);
        $id = $this->planned(['models' => [['model' => 'crane', 'side_mm' => 80]], 'stock_ids' => [$stock]]);
        $larger = $this->levers($id)['larger'];
        self::assertEqualsWithDelta(120.0, $larger['paper']['mm'], 1e-9, '1.4 times 80, in whole centimetres');
        $this->becomes($id, ['models' => [['model' => 'crane', 'side_mm' => 120]], 'stock_ids' => [$stock]], $larger);
        $id = $this->planned(['models' => [['model' => 'crane', 'side_mm' => 205]], 'stock_ids' => [$stock]]);
        self::assertArrayNotHasKey('larger', $this->levers($id), 'a sheet gives no square of 215');
    }

    /** An office sheet gives two squares of 120 mm: five sheets are too few for twelve learners, six suffice. */
    public function testLargerSquaresAreOfferedOnlyWhereTheSheetsSuffice(): void
    {
        $this->room(12);
        foreach ([5 => false, 6 => true] as $sheets => $isOffered) {
            $stock = $this->stock("Of $sheets sheets", 80, $sheets);
            $id = $this->planned(['models' => [['model' => 'crane', 'side_mm' => 80]], 'stock_ids' => [$stock]]);
            self::assertSame($isOffered, isset($this->levers($id)['larger']), "$sheets sheets");
        }
    }

    public function testOtherPaperOfTheCupboardThatFoldsBetter(): void
    {
        $this->room(12);
        $stiff = $this->stock('Stiff paper', 110);
        $this->stock('Thin, but too few', 70, 5);
        $thin = $this->stock('Thin paper', 70);
        $id = $this->planned(['stock_ids' => [$stiff]]);
        $paper = $this->levers($id)['paper'];
        self::assertSame([$thin, 'Thin paper'], [$paper['paper']['stock'], $paper['paper']['title']]);
        $this->becomes($id, ['stock_ids' => [$thin]], $paper);
        self::assertArrayNotHasKey('paper', $this->levers($id));
    }

    public function testGuideCreasesMadeBeforehand(): void
    {
        $this->room(12);
        $id = $this->planned([]);
        $guides = $this->levers($id)['guides'];
        self::assertSame(5, $guides['steps'], 'two corner to corner, over, two edge to edge');
        $this->becomes($id, ['prepared' => 5], $guides);
    }

    /** A crane in forty minutes: as far as a checkpoint now, so that nearly all get there. */
    public function testALessonThatIsTooLongIsSplit(): void
    {
        $this->room(12);
        $id = $this->planned(['ends_at' => '2030-01-05T10:40']);
        $forecast = $this->getJson("/api/lessons/$id/forecast")->json();
        $split = array_column($forecast['levers'], null, 'name')['split'];
        self::assertSame($forecast['now']['until'], $split['steps']);
        self::assertGreaterThan(0.8, $split['then']['share']);
        self::assertGreaterThan(0.5, $split['share']);
        $enough = $this->planned(['ends_at' => '2030-01-05T13:00']);
        self::assertArrayNotHasKey('split', $this->levers($enough));
    }

    /** Twelve at two tables: one folds, the other draws; then they change places. */
    public function testSmallGroupsTakeTurns(): void
    {
        $this->room(12);
        $id = $this->planned(['policies' => ['show' => 'groups']]);
        $plan = $this->getJson("/api/lessons/$id")->json('plan');
        $lines = array_column($plan['lines'], 'seconds', 'key');
        $folding = array_sum(array_column(
            array_filter($plan['lines'], static fn (array $line): bool => $line['step'] !== null),
            'seconds',
        ));
        self::assertEqualsWithDelta($folding + 90, $lines['other-groups'], 5, 'as long again, and changing places');
        $together = $this->levers($id)['together'];
        $this->becomes($id, ['policies' => ['show' => 'along']], $together);
        $cast = $this->getJson("/api/lessons/$id/cast")->assertOk()->json();
        self::assertCount(12, $cast['learners']);
    }

    private function room(int $learners): self
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $this->group = $this->group($lead, array_map(static fn (int $n): string => "Learner $n", range(1, $learners)));

        return $this;
    }

    private function stock(string $name, int $grammage, ?int $count = null): int
    {
        return $this->postJson('/api/stocks', [
            'name' => $name, 'width_mm' => 210, 'height_mm' => 297, 'grammage' => $grammage, 'count' => $count,
        ])->assertCreated()->json('id');
    }

    /** @param  array<string, mixed>  $with */
    private function planned(array $with): int
    {
        return $this->postJson('/api/lessons', $this->lessonInput($this->group, $with + self::LESSON))
            ->assertCreated()
            ->json('card.id');
    }

    private const LESSON = [
        'models' => [['model' => 'crane']],
        'starts_at' => '2030-01-05T10:00',
        'ends_at' => '2030-01-05T11:10',
        'helpers' => 1,
    ];

    /** @return array<string, array<string, mixed>> by name */
    private function levers(int $id): array
    {
        return array_column($this->getJson("/api/lessons/$id/forecast")->assertOk()->json('levers'), null, 'name');
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, mixed>  $lever
     */
    private function becomes(int $id, array $with, array $lever): void
    {
        $this->putJson("/api/lessons/$id", $this->lessonInput($this->group, $with + self::LESSON))->assertOk();
        self::assertSame($lever['then'], $this->getJson("/api/lessons/$id/forecast")->json('now'));
    }
}
