<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Lesson;
use App\Models\User;
use App\Paper\PaperPlans;
use App\Support\LibraryFiles;
use Cathedra\Core\Paper\ModelPaper;
use Cathedra\Core\Paper\Stock;
use Illuminate\Cache\ArrayStore;
use Illuminate\Cache\Repository;
use Illuminate\Testing\TestResponse;

/** The cupboard's counts, two leads at once, paper for models of several pieces, and what a taught lesson keeps. */
final class PaperBenchTest extends TestCase
{
    public function testALessonTakesItsPaperOnceAndItCanBePutBack(): void
    {
        [$lead, $stock, $id] = $this->planned('drinking-cup', 10);
        $this->endLesson($id);
        self::assertSame(
            5,
            $stock->refresh()->count,
            '3 learners, a spare, and the set to practise with: 5 of 10 are gone',
        );
        $this->endLesson($id);
        self::assertSame(5, $stock->refresh()->count, 'closing again takes nothing more');
        $log = $this->getJson("/api/stocks/{$stock->id}/changes")
            ->assertOk()
            ->json();
        self::assertSame([-5, false], [$log[0]['sheets'], $log[0]['undone']]);
        self::assertStringContainsString('Drinking cup', $log[0]['why']);
        $back = fn (mixed $change) => $this->postJson("/api/stocks/{$stock->id}/undo", ['change' => $change]);
        $back($log[0]['id'])->assertOk()->assertJsonPath('count', 10);
        $back($log[0]['id'])->assertOk()->assertJsonPath('count', 10); // pressed twice: still once
        foreach ([null, 'x', [1], $log[0]['id'] + 1] as $none) {
            $back($none)->assertStatus(422)->assertJsonPath('errors.0.pointer', '/change');
        }
        self::assertSame('Marta', $lead->name);
    }

    /** By name "Art paper" would come first; there is none of it. */
    public function testWhatIsReallyThereComesFirst(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        foreach ([['Art paper', 0], ['Newspaper', null], ['Office', 12]] as [$name, $count]) {
            $lead->organisation->stocks()->create(
                ['name' => $name, 'width_mm' => 210, 'height_mm' => 297, 'count' => $count, 'price' => 0],
            );
        }
        $stocks = $this->getJson('/api/stocks')->assertOk()->json();
        self::assertSame(['Newspaper', 'Office', 'Art paper'], array_column($stocks, 'name'));

        $cut = function (array $stock, int $count): array {
            $asked = ['stock' => [$stock], 'need' => [['side_mm' => null, 'count' => $count]], 'prefer' => 'least'];
            $lines = explode("\n", trim($this->postJson('/api/cut-plan', $asked + ['method' => 'scissors'])
                ->assertOk()->streamedContent()));

            return json_decode(end($lines), true)['plan'];
        };
        $plan = $cut(['id' => $stocks[2]['id'], 'count' => 0], 30);
        self::assertSame([false, null], [$plan['feasible'], $plan['cost']]);
        self::assertStringContainsString('210 mm', $plan['unmet'][0], 'what is missing are squares of a sheet');
        $some = $cut(['id' => $stocks[1]['id'], 'count' => 12], 4);
        self::assertSame([true, null], [$some['feasible'], $some['cost']], 'what costs nothing is not said');
    }

    public function testATaughtLessonKeepsWhatItUsedWhateverBecomesOfTheStock(): void
    {
        [, $stock, $id] = $this->planned('drinking-cup', 10);
        $this->endLesson($id);
        $before = $this->getJson("/api/lessons/$id")->json('card.sheets');
        $this->putJson("/api/stocks/{$stock->id}", [
            'name' => 'A4',
            'width_mm' => 20,
            'height_mm' => 20,
            'grammage' => 80,
            'count' => 1,
        ])->assertOk();
        self::assertSame([5, $before], [$this->getJson("/api/lessons/$id")->json('card.sheets'), 5]);
        $this->deleteJson("/api/stocks/{$stock->id}")->assertOk();
        self::assertSame(5, $this->getJson("/api/lessons/$id")->json('card.sheets'));
        $paper = $this->getJson("/api/lessons/$id")->json('paper');
        self::assertSame(
            [210, 297, 10, 5, 0],
            [
                $paper['stock']['width_mm'],
                $paper['stock']['height_mm'],
                $paper['takes'][0]['have'],
                $paper['takes'][0]['sheets'],
                $paper['takes'][0]['short'],
            ],
            'its page shows the paper as it was',
        );
    }

    public function testMeasuresOfATaughtLessonStayWhateverBecomesOfThePaper(): void
    {
        [, $stock, $id] = $this->planned('dog-face', 30, ['side_mm' => 100, 'further' => [['model' => 'square-box']]]);
        $before = $this->getJson("/api/lessons/$id/measures")
            ->assertOk()
            ->assertJsonPath('0.side_mm', 210)
            ->json();
        $this->endLesson($id);
        $this->putJson("/api/stocks/{$stock->id}", [
            'name' => 'Card',
            'width_mm' => 100,
            'height_mm' => 100,
            'grammage' => 300,
            'count' => 1,
        ])->assertOk();
        $this->getJson("/api/lessons/$id/measures")->assertExactJson($before);
        $this->deleteJson("/api/stocks/{$stock->id}")->assertOk();
        $this->getJson("/api/lessons/$id/measures")->assertExactJson($before);
    }

    public function testTwoLeadsAtOnceLoseNothing(): void
    {
        $this->actingAs($lead = $this->lead());
        $stock = $lead->organisation
            ->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 10]);
        $body = ['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80];
        $seen = $this->getJson('/api/stocks')->json('0.version');
        $this->putJson("/api/stocks/{$stock->id}", ['count' => 7, 'version' => $seen] + $body)
            ->assertOk()
            ->assertJsonPath('version', $seen + 1);
        $second = $this->putJson("/api/stocks/{$stock->id}", ['count' => 12, 'version' => $seen] + $body)->assertStatus(
            409,
        );
        self::assertSame(
            [['field' => 'sheets', 'theirs' => '7', 'yours' => '12']],
            $second->json('differences'),
            'the second sees what changed',
        );
        self::assertSame(7, $stock->refresh()->count);
        $this->putJson(
            "/api/stocks/{$stock->id}",
            ['count' => 12, 'version' => $second->json('version')] + $body,
        )->assertOk();
        self::assertSame(12, $stock->refresh()->count);
    }

    public function testModelsOfTwoPiecesAndUncutSheets(): void
    {
        [, , $id] = $this->planned('cat', 30, ['side_mm' => 140]);
        $paper = $this->getJson("/api/lessons/$id")
            ->assertOk()
            ->json('paper');
        // 5 sets of 140 and 98: an A4 holds one 140 (two are 280 long, and 210 wide leaves no 98 beside: 140 + 98 =
        // 238), and beside or above it a row of two 98: 140 + 98 = 238 of 297, so one big and two small from a sheet: 5
        // sheets.
        self::assertSame(
            [['Cat', 140, 5], ['Head', 98, 5]],
            array_map(static fn (array $p): array => [$p['title'], $p['side_mm'], $p['count']], $paper['pieces']),
        );
        self::assertLessThanOrEqual(5, $paper['sheets']);
        self::assertTrue($paper['optimal']);
        self::assertSame($paper['sheets'], array_sum(array_column($paper['patterns'], 'times')));
        [, , $id] = $this->planned('oblong-box', 30);
        $paper = $this->getJson("/api/lessons/$id")
            ->assertOk()
            ->json('paper');
        self::assertSame([5, 5, []], [$paper['uncut'][0]['sheets'], $paper['sheets'], $paper['patterns']]);
    }

    public function testAShortageComesWithChoices(): void
    {
        [, , $id] = $this->planned('drinking-cup', 3);
        $paper = $this->getJson("/api/lessons/$id")
            ->assertOk()
            ->json('paper');
        self::assertSame(2, $paper['short']);
        self::assertStringContainsString('2 more sheets', $paper['choices'][0]);
        self::assertStringContainsString(
            '148.5 mm instead of 210 mm',
            $paper['choices'][1],
            '3 sheets give 6 squares of 148.5',
        );
        self::assertStringContainsString('spares', $paper['choices'][2]);
    }

    public function testWhichModelFoldsFromWhichPaper(): void
    {
        $this->actingAs($lead = $this->lead());
        $group = $this->group($lead);
        $thin = $lead->organisation
            ->stocks()
            ->create(['name' => 'Thin', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 60, 'count' => 5]);
        $card = $lead->organisation->stocks()->create([
            'name' => 'Card',
            'width_mm' => 100,
            'height_mm' => 100,
            'grammage' => 300,
            'kind' => 'construction',
            'count' => 5,
        ]);
        $cells = $this->getJson("/api/groups/{$group->id}/paper")
            ->assertOk()
            ->json();
        $verdict = array_column(
            array_map(
                static fn (array $c): array => [
                    'key' => "{$c['model']} {$c['stock']}",
                    'verdict' => $c['verdict']['verdict'],
                ],
                $cells,
            ),
            'verdict',
            'key',
        );
        self::assertSame(['fits', 'no'], [$verdict["dog-face {$thin->id}"], $verdict["crane {$card->id}"]]);
        foreach ($cells as $cell) {
            self::assertNotEmpty($cell['verdict']['reasons']);
        }
    }

    public function testLengthsMayBeWrittenAsPeopleDo(): void
    {
        $this->actingAs($this->lead());
        $body = ['name' => 'Letter', 'grammage' => 75, 'count' => 4];
        $stock = $this->postJson('/api/stocks', ['width_mm' => '8 1/2 in', 'height_mm' => '27,94 cm'] + $body)
            ->assertCreated()
            ->json();
        self::assertEqualsWithDelta([215.9, 279.4], [$stock['width_mm'], $stock['height_mm']], 1e-9);
        foreach (['8 1/2', 'wide', '-5 cm', '0 in', '9000 cm'] as $bad) {
            $this->postJson('/api/stocks', ['name' => 'B', 'width_mm' => $bad, 'height_mm' => 297] + $body)
                ->assertStatus(422)
                ->assertJsonPath('errors.0.pointer', '/width_mm');
        }
    }

    public function testTheListIsTickedAndStaysTicked(): void
    {
        [, , $id] = $this->planned('pyramid', 30, ['square_in_lesson' => true]);
        $list = fn (): array => $this->getJson("/api/lessons/$id")->json('paper.list');
        self::assertStringContainsString('scissors', implode(' ', array_column($list(), 'text')), 'the model is cut');
        self::assertStringNotContainsString(
            'Cut 5',
            implode(' ', array_column($list(), 'text')),
            'the squares are made in the lesson',
        );
        $keys = array_column($list(), 'key');
        $tick = fn (mixed $of, bool $done): TestResponse => $this->putJson(
            "/api/lessons/$id/ticks",
            ['keys' => $of, 'done' => $done],
        );
        $tick([$keys[0]], true)->assertNoContent();
        $tick([$keys[1]], true)->assertNoContent();
        self::assertSame([true, true, false], array_slice(array_column($list(), 'done'), 0, 3));
        $tick([$keys[0]], false)->assertNoContent();
        self::assertSame([false, true, false], array_slice(array_column($list(), 'done'), 0, 3));
        // the whole list at once, and back
        $tick($keys, true)->assertNoContent();
        self::assertNotContains(false, array_column($list(), 'done'));
        $tick($keys, false)->assertNoContent();
        self::assertNotContains(true, array_column($list(), 'done'));
        foreach ([['<b>'], [], 'all', [['a-1']], array_fill(0, 200, 'a-1')] as $wrong) {
            $tick($wrong, true)->assertStatus(422);
        }
    }

    public function testWhatThePlannedLessonsTakeTogether(): void
    {
        [$lead, $stock, $id] = $this->planned('drinking-cup', 8);
        $this->postJson(
            '/api/lessons',
            $this->lessonInput($this->group($lead), ['stock_id' => $stock->id]),
        )->assertCreated();
        self::assertSame(
            [2, 10, 8, 2],
            array_values(
                array_intersect_key($this->getJson('/api/paper-needs')->assertOk()->json('0'), [
                    'lessons' => 0,
                    'sheets' => 0,
                    'have' => 0,
                    'short' => 0,
                ]),
            ),
            '5 and 5 of 8',
        );
        $this->endLesson($id);
        self::assertSame(
            [1, 5, 3, 2],
            array_values(
                array_intersect_key($this->getJson('/api/paper-needs')->json('0'), [
                    'lessons' => 0,
                    'sheets' => 0,
                    'have' => 0,
                    'short' => 0,
                ]),
            ),
        );
    }

    public function testInchesAreReadOffTheRulerDownward(): void
    {
        [$lead, , $id] = $this->planned('drinking-cup', 10);
        $this->putJson('/api/me', ['unit' => 'in'])
            ->assertOk()
            ->assertJsonPath('unit', 'in');
        $this->actingAs($lead->refresh());
        $steps = implode(' ', $this->getJson("/api/lessons/$id")->json('paper.steps'));
        // 87 mm are 3.425 in: 3 6/16; 210 mm are 8 1/4 in and 0.45 mm, said as 0.5.
        self::assertStringContainsString('A strip of 3 3/8 in', $steps);
        self::assertStringContainsString('0.5 mm smaller than it could be, never larger', $steps);
        // 100 mm are 3 15/16 in (100.01) only upward: 3 14/16; two of them are 7 3/4, not the 7 13/16 that 200 mm would
        // be.
        $cut = $this->putJson(
            "/api/lessons/$id",
            $this->lessonInput(Lesson::query()->findOrFail($id)->group, [
                'side_mm' => 100,
                'stock_id' => Lesson::query()->findOrFail($id)->papers()[0]->id,
            ]),
        )
            ->assertOk()
            ->json('paper.patterns.0.order');
        self::assertStringContainsString('at 3 7/8, 7 3/4 in', implode(' ', $cut), 'equal squares stay equal');
        $this->putJson('/api/me', ['unit' => 'furlong'])->assertStatus(422);
    }

    public function testSquaringIsShownByTheEngine(): void
    {
        [, , $id] = $this->planned('drinking-cup', 10);
        $pictures = $this->getJson("/api/lessons/$id")->json('paper.squaring');
        // the corner, the strip over and back, the cut, open, the other diagonal as a check, the square
        self::assertCount(6, $pictures);
        self::assertContains(
            'cut',
            array_column($pictures[2]['marks'], 'style'),
            'the strip is cut off along the edge of the triangle',
        );
        self::assertEqualsWithDelta($pictures[5]['width'], $pictures[5]['height'], 0.1, 'a square is left');
        self::assertLessThan($pictures[0]['height'], $pictures[0]['width'], 'of a sheet that was higher than wide');
        [, , $id] = $this->planned('cat', 10, ['side_mm' => 140]);
        self::assertSame([], $this->getJson("/api/lessons/$id")->json('paper.squaring'));
    }

    public function testALessonOfTwoModelsIsPlannedCutTaughtAndKept(): void
    {
        [$lead, $stock, $id] = $this->planned('drinking-cup', 30, [
            'side_mm' => 148,
            'further' => [['model' => 'dog-face', 'side_mm' => '10,5 cm']],
            'starts_at' => '2026-11-24T16:00',
            'ends_at' => '2026-11-24T18:00',
        ]);
        $lesson = $this->getJson("/api/lessons/$id")
            ->assertOk()
            ->json();
        self::assertSame(
            ['Drinking cup, Dog face', 13],
            [$lesson['card']['model_title'], $lesson['card']['steps']],
            '7 steps and 6',
        );
        self::assertSame(
            [['drinking-cup', 1, 7, 148], ['dog-face', 8, 6, 105]],
            array_map(
                static fn (array $m): array => [$m['slug'], $m['first'], $m['steps'], $m['side_mm']],
                $lesson['models'],
            ),
        );
        self::assertSame([148, 105], array_column($lesson['paper']['models'], 'side_mm'));
        // 5 of 148 and 5 of 105 (3 learners, a spare, one to practise): two of 148 from a sheet, four of 105: 3 and 2;
        // or one of
        // 148 with one of 105 above it (148 + 105 = 253 of 297; 210 - 148 = 62 is too narrow): never fewer than 4: 5 *
        // 148^2 and 5 * 105^2 are 164,645 mm2, of 62,370 each.
        self::assertSame([4, true], [$lesson['paper']['sheets'], $lesson['paper']['optimal']]);
        self::assertContains('next-model', array_column($lesson['plan']['lines'], 'key'));
        [$ada, $bram, $cleo] = array_column($lesson['group']['learners'], 'id');
        foreach ([[$ada, 7], [$ada, 13], [$bram, 7], [$cleo, 3]] as $i => [$learner, $step]) {
            $this->send($id, ['kind' => 'done', 'learner' => $learner, 'step' => $step])->assertOk();
        }
        $this->send($id, ['kind' => 'done', 'learner' => $ada, 'step' => 14])->assertStatus(422);
        $this->send($id, ['kind' => 'moved', 'step' => 14])->assertOk();
        $this->send($id, ['kind' => 'moved', 'step' => 15])->assertStatus(422);
        $closed = $this->endLesson($id);
        $ends = [];
        foreach ($closed['record']['finishes'] as $f) {
            $ends[$f['learner']][$f['model']] = [$f['outcome'], $f['step']];
        }
        self::assertEquals(['drinking-cup' => ['alone', null], 'dog-face' => ['alone', null]], $ends[$ada]);
        self::assertEquals(
            ['drinking-cup' => ['alone', null], 'dog-face' => ['stopped', 1]],
            $ends[$bram],
            'there, but not yet at the second model',
        );
        self::assertEquals(['drinking-cup' => ['stopped', 4], 'dog-face' => ['stopped', 1]], $ends[$cleo]);
        self::assertSame(1, $closed['card']['finished'], 'only who finished both');
        self::assertSame(26, $stock->refresh()->count);
        $correct = fn (string $model, string $finish, ?int $step): TestResponse => $this->send($id, [
            'kind' => 'corrected',
            'learner' => $bram,
            'correction' => ['model' => $model, 'finish' => $finish, 'step' => $step],
        ]);
        $correct('dog-face', 'help', null)->assertOk();
        $correct('crane', 'help', null)
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/events/0/correction/model');
        $correct('dog-face', 'stopped', 7)
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/events/0/correction/step');
        $wall = $this->getJson('/api/groups/'.$lesson['card']['group_id'].'/wall')
            ->assertOk()
            ->json();
        self::assertSame(['drinking-cup', 'dog-face'], array_column($wall['models'], 'slug'));
        self::assertSame(4, $wall['finished'], 'two of Ada, two of Bram');
        self::assertSame('Marta', $lead->name);
    }

    public function testBadFurtherModelsAndPaperAreRefusedAtTheirPlace(): void
    {
        $this->actingAs($lead = $this->lead());
        $group = $this->group($lead);
        $other = $this->lead('Elsewhere')
            ->organisation->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => 4]);
        foreach (
            [
                ['/models/1/model', ['further' => [['model' => 'unicorn']]]],
                ['/models/1/model', ['further' => [['model' => 'drinking-cup']]]],
                ['/models/2/model', ['further' => [['model' => 'crane'], ['model' => 'crane']]]],
                ['/models/1/side_mm', ['further' => [['model' => 'crane', 'side_mm' => 0]]]],
                ['/models/1/side_mm', ['further' => [['model' => 'crane', 'side_mm' => 'wide']]]],
                ['/models/1/ways', ['further' => [['model' => 'crane', 'ways' => ['base' => 'magic']]]]],
                [
                    '/models',
                    [
                        'further' => array_map(static fn (string $m): array => ['model' => $m], [
                            'crane',
                            'cat',
                            'hen',
                            'fish',
                            'swan',
                        ]),
                    ],
                ],
                ['/stock_ids/0', ['also' => [$other->id]]],
                ['/prefer', ['prefer' => 'cheap']],
                ['/decorate', ['decorate' => 'twice']],
                ['/materials/0', ['materials' => ['dynamite']]],
                ['/square_in_lesson', ['method' => 'trimmer', 'square_in_lesson' => true]],
            ] as [$pointer, $changes]
        ) {
            $answer = $this->postJson('/api/lessons', $this->lessonInput($group, $changes))->assertStatus(422);
            self::assertContains(
                $pointer,
                array_column($answer->json('errors'), 'pointer'),
                json_encode($changes).' '.$answer->getContent(),
            );
        }
        self::assertSame(0, $lead->organisation->lessons()->count(), 'nothing half saved');
    }

    public function testPaperFromTwoStocksScrapFirst(): void
    {
        [$lead, $a4, $id] = $this->planned('drinking-cup', 30, ['side_mm' => 75]);
        $strips = $lead->organisation->stocks()->create([
            'name' => 'Strips',
            'width_mm' => 87,
            'height_mm' => 210,
            'count' => 2,
            'scrap' => true,
            'price' => 0,
        ]);
        $input = ['side_mm' => 75, 'stock_id' => $a4->id, 'also' => [$strips->id]];
        $lesson = fn (array $more): array => $this->putJson(
            "/api/lessons/$id",
            $this->lessonInput(Lesson::query()->findOrFail($id)->group, $more + $input),
        )
            ->assertOk()
            ->json();
        // 5 of 75: an A4 gives 2 x 3 = 6; a strip 2. Least is one A4 (62,370) against three strips (54,810), of which
        // there are two:
        // one A4 and no strip, or two strips (36,540) and an A4. Scrap first takes no less A4, so the one A4 alone.
        self::assertSame([1, 0], array_column($lesson([])['paper']['takes'], 'sheets'));
        self::assertSame([1, 0], array_column($lesson(['prefer' => 'scrap'])['paper']['takes'], 'sheets'));
        $strips->update(['count' => 3]);
        self::assertSame([0, 3], array_column($lesson(['prefer' => 'scrap'])['paper']['takes'], 'sheets'));
        self::assertSame(
            [0, $strips->id],
            [$lesson([])['paper']['cost'], $lesson([])['setting']['stock_ids'][1]],
            'strips cost nothing',
        );
        $this->endLesson($id);
        self::assertSame([30, 0], [$a4->refresh()->count, $strips->refresh()->count]);
        $taken = $this->getJson("/api/stocks/{$strips->id}/changes")->json('0.id');
        $this->postJson("/api/stocks/{$strips->id}/undo", ['change' => $taken])
            ->assertOk()
            ->assertJsonPath('count', 3);
        // The paper of a lesson that is planned goes from the cupboard: the lesson says so and goes on with the other.
        $this->deleteJson("/api/stocks/{$strips->id}?sure=1")->assertOk();
        self::assertSame(
            [$a4->id],
            $this->getJson("/api/lessons/$id")
                ->assertOk()
                ->json('setting.stock_ids'),
        );
    }

    public function testPaperFromTwoStocksIsJudgedByTheWorse(): void
    {
        [$lead, $a4, $id] = $this->planned('crane', 2, ['side_mm' => 148]);
        $card = $lead->organisation->stocks()->create([
            'name' => 'Card',
            'width_mm' => 150,
            'height_mm' => 150,
            'grammage' => 300,
            'kind' => 'construction',
            'count' => 4,
        ]);
        $group = Lesson::query()->findOrFail($id)->group;
        $model = fn (array $more): array => $this->putJson(
            "/api/lessons/$id",
            $this->lessonInput($group, $more + ['model' => 'crane', 'side_mm' => 148, 'stock_id' => $a4->id]),
        )
            ->assertOk()
            ->json('paper.models.0');
        self::assertNotSame('no', $model([])['will_fold']['verdict']);
        $both = $model(['also' => [$card->id]])['will_fold'];
        self::assertSame(
            'no',
            $both['verdict'],
            'six squares: four from card, where each takes least, and two from one A4',
        );
        self::assertStringContainsString('From Card: Thick', implode(' ', $both['reasons']));
        self::assertStringContainsString('From A4: ', implode(' ', $both['reasons']));
        self::assertStringNotContainsString(
            'From',
            implode(' ', $model(['also' => []])['will_fold']['reasons']),
            'one paper needs no name',
        );
    }

    public function testAFormSaysHowHighItIs(): void
    {
        [, , $id] = $this->planned('square-box', 30, ['side_mm' => 200]);
        // Length and width are side / (2 sqrt 2), the height half of that.
        $model = $this->getJson("/api/lessons/$id")->json('paper.models.0');
        // 200 / 2.828 = 70.71, half of it 35.36; nothing is said to be longer than it is.
        self::assertSame(['70.7 × 70.7 mm', '35.3 mm'], [$model['finished'], $model['height']]);
        [, , $id] = $this->planned('whale', 30, ['side_mm' => 148]);
        self::assertNull($this->getJson("/api/lessons/$id")->json('paper.models.0.height'));
    }

    public function testLengthsAreSaidByTheCoreInTheUnitsOfTheLead(): void
    {
        [$user, , $id] = $this->planned('square-box', 30, ['side_mm' => 148.5]);
        $user->update(['unit' => 'in']);
        // 148.5 mm are 5.846 in: 5 13/16 is the last mark before; 210 mm 8 1/4 (8.268), 297 mm 11 11/16 (11.693).
        $paper = $this->actingAs($user->refresh())->getJson("/api/lessons/$id")->json('paper');
        self::assertSame('5 13/16 in', $paper['side']);
        self::assertEqualsWithDelta(148.5, $paper['side_mm'], 1e-9, 'the exact length stays beside the text');
        self::assertSame('8 1/4 × 11 11/16 in', $paper['stock']['size']);
        self::assertSame('5 13/16', $paper['patterns'][0]['squares'][0]['side']);
        self::assertSame('8 1/4 in', $paper['largest']);
    }

    public function testAPlanIsWorkedOutOnceAndAnewWhenTheQuestionChanges(): void
    {
        $store = new class extends ArrayStore
        {
            public int $puts = 0;

            public function put($key, $value, $seconds): bool
            {
                $this->puts++;

                return parent::put($key, $value, $seconds);
            }
        };
        $ask = static fn (int $count): int => (new PaperPlans(app(LibraryFiles::class), new Repository($store)))
            ->for([Stock::of('A4', 210, 297, $count)], [new ModelPaper(
                title: 'Cup',
                ratio: 1.0,
                parts: [],
                side: 105.0,
                learners: 12,
                spares: 2,
                practice: 1,
            )], 0.0)
            ->short();
        self::assertSame([0, 0, 2, 0], array_map($ask, [4, 4, 2, 4]), '15 squares, four from each sheet');
        self::assertSame(2, $store->puts);
    }

    public function testPriceTagsAndWhatIsGoodToKnow(): void
    {
        [$lead, $stock, $id] = $this->planned('dog-face', 30);
        $body = [
            'name' => 'Folding squares',
            'width_mm' => 150,
            'height_mm' => 150,
            'grammage' => 50,
            'count' => 4,
            'sides' => 'coloured',
            'kind' => 'folding',
            'price' => 0.125,
            'tags' => ['recycled', 'bright'],
            'scrap' => true,
        ];
        $made = $this->postJson('/api/stocks', $body)->assertCreated()->json();
        self::assertSame([0.125, ['recycled', 'bright'], true], [$made['price'], $made['tags'], $made['scrap']]);
        self::assertSame(
            ['plain'],
            $this->putJson("/api/stocks/{$made['id']}", ['tags' => ['plain']] + $body)
                ->assertOk()
                ->json('tags'),
        );
        foreach (
            [
                ['price' => -1],
                ['price' => 'dear'],
                ['tags' => ['<b>']],
                ['tags' => ['a', 'A']],
                ['tags' => array_fill(0, 9, 'x')],
            ] as $bad
        ) {
            $this->putJson("/api/stocks/{$made['id']}", $bad + $body)->assertStatus(422);
        }
        $group = Lesson::query()->findOrFail($id)->group;
        $paper = $this->putJson(
            "/api/lessons/$id",
            $this->lessonInput($group, ['model' => 'dog-face', 'stock_id' => $made['id']]),
        )
            ->assertOk()
            ->json('paper');
        self::assertSame([0.63, 1], [$paper['cost'], $paper['short']], '5 sheets of 0.125 are 0.625; one is missing');
        self::assertStringContainsString('about 0.13', $paper['choices'][0]);
        self::assertStringContainsString('one sheet of A4 as well', implode(' ', $paper['choices']));
        $notes = implode(' ', $paper['models'][0]['will_fold']['notes']);
        self::assertStringContainsString('50 g/m2', $notes);
        self::assertMatchesRegularExpression('/coloured side (up|down)/', $notes);
        self::assertNull(
            $this->putJson("/api/lessons/$id", $this->lessonInput($group, ['stock_id' => $stock->id]))->json(
                'paper.cost',
            ),
            'no price is known',
        );
        self::assertSame(2, $lead->organisation->stocks()->count());
    }

    public function testMaterialsKitsAndTables(): void
    {
        [, $stock, $id] = $this->planned('cat', 30, ['side_mm' => 140]);
        $materials = fn (): array => array_column(
            $this->getJson("/api/lessons/$id")->json('setting.materials'),
            null,
            'key',
        );
        self::assertSame(
            [true, false],
            [$materials()['glue-stick']['chosen'], $materials()['beads']['chosen']],
            'the cat is glued',
        );
        $group = Lesson::query()->findOrFail($id)->group;
        $change = fn (array $more): array => $this->putJson(
            "/api/lessons/$id",
            $this->lessonInput($group, $more + ['model' => 'cat', 'side_mm' => 140, 'stock_id' => $stock->id]),
        )
            ->assertOk()
            ->json();
        $plain = $change([])['plan']['needed_minutes'];
        $lesson = $change(['materials' => ['beads', 'hooks'], 'decorate' => 'before']);
        self::assertGreaterThan($plain, $lesson['plan']['needed_minutes']);
        self::assertSame('decorate', $lesson['plan']['lines'][2]['key']);
        self::assertFalse($materials()['glue-stick']['chosen'], 'the lead chose otherwise');
        self::assertNull($materials()['beads']['unfit']);
        $group->update(['age_band' => 'young']);
        self::assertStringContainsString('paper straws', (string) $materials()['beads']['unfit']);
        self::assertStringContainsString(
            'beads, one under each model: 3',
            implode(' ', array_column($lesson['paper']['list'], 'text')),
        );
        $this->putJson("/api/groups/{$group->id}", [
            'name' => $group->name,
            'age_band' => 'young',
            'helpers' => 1,
            'table_size' => 2,
            'learners' => $group
                ->learners()
                ->get(['id', 'name'])
                ->toArray(),
        ])
            ->assertOk()
            ->assertJsonPath('table_size', 2);
        $kits = $this->getJson("/api/lessons/$id/kits")
            ->assertOk()
            ->json();
        self::assertSame(
            [['Ada', 'Bram'], ['Cleo']],
            array_map(static fn (array $t): array => array_column($t['learners'], 'name'), $kits['tables']),
        );
        self::assertSame(['Cat: square of 140 mm', 'Head: square of 98 mm'], $kits['kit']);
        self::assertStringContainsString('swallowed', implode(' ', $kits['cautions']));
    }

    public function testCutWithATrimmerOrByTheLeadAlone(): void
    {
        [, $stock, $id] = $this->planned('drinking-cup', 30, ['side_mm' => 105]);
        $group = Lesson::query()->findOrFail($id)->group;
        $change = fn (array $more): array => $this->putJson(
            "/api/lessons/$id",
            $this->lessonInput($group, $more + ['side_mm' => 105, 'stock_id' => $stock->id]),
        )
            ->assertOk()
            ->json('paper');
        $paper = $change(['method' => 'trimmer']);
        self::assertStringContainsString('guard', $paper['caution']);
        self::assertSame(1, $paper['patterns'][0]['lines'][0]['n']);
        self::assertStringContainsString(
            '1: the whole sheets, across, at 105, 210 mm from',
            $paper['patterns'][0]['order'][0],
        );
        self::assertSame(
            [2, 1],
            [$change([])['prepare']['people'], $change(['helpers_cut' => false])['prepare']['people']],
        );
    }

    public function testTheBenchPlansAnySquaresWithProgress(): void
    {
        $this->actingAs($lead = $this->lead());
        $a4 = $lead->organisation
            ->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => 22, 'price' => 0.02]);
        $ask = fn (array $body) => $this->postJson(
            '/api/cut-plan',
            $body + ['stock' => [['id' => $a4->id, 'count' => 22]], 'method' => 'scissors', 'prefer' => 'least'],
        );
        $lines = static fn ($answer): array => array_map(
            static fn (string $l): array => (array) json_decode($l, true),
            array_filter(explode("\n", $answer->streamedContent())),
        );
        $answer = $lines(
            $ask(['need' => [['side_mm' => '12 cm', 'count' => 10], ['side_mm' => 90, 'count' => 10]]])->assertOk(),
        );
        self::assertArrayHasKey('what', $answer[0]);
        $plan = $answer[count($answer) - 1]['plan'];
        self::assertSame(
            [5, true, true, [5], 0.1],
            [
                $plan['sheets'],
                $plan['feasible'],
                $plan['optimal'],
                array_column($plan['patterns'], 'times'),
                $plan['cost'],
            ],
        );
        self::assertStringContainsString('10 squares of 120 mm, 10 squares of 90 mm: 5 sheets of A4', $plan['title']);
        // 26 learners and 22 sheets: two from a sheet, of 148.5.
        $plan = $lines($ask(['need' => [['side_mm' => null, 'count' => 26]]])->assertOk());
        self::assertStringContainsString('148.5 mm', $plan[count($plan) - 1]['plan']['title']);
        $plan = $lines($ask(['need' => [['side_mm' => 210, 'count' => 30]]])->assertOk());
        self::assertStringContainsString(
            '8 squares of 210 mm are missing',
            $plan[count($plan) - 1]['plan']['unmet'][0],
        );
        self::assertSame(
            '22 squares of 210 mm: 22 sheets of A4',
            $plan[count($plan) - 1]['plan']['title'],
            'it promises only what it gives',
        );
        foreach (
            [
                ['/need/1/side_mm', ['need' => [['side_mm' => 90, 'count' => 1], ['side_mm' => null, 'count' => 2]]]],
                ['/need/0/count', ['need' => [['side_mm' => 90, 'count' => 0]]]],
                ['/need/0/side_mm', ['need' => [['side_mm' => '8 1/2', 'count' => 1]]]],
                ['/need', ['need' => []]],
                [
                    '/stock/0/id',
                    ['need' => [['side_mm' => 90, 'count' => 1]], 'stock' => [['id' => 999_999, 'count' => 1]]],
                ],
                ['/need/0/count', ['need' => [['side_mm' => 90, 'count' => 100_000]]]],
            ] as [$pointer, $bad]
        ) {
            $ask($bad)->assertStatus(422)->assertJsonPath('errors.0.pointer', $pointer);
        }
    }

    public function testWhatTheLessonsAheadTakeAndWhereItRunsOut(): void
    {
        [$lead, $stock, $first] = $this->planned('drinking-cup', 8, ['side_mm' => 148]);
        $stock->update(['price' => 0.05]);
        $later = [
            'model' => 'dog-face',
            'side_mm' => 148,
            'stock_id' => $stock->id,
            'starts_at' => '2026-12-01T16:00',
            'ends_at' => '2026-12-01T17:00',
        ];
        $second = $this->postJson('/api/lessons', $this->lessonInput($this->group($lead), $later))
            ->assertCreated()
            ->json('card.id');
        $third = $this->postJson(
            '/api/lessons',
            $this->lessonInput(
                $this->group($lead),
                ['starts_at' => '2026-12-08T16:00', 'ends_at' => '2026-12-08T17:00'] + $later,
            ),
        )
            ->assertCreated()
            ->json('card.id');
        $this->postJson(
            '/api/lessons',
            $this->lessonInput($this->group($lead), [
                'starts_at' => '2026-12-09T16:00',
                'ends_at' => '2026-12-09T17:00',
            ]),
        )->assertCreated();
        $ahead = $this->getJson('/api/paper-ahead?until=2026-12-31')->assertOk()->json();
        // 5 squares of 148 each time: 3 A4 a lesson, 9 of 8; 15 squares cut at once are 8 sheets.
        self::assertSame(
            [9, 1, $third, 8, 0.05, 1, 1],
            [
                $ahead['stocks'][0]['sheets'],
                $ahead['stocks'][0]['short'],
                $ahead['stocks'][0]['runs_out'],
                $ahead['stocks'][0]['together'],
                $ahead['stocks'][0]['buy'],
                $ahead['together'],
                $ahead['unplanned'],
            ],
        );
        self::assertSame(
            [5, 2, -1],
            array_map(static fn (array $l): int => $l['takes'][0]['left'], array_slice($ahead['lessons'], 0, 3)),
        );
        self::assertSame('Drinking cup', $ahead['lessons'][3]['title'], 'a lesson without paper has its name too');
        self::assertSame(
            [$first, $second],
            array_column(array_slice($this->getJson('/api/paper-ahead?until=2026-12-02')->json('lessons'), 0, 5), 'id'),
        );
        $this->getJson('/api/paper-ahead?until=soon')->assertStatus(422);
    }

    public function testStripsArePutBack(): void
    {
        $this->actingAs($lead = $this->lead());
        $stock = $lead->organisation
            ->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 10]);
        $strips = $this->postJson("/api/stocks/{$stock->id}/offcuts", ['count' => 4])
            ->assertOk()
            ->json();
        self::assertEqualsWithDelta([87, 210, 4], [$strips['width_mm'], $strips['height_mm'], $strips['count']], 1e-9);
        $this->postJson("/api/stocks/{$stock->id}/offcuts", ['count' => 3])
            ->assertOk()
            ->assertJsonPath('count', 7);
        $this->postJson("/api/stocks/{$stock->id}/offcuts", ['count' => 0])->assertStatus(422);
        $this->actingAs($this->lead('Elsewhere'))
            ->postJson("/api/stocks/{$stock->id}/offcuts", ['count' => 3])
            ->assertNotFound();
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return array{User, \App\Models\Stock, int}
     */
    private function planned(string $model, int $count, array $changes = []): array
    {
        $lead = $this->lead(uniqid('House '));
        $stock = $lead->organisation
            ->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => $count]);
        $this->actingAs($lead);
        $id = $this->postJson(
            '/api/lessons',
            $this->lessonInput($this->group($lead), ['model' => $model, 'stock_id' => $stock->id] + $changes),
        )
            ->assertCreated()
            ->json('card.id');

        return [$lead, $stock, $id];
    }
}
