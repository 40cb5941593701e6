<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Home is kept between requests, and still follows every change at once. */
final class HomeTest extends TestCase
{
    private User $lead;

    private Group $group;

    /** Hours from the start of a day far enough ahead, so that lessons are still to come. */
    private string $day;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->lead();
        $this->group = $this->group($this->lead);
        $this->day = now()->addDays(3)->format('Y-m-d');
        $this->actingAs($this->lead);
    }

    public function testWhatHasNotChangedIsNotReckonedAgain(): void
    {
        $this->lesson();
        $first = $this->home();
        DB::enableQueryLog();
        self::assertSame($first, $this->home());
        self::assertLessThanOrEqual(2, count(DB::getQueryLog()), 'one look at the rows, and the organisation');
    }

    public function testItFollowsEveryChangeWithinTheSameSecond(): void
    {
        $lead = $this->lead;
        self::assertNull($this->home()['next']);
        $stock = $lead->organisation->stocks()->create(
            ['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 1],
        );
        $lesson = $this->lesson(['stock_id' => $stock->id]);
        self::assertSame('Drinking cup', $this->home()['next']['model_title']);
        // 5 sheets: three learners, a spare and one to practise.
        self::assertSame(4, $this->home()['next']['paper_short']);

        $stock->update(['count' => 9]);
        self::assertSame(0, $this->home()['next']['paper_short']);
        $this->putJson("/api/lessons/$lesson", $this->input(['model' => 'dog-face', 'version' => 1]))->assertOk();
        self::assertSame('Dog face', $this->home()['next']['model_title']);
        $this->group->update(['name' => 'Mornings']);
        self::assertSame('Mornings', $this->home()['next']['group']);
        $this->group->learners()->create(['name' => 'Dov', 'seat' => 4]);
        self::assertSame(4, $this->home()['next']['learners']);

        $this->send($lesson, ['kind' => 'moved', 'step' => 3])->assertOk();
        self::assertSame(['teaching', 3], [$this->home()['next']['status'], $this->home()['next']['step']]);
        $ada = $this->group->learners()->orderBy('seat')->value('id');
        $this->send($lesson, ['kind' => 'done', 'learner' => $ada, 'step' => 6])->assertOk();
        $this->endLesson($lesson);
        self::assertSame([null, 1], [$this->home()['next'], $this->home()['taught'][0]['finished']]);

        $other = $this->lesson();
        self::assertSame($other, $this->home()['next']['id']);
        $this->deleteJson("/api/lessons/$other?sure=1")->assertOk();
        self::assertNull($this->home()['next']);
        $this->postJson("/api/bin/lesson/$other/restore")->assertSuccessful();
        self::assertSame($other, $this->home()['next']['id']);
        $this->travel(4)->days();
        $this->flushSession();
        $this->actingAs($lead);
        self::assertNull($this->home()['next'], 'yesterday is past');
    }

    public function testAnotherPlaceHasItsOwn(): void
    {
        $this->lesson();
        $this->home();
        $this->actingAs($this->lead('Elsewhere'));
        self::assertNull($this->home()['next']);
    }

    /** @param  array<string, mixed>  $changes */
    private function lesson(array $changes = []): int
    {
        return $this->postJson('/api/lessons', $this->input($changes))->assertCreated()->json('card.id');
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    private function input(array $changes): array
    {
        return $this->lessonInput($this->group, [
            'starts_at' => "{$this->day}T16:00",
            'ends_at' => "{$this->day}T17:00",
        ] + $changes);
    }

    /**
     * @return array<string, mixed>
     *
     * @phpstan-impure
     */
    private function home(): array
    {
        return (array) $this->getJson('/api/home')->assertOk()->json();
    }
}
