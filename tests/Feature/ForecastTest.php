<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Lesson;
use PHPUnit\Framework\Attributes\DataProvider;

/** A lesson rehearsed: how it is likely to go, and what would help; the same answer each time it is asked. */
final class ForecastTest extends TestCase
{
    public function testALessonIsRehearsed(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead, array_map(static fn (int $n): string => "Learner $n", range(1, 20)));
        $id = $this->postJson('/api/lessons', $this->lessonInput($group, [
            'models' => [['model' => 'crane']],
            'starts_at' => '2030-01-05T10:00',
            'ends_at' => '2030-01-05T11:00',
            'helpers' => 1,
            'square_in_lesson' => true,
            'decorate' => 'after',
        ]))->assertCreated()->json('card.id');
        $forecast = $this->getJson("/api/lessons/$id/forecast")->assertOk()->json();
        self::assertSame($forecast, $this->getJson("/api/lessons/$id/forecast")->json());
        $now = $forecast['now'];
        ['early' => $early, 'middle' => $middle, 'late' => $late] = $now['finish'];
        self::assertTrue($early <= $middle && $middle <= $late && $early > 40);
        self::assertSame([0, 0], [$now['wave'][0]['slowest'], $now['wave'][0]['t']]);
        $last = $now['wave'][count($now['wave']) - 1];
        self::assertSame([17, 17, 17], [$last['slowest'], $last['middle'], $last['fastest']]);
        $levers = array_column($forecast['levers'], null, 'name');
        // decorating is a block of ten minutes: leaving it out gains just that
        self::assertEqualsWithDelta(10.0, $levers['decorate']['minutes'], 0.05);
        self::assertGreaterThan(0, $levers['prepared']['steps']);
        foreach ($now['holds'] as $hold) {
            self::assertEqualsWithDelta(60 * $hold['minutes'], $hold['to'] - $hold['from'], 4);
        }

        // the run sheet is the same answer: all but clearing up, with its buffer, is what nine of ten rooms need
        $plan = $this->getJson("/api/lessons/$id")->json('plan');
        self::assertSame($late + 4, $plan['needed_minutes']);
        self::assertContains('buffer', array_column($plan['lines'], 'key'));

        // and every time says why
        self::assertSame(range(1, 17), array_column($plan['why'], 'step'));
        $petal = $plan['why'][9];
        // four folds of the hands, each 1.1 as slow as a plain one: 8 + 16 x 4.4; 6 + 9 x 4.4
        self::assertSame([78, 46], [$petal['base'], $petal['show']]);
        self::assertContains('age', array_column($petal['factors'], 'name'));
        self::assertContains('again', array_column($plan['why'][10]['factors'], 'name'), 'step 11 does two again');

        // one press: what a lever promised is what the next rehearsal says
        $lesson = $this->getJson("/api/lessons/$id")->json();
        $this->putJson("/api/lessons/$id", $this->lessonInput($group, [
            'models' => [['model' => 'crane']],
            'starts_at' => '2030-01-05T10:00',
            'ends_at' => '2030-01-05T11:00',
            'helpers' => 1,
            'square_in_lesson' => true,
            'decorate' => 'none',
            'version' => $lesson['setting']['version'],
        ]))->assertOk();
        $then = $this->getJson("/api/lessons/$id/forecast")->assertOk()->json();
        self::assertEqualsWithDelta($late - $levers['decorate']['minutes'], $then['now']['finish']['late'], 1.0);
        self::assertSame($levers['decorate']['then'], $then['now'], 'the plan beside it is the plan that comes');
        self::assertEqualsWithDelta($levers['decorate']['share'], $then['now']['share'] - $now['share'], 0.002);
        self::assertNotContains('decorate', array_column($then['levers'], 'name'));
    }

    /** Hopeless as it is: how far to go, what would do, and a plan beside it that comes true when it is taken. */
    public function testAHopelessPlanSaysWhatWouldHelp(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead, array_map(static fn (int $n): string => "Learner $n", range(1, 16)));
        $slot = [
            'starts_at' => '2030-01-05T10:00', 'ends_at' => '2030-01-05T10:40', 'helpers' => 1,
            'models' => [['model' => 'crane']],
        ];
        $id = $this->postJson('/api/lessons', $this->lessonInput($group, $slot))->assertCreated()->json('card.id');
        $forecast = $this->getJson("/api/lessons/$id/forecast")->assertOk()->json();
        self::assertLessThan(0.2, $forecast['now']['share']);
        $checks = array_column(array_filter(
            $this->getJson("/api/lessons/$id")->json('plan.lines'),
            static fn (array $line): bool => $line['kind'] === 'checkpoint',
        ), 'step');
        self::assertContains($forecast['now']['until'], $checks, 'as far as a checkpoint');
        $levers = array_column($forecast['levers'], null, 'name');
        $easier = $levers['easier'];
        self::assertNotSame('', $easier['model']['folds']);
        self::assertGreaterThan(0.5, $easier['share']);
        self::assertSame($levers, array_column($forecast['levers'], null, 'name'));
        $shares = array_column($forecast['levers'], 'share');
        $falling = $shares;
        rsort($falling);
        self::assertSame($falling, $shares, 'most useful first');

        $this->putJson("/api/lessons/$id", $this->lessonInput($group, [
            'models' => [['model' => $easier['model']['slug']]],
        ] + $slot))->assertOk();
        $then = $this->getJson("/api/lessons/$id/forecast")->json();
        self::assertSame($easier['then'], $then['now']);
        self::assertNull($then['now']['until']);

        // another way of a passage that gains comes true too
        foreach ($forecast['levers'] as $lever) {
            if ($lever['name'] !== 'way') {
                continue;
            }
            $ways = [$lever['way']['passage'] => $lever['way']['option']];
            $this->putJson("/api/lessons/$id", $this->lessonInput($group, [
                'models' => [['model' => 'crane', 'ways' => $ways]],
            ] + $slot))->assertOk();
            self::assertSame($lever['then'], $this->getJson("/api/lessons/$id/forecast")->json('now'));
        }
    }

    /** What the lead says of blocks, checkpoints and times is kept, read back, and planned with. */
    public function testALeadMayMoveBlocksAndCheckpointsAndSayTimes(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead);
        $order = ['arrive', 'talk', 'hand-out', 'squaring', 'folding', 'decorate', 'display', 'clear'];
        $input = fn (array $with, array $model = []): array => $this->lessonInput($group, [
            'models' => [['model' => 'crane'] + $model],
        ] + $with);
        $usual = $this->postJson('/api/lessons', $input([]))->assertCreated()->json();
        self::assertSame($order, array_column($usual['plan']['blocks'], 'key'));
        self::assertSame(
            ['talk', 'squaring', 'decorate', 'display'],
            array_column(array_filter($usual['plan']['blocks'], static fn (array $b): bool => $b['out']), 'key'),
        );
        $id = $usual['card']['id'];
        $change = fn (array $with, array $model = []): array => $this->putJson(
            "/api/lessons/$id",
            $input($with, $model),
        )->assertOk()->json();

        // seven minutes of talk, before anybody sits
        $moved = ['talk', 'arrive', ...array_slice($order, 2)];
        $talk = $change(['blocks' => ['order' => $moved, 'minutes' => ['talk' => 7]]]);
        self::assertSame(['key' => 'talk', 'start' => 0, 'seconds' => 420], array_intersect_key(
            $talk['plan']['lines'][0],
            ['key' => 0, 'start' => 0, 'seconds' => 0],
        ));
        self::assertSame($usual['plan']['needed_minutes'] + 7, $talk['plan']['needed_minutes']);
        self::assertSame($talk['plan']['blocks'], $this->getJson("/api/lessons/$id")->json('plan.blocks'));

        // the first crease takes this group four minutes
        $own = $change(['blocks' => null], ['own_times' => ['1' => 240]]);
        self::assertSame([true, 240, []], [
            $own['plan']['why'][0]['own'], $own['plan']['why'][0]['fold'], $own['plan']['why'][0]['factors'],
        ]);
        self::assertGreaterThan($usual['plan']['needed_minutes'], $own['plan']['needed_minutes']);
        self::assertSame(['1' => 240], $own['models'][0]['own_times']);

        // no checkpoint but one after step 2
        $checks = array_column(array_filter(
            $usual['plan']['lines'],
            static fn (array $line): bool => $line['kind'] === 'checkpoint',
        ), 'step');
        self::assertNotSame([], $checks);
        $checked = $change([], ['checkpoints' => [2 => true] + array_fill_keys($checks, false)]);
        self::assertSame([2], array_values(array_column(array_filter(
            $checked['plan']['lines'],
            static fn (array $line): bool => $line['kind'] === 'checkpoint',
        ), 'step')));
    }

    /** The shelf and a new lesson say of every model how it would go: more in more time, and the plan agrees. */
    public function testEveryModelSaysHowItWouldGo(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead, array_map(static fn (int $n): string => "Learner $n", range(1, 12)));
        $fits = fn (int $minutes): array => array_column(
            $this->getJson("/api/groups/{$group->id}/times?minutes=$minutes")->assertOk()->json(),
            null,
            'slug',
        );
        [$short, $long] = [$fits(25), $fits(120)];
        self::assertCount(count($short), $long);
        foreach ($short as $slug => $fit) {
            self::assertTrue($fit['share'] <= $long[$slug]['share'] && $fit['everybody'] <= $long[$slug]['everybody']);
            self::assertSame($fit['minutes'], $long[$slug]['minutes'], 'what it takes does not hang on the slot');
            self::assertSame($fit['everybody'] >= 0.9, $fit['minutes'] <= 25, "$slug: nine of ten rooms");
        }
        self::assertLessThan(0.05, $short['crane']['share']);
        self::assertSame(1, (int) $long['crane']['share']);
        $plan = $this->postJson('/api/lessons', $this->lessonInput($group, [
            'models' => [['model' => 'crane']],
            'starts_at' => '2030-01-05T10:00',
            'ends_at' => '2030-01-05T12:00',
            'helpers' => $group->helpers,
        ]))->assertCreated()->json('plan');
        self::assertSame($plan['needed_minutes'], $long['crane']['minutes']);
        foreach (['4', '481', 'long', '1.5'] as $wrong) {
            $this->getJson("/api/groups/{$group->id}/times?minutes=$wrong")
                ->assertStatus(422)
                ->assertJsonPath('errors.0.message', 'A slot has between 5 and 480 minutes.');
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string}> */
    public static function slips(): iterable
    {
        yield 'a step there is not' => [[], ['own_times' => ['99' => 60]], '/models/0/own_times', 'steps 1 to 17'];
        yield 'no time' => [[], ['own_times' => ['1' => 0]], '/models/0/own_times', 'between 1 and 3600 seconds'];
        yield 'hours' => [[], ['own_times' => ['1' => 9000]], '/models/0/own_times', 'between 1 and 3600 seconds'];
        yield 'a word' => [[], ['own_times' => ['1' => 'long']], '/models/0/own_times', 'between 1 and 3600 seconds'];
        yield 'a list' => [[], ['own_times' => [60]], '/models/0/own_times', 'steps 1 to 17'];
        yield 'a checkpoint of words' => [[], ['checkpoints' => ['1' => 'yes']], '/models/0/checkpoints', 'put (true)'];
        $short = ['order' => ['folding'], 'minutes' => []];
        yield 'a block left out' => [['blocks' => $short], [], '/blocks', 'each once'];
        yield 'half a minute' => [
            ['blocks' => ['order' => ['folding'], 'minutes' => ['talk' => 0.5]]], [], '/blocks', 'whole minutes',
        ];
        yield 'a word for blocks' => [['blocks' => 'all'], [], '/blocks', ''];
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, mixed>  $model
     */
    #[DataProvider('slips')]
    public function testASlipNamesThePlaceAndNothingIsSaved(array $with, array $model, string $at, string $says): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead);
        $given = $this->lessonInput($group, ['models' => [['model' => 'crane'] + $model]] + $with);
        $answer = $this->postJson('/api/lessons', $given)->assertStatus(422);
        self::assertStringContainsString($at, (string) $answer->json('errors.0.pointer'));
        self::assertStringContainsString($says, (string) $answer->json('errors.0.message'));
        self::assertSame(0, Lesson::query()->count());
    }

    /** Paper that folds a model hardly makes its steps longer, in the plan and in the forecast alike. */
    public function testPaperIsFelt(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead);
        $felt = 0;
        $needed = [];
        foreach ([70, 100, 130, 160, 200] as $grammage) {
            $stock = $this->postJson('/api/stocks', [
                'name' => "Paper $grammage", 'width_mm' => 210, 'height_mm' => 297, 'grammage' => $grammage,
                'count' => null,
            ])->assertCreated()->json('id');
            $lesson = $this->postJson('/api/lessons', $this->lessonInput($group, [
                'models' => [['model' => 'crane']],
                'stock_ids' => [$stock],
            ]))->assertCreated()->json();
            $factors = array_column($lesson['plan']['why'][0]['factors'], 'times', 'name');
            $needed[] = [isset($factors['paper']), $lesson['plan']['needed_minutes']];
            $felt += isset($factors['paper']) ? 1 : 0;
            $forecast = $this->getJson("/api/lessons/{$lesson['card']['id']}/forecast")->assertOk()->json('now');
            self::assertSame($forecast['finish']['late'] + 4, $lesson['plan']['needed_minutes'], "$grammage g");
        }
        self::assertGreaterThan(0, $felt);
        self::assertLessThan(5, $felt);
        foreach ($needed as [$isHard, $minutes]) {
            self::assertSame($isHard, $minutes > $needed[0][1], 'hardly folded, longer');
        }
    }

    /** Learners to rehearse with: everybody folds every step in some time, the same each time it is asked. */
    public function testTheCastOfARehearsal(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead, ['Ada', 'Bram', 'Cleo']);
        $id = $this->postJson('/api/lessons', $this->lessonInput($group, [
            'models' => [['model' => 'crane']],
            'prepared' => 5,
        ]))->assertCreated()->json('card.id');
        $cast = $this->getJson("/api/lessons/$id/cast")->assertOk()->json();
        self::assertSame(range(6, 17), array_column($cast['steps'], 'step'), 'what is folded before is not rehearsed');
        $learners = array_map(strval(...), $cast['learners']);
        self::assertSame($learners, array_map(strval(...), array_keys($cast['seconds'])));
        foreach ($cast['seconds'] as $own) {
            self::assertCount(12, $own);
            self::assertGreaterThan(0, min($own));
        }
        foreach ($cast['seconds'] as $own) {
            self::assertGreaterThan(array_sum($own), $cast['best']['finish']);
        }
        self::assertSame($cast, $this->getJson("/api/lessons/$id/cast?seed=1")->json());
        self::assertNotSame($cast, $this->getJson("/api/lessons/$id/cast?seed=2")->json());
        $this->getJson("/api/lessons/$id/cast?seed=0")->assertStatus(422)->assertJsonPath('errors.0.pointer', '/seed');
        $this->actingAs($this->lead('Elsewhere'))->getJson("/api/lessons/$id/cast")->assertNotFound();
    }

    public function testALessonOfAnotherPlaceIsNotRehearsed(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($this->group($lead)))->json('card.id');
        $this->actingAs($this->lead('Elsewhere'));
        $this->getJson("/api/lessons/$id/forecast")->assertNotFound();
        $this->getJson('/api/lessons/999999/forecast')->assertNotFound();
    }
}
