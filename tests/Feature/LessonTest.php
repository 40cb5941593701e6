<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Lesson;
use App\Models\User;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;

final class LessonTest extends TestCase
{
    public function testTheWholeWay(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $stock = $lead->organisation
            ->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 3]);
        $this->actingAs($lead);

        $lesson = $this->postJson('/api/lessons', $this->lessonInput($group, ['stock_id' => $stock->id]))
            ->assertCreated()
            ->json();
        $id = $lesson['card']['id'];
        self::assertSame(
            [210, 5, 2, false],
            [
                $lesson['paper']['side_mm'],
                $lesson['paper']['sheets'],
                $lesson['paper']['short'],
                $lesson['card']['paper_ready'],
            ],
            '3 learners, a spare and the set to practise with',
        );
        self::assertTrue($lesson['plan']['fits']);
        self::assertSame('planned', $lesson['card']['status']);

        $this->send($id, ['kind' => 'moved', 'step' => 3])->assertOk();
        [$ada, $bram] = $group->learners->pluck('id')->all();
        $key = (string) Str::uuid();
        foreach ([1, 2] as $ignored) { // sent twice over a bad connection: kept once
            $this->send($id, ['kind' => 'done', 'key' => $key, 'learner' => $ada, 'step' => 7])->assertOk();
        }
        $this->send($id, ['kind' => 'done', 'learner' => $bram, 'step' => 2])->assertOk()
            ->assertJsonPath('newest', 3)->assertJsonCount(3, 'events');
        $again = $this->getJson("/api/lessons/$id")->assertOk()->json();
        self::assertSame(
            [3, 'teaching', 3],
            [$again['card']['step'], $again['card']['status'], count($again['log']['events'])],
        );

        $closed = $this->endLesson($id);
        self::assertSame('taught', $closed['card']['status']);
        self::assertEqualsCanonicalizing(
            [['alone', null], ['stopped', 3], ['away', null]],
            array_map(static fn (array $f): array => [$f['outcome'], $f['step']], $closed['record']['finishes']),
        );
        $correction = ['model' => 'drinking-cup', 'finish' => 'help', 'step' => null];
        $this->send($id, ['kind' => 'corrected', 'learner' => $bram, 'correction' => $correction])->assertOk();
        self::assertSame(2, $this->endLesson($id)['card']['finished']);
        $wall = $this->getJson("/api/groups/{$group->id}/wall")
            ->assertOk()
            ->json();
        self::assertSame([2, 'Drinking cup'], [$wall['finished'], $wall['models'][0]['title']]);
        $home = $this->getJson('/api/home')->assertOk()->json();
        self::assertNull($home['next']);
        self::assertCount(1, $home['taught']);
    }

    /** A model is taken out of the library: nothing falls over, and what is said names the remedy. */
    public function testAModelThatIsGoneFromTheShelf(): void
    {
        [, $lesson] = $this->planned();
        $other = $this->postJson('/api/lessons', $this->lessonInput($lesson->group))->assertCreated()->json('card.id');
        $lesson->models()->update(['model' => 'unicorn', 'ways' => null]);
        $gone = $this->getJson("/api/lessons/{$lesson->id}")->assertStatus(410);
        self::assertStringContainsString('(unicorn)', (string) $gone->json('message'));
        $this->getJson("/api/lessons/{$lesson->id}/forecast")->assertStatus(410);
        $ids = static fn (array $cards): array => array_column($cards, 'id');
        self::assertSame([$other], $ids($this->getJson('/api/lessons')->assertOk()->json('lessons')));
        $this->getJson('/api/home')->assertOk();
        $this->getJson('/api/paper-ahead')->assertOk();
        $this->get("/api/groups/{$lesson->group_id}/calendar.ics")->assertOk();

        // one of two is gone: the other is taught; a way that is gone: the usual one is
        $lesson->models()->create(['place' => 1, 'model' => 'crane', 'ways' => ['base' => 'magic', 'wings' => 'low']]);
        $left = $this->getJson("/api/lessons/{$lesson->id}")->assertOk()->json();
        self::assertSame(['crane'], array_column($left['models'], 'slug'));
        self::assertSame(['wings' => 'low'], $left['models'][0]['ways']);
    }

    public function testThePlanFollowsTheRoom(): void
    {
        [, $lesson] = $this->planned();
        $seconds = fn (array $changes): int => array_sum(array_column($this->putJson(
            "/api/lessons/{$lesson->id}",
            $this->lessonInput($lesson->group, $changes),
        )
            ->assertOk()
            ->json('plan.lines'), 'seconds'));
        $plain = $seconds([]);
        $again = ['square_in_lesson' => true, 'policies' => ['squaring' => 'again']];
        self::assertGreaterThan($plain, $seconds($again));
        self::assertGreaterThan($seconds(['square_in_lesson' => true, 'policies' => null]), $seconds($again));
        self::assertGreaterThan($plain, $seconds(['model' => 'helmet']));
        self::assertFalse(
            $this->putJson(
                "/api/lessons/{$lesson->id}",
                $this->lessonInput($lesson->group, ['ends_at' => '2026-11-24T16:10']),
            )->json('plan.fits'),
        );
    }

    public function testPaperAnswersWithItsReason(): void
    {
        [$lead, $lesson] = $this->planned();
        $stock = $lead->organisation
            ->stocks()
            ->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => null]);
        $paper = fn (?float $side, string $method = 'scissors') => $this->putJson(
            "/api/lessons/{$lesson->id}",
            $this->lessonInput($lesson->group, ['stock_id' => $stock->id, 'side_mm' => $side, 'method' => $method]),
        )
            ->assertOk()
            ->json('paper');
        self::assertSame(
            [3, 2, null],
            [count($paper(105)['patterns'][0]['squares']), $paper(105)['sheets'], $paper(105)['problem']],
            'five squares: three from each of two sheets, where four would fit',
        );
        self::assertSame(
            3,
            $paper(105, 'tear')['sheets'],
            'torn edges take 1.5 mm, and two of 105 no longer fit across 210',
        );
        self::assertStringContainsString('the largest is 210 mm', $paper(250)['problem']);
        self::assertStringContainsString('strip of 87 mm', implode(' ', $paper(null)['steps']));
        self::assertStringContainsString('own rules', $paper(null)['caution']);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> changes, pointer, words */
    public static function bad(): iterable
    {
        yield 'ends before it starts' => [['ends_at' => '2026-11-24T15:00'], '/ends_at', 'ends before it starts'];
        yield 'ends as it starts' => [['ends_at' => '2026-11-24T16:00'], '/ends_at', 'ends before it starts'];
        yield 'three minutes' => [['ends_at' => '2026-11-24T16:03'], '/ends_at', '5 to 480 minutes'];
        yield 'a week' => [['ends_at' => '2026-12-01T16:00'], '/ends_at', '5 to 480 minutes'];
        yield 'no date' => [['starts_at' => 'soon'], '/starts_at', 'a date and a time'];
        yield 'no such model' => [['model' => '../../.env'], '/models/0/model', 'no such model'];
        yield 'a list for a model' => [['model' => ['x']], '/models/0/model', ''];
        yield 'no such group' => [['group_id' => 999999], '/group_id', 'does not exist'];
        yield 'no such paper' => [['stock_id' => 999999], '/stock_ids/0', 'gone from the cupboard'];
        yield 'square of nothing' => [['side_mm' => 0], '/models/0/side_mm', 'between 10 and 2000'];
        yield 'square of three metres' => [['side_mm' => 3000], '/models/0/side_mm', 'between 10 and 2000'];
        yield 'helpers' => [['helpers' => -1], '/helpers', 'between 0 and 20'];
        yield 'method' => [['method' => 'laser'], '/method', ''];
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('bad')]
    public function testBadInputIsNamedAndNothingIsSaved(array $changes, string $pointer, string $words): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $answer = $this->actingAs($lead)
            ->postJson('/api/lessons', $this->lessonInput($group, $changes))
            ->assertUnprocessable()
            ->json();
        self::assertSame($pointer, $answer['errors'][0]['pointer']);
        self::assertStringContainsString($words, $answer['errors'][0]['message']);
        self::assertSame(0, Lesson::query()->count());
    }

    public function testAnEmptyGroupHasNoLesson(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead)
            ->postJson('/api/lessons', $this->lessonInput($this->group($lead, [])))
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.pointer', '/group_id');
    }

    public function testOthersLessonsAreNotFound(): void
    {
        [, $lesson] = $this->planned();
        $this->actingAs($this->lead('Elsewhere'));
        $this->getJson("/api/lessons/{$lesson->id}")->assertNotFound();
        $this->deleteJson("/api/lessons/{$lesson->id}")->assertNotFound();
        $this->putJson("/api/groups/{$lesson->group_id}", [])->assertNotFound();
        $this->getJson('/api/lessons')->assertOk()->assertJsonPath('lessons', []);
        self::assertNotNull(Lesson::query()->find($lesson->id));
    }

    public function testTheListIsPaged(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        for ($i = 0; $i < 27; $i++) {
            Lesson::query()->create([
                'organisation_id' => $lead->organisation_id,
                'group_id' => $group->id,
                'starts_at' => now()->addDays($i),
                'minutes' => 60,
                'helpers' => 0,
                'used_paper' => null,
                'started_at' => null,
                'ended_at' => null,
            ])->models()->create(['place' => 0, 'model' => 'helmet']);
        }
        $this->actingAs($lead)
            ->getJson('/api/lessons?page=2')
            ->assertOk()
            ->assertJsonCount(2, 'lessons')
            ->assertJsonPath('pages', 2);
        $this->getJson('/api/home')->assertOk()->assertJsonCount(6, 'coming');
    }

    public function testAModelHasItsStepsAndPictures(): void
    {
        $this->actingAs($this->lead());
        $model = $this->getJson('/api/models/drinking-cup')->assertOk()->json();
        self::assertCount(7, $model['steps']);
        self::assertSame('Diagonal fold', $model['steps'][1]['name']);
        $this->getJson('/api/models/nothing')->assertNotFound();
        $this->get('/api/models/drinking-cup/steps/8.svg')->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
        $this->getJson('/api/models/drinking-cup/steps/9.svg')->assertNotFound();
    }

    /** @return array{User, Lesson} */
    private function planned(): array
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $this->actingAs($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($group))->assertCreated()->json('card.id');

        return [$lead, Lesson::query()->with('group.learners')->whereKey($id)->sole()];
    }
}
