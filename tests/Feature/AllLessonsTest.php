<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\User;
use PHPUnit\Framework\Attributes\DataProvider;

/** Lessons to come, past ones, and those in which words are found; and how a lesson would go before it is made. */
final class AllLessonsTest extends TestCase
{
    private User $lead;

    private Group $harbour;

    private Group $pier;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-12-02 12:00');
        $this->lead = $this->lead();
        $this->actingAs($this->lead);
        $this->harbour = $this->group($this->lead);
        $this->harbour->update(['name' => 'Harbour Juniors']);
        $this->pier = $this->group($this->lead, ['Ola', 'Per']);
        $this->pier->update(['name' => 'Pier 100%']);
    }

    /** @param  list<string>  $models */
    private function planned(Group $group, string $at, array $models = ['drinking-cup']): int
    {
        return (int) $this->postJson('/api/lessons', $this->lessonInput($group, [
            'models' => array_map(static fn (string $model): array => ['model' => $model], $models),
            'starts_at' => "{$at}T16:00", 'ends_at' => "{$at}T17:00",
        ]))->assertCreated()->json('card.id');
    }

    /** @return list<int> */
    private function found(string $query): array
    {
        $answer = $this->getJson("/api/lessons?$query")->assertOk()->json();
        self::assertSame(count($answer['lessons']), $answer['count']);

        return array_column($answer['lessons'], 'id');
    }

    public function testLessonsToComePastAndFound(): void
    {
        $today = $this->planned($this->harbour, '2026-12-02');
        $later = $this->planned($this->pier, '2026-12-20', ['helmet', 'dog-face']);
        $missed = $this->planned($this->harbour, '2026-11-03'); // its day went by, and nobody taught it
        $taught = $this->planned($this->pier, '2026-11-24', ['helmet']);
        $this->send($taught, ['kind' => 'started', 'marks' => 'exception'])->assertOk();
        $this->endLesson($taught);
        $ended = $this->planned($this->harbour, '2026-12-09'); // taught before its day
        $this->send($ended, ['kind' => 'started', 'marks' => 'exception'])->assertOk();
        $this->endLesson($ended);

        self::assertSame([$today, $later], $this->found('when=coming'), 'the next one first');
        self::assertSame([$ended, $taught, $missed], $this->found('when=past'), 'the last one first');
        self::assertSame([$later, $ended, $today, $taught, $missed], $this->found(''));
        self::assertSame([$later], $this->found("when=coming&group={$this->pier->id}"));
        self::assertSame([$later, $taught], $this->found('words=HELM'), 'by a model, wherever it is in the lesson');
        self::assertSame([$later], $this->found('words=dog'), 'also by its second model');
        self::assertSame([$ended, $today, $missed], $this->found('words=harbour'));
        self::assertSame([$taught], $this->found('words=pier+2026-11'), 'all words, each where it is found');
        self::assertSame([$later, $taught], $this->found('words=100%25'), 'a per cent sign is a sign');
        self::assertSame([], $this->found('words=_____'));
        self::assertSame([], $this->found('words=whale'));

        $this->actingAs($this->lead('Another place'));
        self::assertSame([], $this->found('words=harbour'), 'nothing of another place');
        $this->getJson("/api/lessons?group={$this->pier->id}")->assertStatus(422);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function slips(): iterable
    {
        yield 'another list' => ['lessons?when=soon', '/when', '"coming" or "past"'];
        yield 'a long search' => ['lessons?words='.str_repeat('x', 81), '/words', 'at most 80 letters'];
        yield 'a list of words' => ['lessons?words[]=x', '/words', 'at most 80 letters'];
        yield 'no page' => ['lessons?page=0', '/page', 'no such page'];
        yield 'no model' => ['groups/GROUP/fit', '/models', 'one to 5 models'];
        yield 'no such model' => ['groups/GROUP/fit?models=crane,unicorn', '/models', 'one to 5 models'];
        yield 'six' => ['groups/GROUP/fit?models=cup,crane,helmet,cat,heart,fan', '/models', 'one to 5 models'];
        yield 'models as a list' => ['groups/GROUP/fit?models[]=crane', '/models', 'one to 5 models'];
        yield 'many helpers' => ['groups/GROUP/fit?models=crane&helpers=21', '/helpers', 'between 0 and 20'];
        yield 'no time' => ['groups/GROUP/fit?models=crane&minutes=4', '/minutes', 'between 5 and 480'];
    }

    #[DataProvider('slips')]
    public function testWhatCannotBeAsked(string $address, string $pointer, string $says): void
    {
        $answer = $this->getJson('/api/'.str_replace('GROUP', (string) $this->harbour->id, $address))
            ->assertStatus(422)->assertJsonPath('errors.0.pointer', $pointer);
        self::assertStringContainsString($says, (string) $answer->json('errors.0.message'));
    }

    /** What the foot of a new lesson says is what its plan says. */
    public function testALessonIsWeighedBeforeItIsMade(): void
    {
        $ask = fn (string $query): array => (array) $this->getJson("/api/groups/{$this->harbour->id}/fit?$query")
            ->assertOk()->json();
        $both = $ask('models=dog-face,helmet&minutes=60&helpers=1');
        self::assertGreaterThan($ask('models=helmet&minutes=60&helpers=1')['minutes'], $both['minutes']);
        $plan = $this->postJson('/api/lessons', $this->lessonInput($this->harbour, [
            'models' => [['model' => 'dog-face'], ['model' => 'helmet']], 'helpers' => 1,
        ]))->assertCreated()->json('plan');
        self::assertSame($plan['needed_minutes'], $both['minutes']);
        self::assertLessThan($both['share'], $ask('models=dog-face,helmet&minutes=10&helpers=1')['share'] - 1e-9);

        $this->putJson('/api/models/crane/ways', ['ways' => ['base' => 'squash']])->assertOk();
        $own = $ask('models=crane');
        $lesson = $this->lessonInput($this->harbour, [
            'models' => [['model' => 'crane', 'ways' => ['base' => 'squash']]], 'helpers' => 1,
        ]);
        self::assertSame(
            $this->postJson('/api/lessons', $lesson)->assertCreated()->json('plan.needed_minutes'),
            $own['minutes'],
            'by the ways in which this lead teaches it usually',
        );
    }
}
