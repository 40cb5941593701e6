<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;

/** The cupboard's counts, two leads at once, paper for models of several pieces, and what a taught lesson keeps. */
final class PaperBenchTest extends TestCase
{
    public function testALessonTakesItsPaperOnceAndItCanBePutBack(): void
    {
        [$lead, $stock, $id] = $this->planned('drinking-cup', 10);
        $this->postJson("/api/lessons/$id/close")->assertOk();
        self::assertSame(5, $stock->refresh()->count, '3 learners, a spare, and the set to practise with: 5 of 10 are gone');
        $this->postJson("/api/lessons/$id/close")->assertOk();
        self::assertSame(5, $stock->refresh()->count, 'closing again takes nothing more');
        $log = $this->getJson("/api/stocks/{$stock->id}/changes")->assertOk()->json();
        self::assertSame([-5, false], [$log[0]['sheets'], $log[0]['undone']]);
        self::assertStringContainsString('Drinking cup', $log[0]['why']);
        $this->postJson("/api/stocks/{$stock->id}/undo")->assertOk()->assertJsonPath('count', 10);
        $this->postJson("/api/stocks/{$stock->id}/undo")->assertStatus(422);
        self::assertSame('Marta', $lead->name);
    }

    public function testATaughtLessonKeepsWhatItUsedWhateverBecomesOfTheStock(): void
    {
        [, $stock, $id] = $this->planned('drinking-cup', 10);
        $this->postJson("/api/lessons/$id/close")->assertOk();
        $before = $this->getJson("/api/lessons/$id")->json('card.sheets');
        $this->putJson("/api/stocks/{$stock->id}", ['name' => 'A4', 'width_mm' => 20, 'height_mm' => 20, 'grammage' => 80, 'count' => 1])->assertOk();
        self::assertSame([5, $before], [$this->getJson("/api/lessons/$id")->json('card.sheets'), 5]);
        $this->deleteJson("/api/stocks/{$stock->id}")->assertNoContent();
        self::assertSame(5, $this->getJson("/api/lessons/$id")->json('card.sheets'));
    }

    public function testTwoLeadsAtOnceLoseNothing(): void
    {
        $this->actingAs($lead = $this->lead());
        $stock = $lead->organisation->stocks()->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 10]);
        $body = ['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80];
        $seen = $this->getJson('/api/stocks')->json('0.version');
        $this->putJson("/api/stocks/{$stock->id}", ['count' => 7, 'version' => $seen] + $body)->assertOk()->assertJsonPath('version', $seen + 1);
        $second = $this->putJson("/api/stocks/{$stock->id}", ['count' => 12, 'version' => $seen] + $body)->assertStatus(409);
        self::assertStringContainsString('7 sheets', $second->json('message'), 'the second sees what changed');
        self::assertSame(7, $stock->refresh()->count);
        $this->putJson("/api/stocks/{$stock->id}", ['count' => 12, 'version' => $second->json('stock.version')] + $body)->assertOk();
        self::assertSame(12, $stock->refresh()->count);
    }

    public function testModelsOfTwoPiecesAndUncutSheets(): void
    {
        [, , $id] = $this->planned('cat', 30, ['side_mm' => 140]);
        $paper = $this->getJson("/api/lessons/$id")->assertOk()->json('paper');
        // 5 sets of 140 and 98: an A4 holds one 140 (two are 280 long, and 210 wide leaves no 98 beside: 140 + 98 = 238), and
        // beside or above it a row of two 98: 140 + 98 = 238 of 297, so one big and two small from a sheet: 5 sheets.
        self::assertSame([['Cat', 140, 5], ['Head', 98, 5]], array_map(static fn (array $p): array => [$p['title'], $p['side_mm'], $p['count']], $paper['pieces']));
        self::assertLessThanOrEqual(5, $paper['sheets']);
        self::assertTrue($paper['optimal']);
        self::assertSame($paper['sheets'], array_sum(array_column($paper['patterns'], 'times')));
        [, , $id] = $this->planned('oblong-box', 30);
        $paper = $this->getJson("/api/lessons/$id")->assertOk()->json('paper');
        self::assertSame([true, 5, []], [$paper['uncut'], $paper['sheets'], $paper['patterns']]);
    }

    public function testAShortageComesWithChoices(): void
    {
        [, , $id] = $this->planned('drinking-cup', 3);
        $paper = $this->getJson("/api/lessons/$id")->assertOk()->json('paper');
        self::assertSame(2, $paper['short']);
        self::assertStringContainsString('2 more sheets', $paper['choices'][0]);
        self::assertStringContainsString('148.5 mm instead of 210 mm', $paper['choices'][1], '3 sheets give 6 squares of 148.5');
        self::assertStringContainsString('spares', $paper['choices'][2]);
    }

    public function testWhichModelFoldsFromWhichPaper(): void
    {
        $this->actingAs($lead = $this->lead());
        $group = $this->group($lead);
        $thin = $lead->organisation->stocks()->create(['name' => 'Thin', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 60, 'count' => 5]);
        $card = $lead->organisation->stocks()->create(['name' => 'Card', 'width_mm' => 100, 'height_mm' => 100, 'grammage' => 300, 'kind' => 'construction', 'count' => 5]);
        $cells = $this->getJson("/api/groups/{$group->id}/paper")->assertOk()->json();
        $verdict = array_column(array_map(static fn (array $c): array => ['key' => "{$c['model']} {$c['stock']}", 'verdict' => $c['verdict']['verdict']], $cells), 'verdict', 'key');
        self::assertSame(['fits', 'no'], [$verdict["dog-face {$thin->id}"], $verdict["crane {$card->id}"]]);
        foreach ($cells as $cell) {
            self::assertNotEmpty($cell['verdict']['reasons']);
        }
    }

    public function testLengthsMayBeWrittenAsPeopleDo(): void
    {
        $this->actingAs($this->lead());
        $body = ['name' => 'Letter', 'grammage' => 75, 'count' => 4];
        $stock = $this->postJson('/api/stocks', ['width_mm' => '8 1/2 in', 'height_mm' => '27,94 cm'] + $body)->assertCreated()->json();
        self::assertEqualsWithDelta([215.9, 279.4], [$stock['width_mm'], $stock['height_mm']], 1e-9);
        foreach (['8 1/2', 'wide', '-5 cm', '0 in', '9000 cm'] as $bad) {
            $this->postJson('/api/stocks', ['name' => 'B', 'width_mm' => $bad, 'height_mm' => 297] + $body)->assertStatus(422)->assertJsonPath('errors.0.pointer', '/width_mm');
        }
    }

    public function testTheListIsTickedAndStaysTicked(): void
    {
        [, , $id] = $this->planned('pyramid', 30, ['square_in_lesson' => true]);
        $list = fn (): array => $this->getJson("/api/lessons/$id")->json('paper.list');
        self::assertStringContainsString('scissors', implode(' ', array_column($list(), 'text')), 'the model is cut');
        self::assertStringNotContainsString('Cut 5', implode(' ', array_column($list(), 'text')), 'the squares are made in the lesson');
        $key = $list()[0]['key'];
        $this->putJson("/api/lessons/$id/ticks", ['key' => $key, 'done' => true])->assertNoContent();
        $this->putJson("/api/lessons/$id/ticks", ['key' => $list()[1]['key'], 'done' => true])->assertNoContent();
        self::assertSame([true, true, false], array_slice(array_column($list(), 'done'), 0, 3));
        $this->putJson("/api/lessons/$id/ticks", ['key' => $key, 'done' => false])->assertNoContent();
        self::assertSame([false, true, false], array_slice(array_column($list(), 'done'), 0, 3));
        $this->putJson("/api/lessons/$id/ticks", ['key' => '<b>', 'done' => true])->assertStatus(422);
    }

    public function testWhatThePlannedLessonsTakeTogether(): void
    {
        [$lead, $stock, $id] = $this->planned('drinking-cup', 8);
        $this->postJson('/api/lessons', $this->lessonInput($this->group($lead), ['stock_id' => $stock->id]))->assertCreated();
        self::assertSame([2, 10, 8, 2], array_values(array_intersect_key($this->getJson('/api/paper-needs')->assertOk()->json('0'), ['lessons' => 0, 'sheets' => 0, 'have' => 0, 'short' => 0])), '5 and 5 of 8');
        $this->postJson("/api/lessons/$id/close")->assertOk();
        self::assertSame([1, 5, 3, 2], array_values(array_intersect_key($this->getJson('/api/paper-needs')->json('0'), ['lessons' => 0, 'sheets' => 0, 'have' => 0, 'short' => 0])));
    }

    public function testInchesAreReadOffTheRulerDownward(): void
    {
        [$lead, , $id] = $this->planned('drinking-cup', 10);
        $this->putJson('/api/me', ['unit' => 'in'])->assertOk()->assertJsonPath('unit', 'in');
        $this->actingAs($lead->refresh());
        $steps = implode(' ', $this->getJson("/api/lessons/$id")->json('paper.steps'));
        // 87 mm are 3.425 in: 3 6/16; 210 mm are 8 1/4 in and 0.45 mm, said as 0.5.
        self::assertStringContainsString('A strip of 3 3/8 in', $steps);
        self::assertStringContainsString('0.5 mm smaller than it could be, never larger', $steps);
        $this->putJson('/api/me', ['unit' => 'furlong'])->assertStatus(422);
    }

    public function testSquaringIsShownByTheEngine(): void
    {
        [, , $id] = $this->planned('drinking-cup', 10);
        $pictures = $this->getJson("/api/lessons/$id")->json('paper.squaring');
        self::assertCount(4, $pictures);
        self::assertSame('cut', $pictures[1]['folds'][0]['kind'], 'the strip is cut off along the edge of the triangle');
        [, , $width, $height] = $pictures[3]['frame'];
        self::assertEqualsWithDelta($width, $height, 0.1, 'a square is left');
        self::assertGreaterThan(210.0, $width);
        [, , $id] = $this->planned('cat', 10, ['side_mm' => 140]);
        self::assertSame([], $this->getJson("/api/lessons/$id")->json('paper.squaring'));
    }

    public function testStripsArePutBack(): void
    {
        $this->actingAs($lead = $this->lead());
        $stock = $lead->organisation->stocks()->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 10]);
        $strips = $this->postJson("/api/stocks/{$stock->id}/offcuts", ['count' => 4])->assertOk()->json();
        self::assertEqualsWithDelta([87, 210, 4], [$strips['width_mm'], $strips['height_mm'], $strips['count']], 1e-9);
        $this->postJson("/api/stocks/{$stock->id}/offcuts", ['count' => 3])->assertOk()->assertJsonPath('count', 7);
        $this->postJson("/api/stocks/{$stock->id}/offcuts", ['count' => 0])->assertStatus(422);
        $this->actingAs($this->lead('Elsewhere'))->postJson("/api/stocks/{$stock->id}/offcuts", ['count' => 3])->assertNotFound();
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return array{User, \App\Models\Stock, int}
     */
    private function planned(string $model, int $count, array $changes = []): array
    {
        $lead = $this->lead(uniqid('House '));
        $stock = $lead->organisation->stocks()->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => $count]);
        $this->actingAs($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($this->group($lead), ['model' => $model, 'stock_id' => $stock->id] + $changes))->assertCreated()->json('card.id');

        return [$lead, $stock, $id];
    }
}
