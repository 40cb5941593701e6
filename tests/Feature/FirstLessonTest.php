<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\Lesson;
use App\Models\Stock;
use PHPUnit\Framework\Attributes\DataProvider;

/** One sentence, one press: a group by numbers, its paper, a lesson with a plan; or nothing at all. */
final class FirstLessonTest extends TestCase
{
    private const WISH = ['learners' => 12, 'years' => 8, 'minutes' => 45, 'paper' => 'a4'];

    public function testASentenceIsAnsweredWithModelsThatTheyFinish(): void
    {
        $this->actingAs($this->lead());
        $offers = $this->offers(self::WISH);
        self::assertNotSame([], $offers);
        self::assertLessThanOrEqual(6, count($offers));
        foreach ($offers as $offer) {
            $model = $this->getJson("/api/models/{$offer['slug']}")->json('summary');
            self::assertLessThanOrEqual(8, $model['age_from'], $offer['slug']);
            self::assertSame(1, $model['sheets']);
        }
        self::assertLessThanOrEqual(45, $offers[0]['minutes']);
        self::assertGreaterThanOrEqual(0.9, $offers[0]['everybody']);
        $slugs = array_column($offers, 'slug');
        self::assertNotContains('crane', $slugs, 'no crane for eight-year-olds in 45 minutes');
        // more time and older hands: other models; soft and small paper: fewer
        self::assertNotSame($slugs, array_column(
            $this->offers(['years' => 30, 'minutes' => 90] + self::WISH),
            'slug',
        ));
        // hopeless: still the nearest, and it is said how few would be done
        $short = $this->offers(['minutes' => 10] + self::WISH);
        self::assertGreaterThan(10, $short[0]['minutes']);
        self::assertLessThan(0.9, $short[0]['everybody']);
    }

    public function testOnePressMakesGroupPaperAndPlan(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $model = $this->offers(self::WISH)[0];
        $press = ['model' => $model['slug'], 'starts_at' => '2030-01-05T10:00'] + self::WISH;
        $lesson = $this->postJson('/api/first-lesson', $press)->assertCreated()->json();
        self::assertSame(
            [$model['slug'], 'Group of 12', 12, 45, '2030-01-05T10:00', true],
            [
                $lesson['card']['model'], $lesson['card']['group'], $lesson['card']['learners'],
                $lesson['card']['minutes'], $lesson['card']['starts_at'], $lesson['card']['fits'],
            ],
        );
        self::assertSame($model['minutes'], $lesson['plan']['needed_minutes'], 'as it was promised');
        self::assertSame(
            array_map(strval(...), range(1, 12)),
            array_column($lesson['group']['learners'], 'name'),
            'seats before names',
        );
        self::assertSame('A4', Stock::query()->sole()->name);
        self::assertNotNull($lesson['paper']);

        // a second time: the same paper, another group
        $again = $this->postJson('/api/first-lesson', $press)->assertCreated()->json();
        self::assertSame('Group of 12, 2', $again['card']['group']);
        self::assertSame(1, Stock::query()->count());

        // somebody types names: the same learners
        $group = $again['group'];
        $named = ['id' => $group['learners'][0]['id'], 'name' => 'Ada'];
        $this->putJson("/api/groups/{$group['id']}", [
            'name' => 'Tuesday folders',
            'age_band' => $group['age_band'],
            'helpers' => 1,
            'learners' => [$named, ...array_slice($group['learners'], 1)],
            'version' => $group['version'],
        ])->assertOk()->assertJsonPath('learners.0', ['id' => $named['id'], 'name' => 'Ada', 'seat' => 1]);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function slips(): iterable
    {
        yield 'nobody' => [['learners' => 0], '/learners', 'between 1 and 60'];
        yield 'a crowd' => [['learners' => 61], '/learners', 'between 1 and 60'];
        yield 'babies' => [['years' => 2], '/years', 'between 4 and 99 years'];
        yield 'no time' => [['minutes' => 3], '/minutes', 'between 5 and 480 minutes'];
        yield 'a word' => [['minutes' => 'long'], '/minutes', 'between 5 and 480 minutes'];
        yield 'bark' => [['paper' => 'bark'], '/paper', 'one of the papers'];
        yield 'an unknown model' => [['model' => 'unicorn'], '/model', 'one of the models'];
        yield 'no model' => [['model' => null], '/model', 'one of the models'];
        yield 'a number far off' => [['starts_at' => PHP_INT_MIN], '/starts_at', 'a date and a time'];
        yield 'some day' => [['starts_at' => 'tuesday'], '/starts_at', 'a date and a time'];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('slips')]
    public function testASlipIsNamedAndNothingIsMade(array $with, string $at, string $says): void
    {
        $this->actingAs($this->lead());
        $answer = $this->postJson(
            '/api/first-lesson',
            $with + ['model' => 'drinking-cup', 'starts_at' => '2030-01-05T10:00'] + self::WISH,
        )->assertStatus(422)->assertJsonPath('errors.0.pointer', $at);
        self::assertStringContainsString($says, (string) $answer->json('errors.0.message'));
        self::assertSame([0, 0, 0], [Group::query()->count(), Stock::query()->count(), Lesson::query()->count()]);
    }

    /**
     * @param  array<string, mixed>  $wish
     * @return list<array{slug: string, minutes: int, share: float, everybody: float}>
     */
    private function offers(array $wish): array
    {
        return $this->getJson('/api/first-lesson?'.http_build_query($wish))->assertOk()->json();
    }
}
