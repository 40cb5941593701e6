<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\Lesson;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;

/** A row of lessons: dates, models and reasons; all made or none; and lessons in a calendar. */
final class TermTest extends TestCase
{
    private Group $group;

    protected function setUp(): void
    {
        parent::setUp();
        $lead = $this->lead();
        $this->group = $this->group($lead, ['Ada', 'Bram', 'Cleo', 'Dov']);
        $this->actingAs($lead);
    }

    public function testATermWeekByWeekWithDaysOff(): void
    {
        $term = $this->postJson('/api/terms/plan', $this->term())->assertOk()->json('lessons');
        // Tuesdays; the 24th of December is off, and the term is a week longer
        self::assertSame(
            ['2030-12-03', '2030-12-10', '2030-12-17', '2030-12-31'],
            array_map(static fn (array $one): string => substr($one['starts_at'], 0, 10), $term),
        );
        $models = array_column($term, 'model');
        self::assertSame(array_unique($models), $models);
        foreach ($term as $one) {
            self::assertLessThanOrEqual(60, $one['minutes']);
            self::assertNotSame('', $one['why']);
        }
        self::assertSame(0, Lesson::query()->count(), 'nothing is kept');

        // the lead chooses the second; the others follow
        $with = $this->postJson('/api/terms/plan', ['models' => [null, 'crane']] + $this->term())->json('lessons');
        self::assertSame(['crane', true], [$with[1]['model'], $with[1]['chosen']]);
        self::assertFalse($with[0]['chosen']);

        $made = $this->postJson('/api/terms', ['models' => [null, 'crane']] + $this->term())
            ->assertCreated()
            ->json('lessons');
        self::assertCount(4, $made);
        $second = $this->getJson("/api/lessons/{$made[1]}")->assertOk()->json('card');
        self::assertSame(
            ['crane', '2030-12-10T15:30', 60, $this->group->id],
            [$second['model'], $second['starts_at'], $second['minutes'], $second['group_id']],
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function slips(): iterable
    {
        yield 'no group' => [['group_id' => 999999], '/group_id'];
        yield 'a number far off' => [['starts_at' => PHP_INT_MIN], '/starts_at'];
        yield 'some time' => [['starts_at' => 'Tuesday'], '/starts_at'];
        yield 'no lesson' => [['lessons' => 0], '/lessons'];
        yield 'a year of them' => [['lessons' => 50], '/lessons'];
        yield 'no time' => [['minutes' => 0], '/minutes'];
        yield 'a day off in words' => [['days_off' => ['Christmas']], '/days_off/0'];
        yield 'a model there is not' => [['models' => [null, 'unicorn']], '/models/1'];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('slips')]
    public function testASlipIsNamedAndNothingIsMade(array $with, string $at): void
    {
        foreach (['/api/terms/plan', '/api/terms'] as $path) {
            $this->postJson($path, $with + $this->term())->assertStatus(422)->assertJsonPath('errors.0.pointer', $at);
        }
        self::assertSame(0, Lesson::query()->count());
    }

    /** Read back by the library: the slot as the clock on the wall has it, winter and summer, and the preparation. */
    public function testLessonsInACalendar(): void
    {
        $stock = $this->postJson('/api/stocks', [
            'name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'grammage' => 80, 'count' => 50,
        ])->json('id');
        $made = array_map(fn (string $day): int => $this->postJson('/api/lessons', $this->lessonInput($this->group, [
            'model' => 'drinking-cup',
            'starts_at' => "{$day}T15:30",
            'ends_at' => "{$day}T16:30",
            'stock_ids' => [$stock],
        ]))->assertCreated()->json('card.id'), ['2031-03-30', '2031-07-01']);
        $calendar = $this->calendar("/api/groups/{$this->group->id}/calendar.ics");
        $events = [];
        foreach ($calendar->select('VEVENT') as $event) {
            self::assertInstanceOf(VEvent::class, $event);
            $of = static fn (string $name): string => (string) $event->select($name)[0];
            $events[$of('UID')] = [$of('DTSTART'), $of('DTEND'), $of('SUMMARY')];
        }
        self::assertSame(
            ['20310330T153000', '20310330T163000', 'Drinking cup: '.$this->group->name],
            $events["lesson-{$made[0]}@cathedra"],
        );
        self::assertSame('20310701T153000', $events["lesson-{$made[1]}@cathedra"][0]);
        [$from, $to, $what] = $events["prepare-{$made[0]}@cathedra"];
        self::assertStringStartsWith('Prepare paper', $what);
        self::assertTrue($from < $to && $to <= '20310330T153000', 'before the lesson');

        $one = $this->calendar("/api/lessons/{$made[0]}/calendar.ics");
        self::assertCount(2, $one->select('VEVENT'));
        $this->actingAs($this->lead('Elsewhere'));
        $this->get("/api/lessons/{$made[0]}/calendar.ics")->assertNotFound();
        $this->get("/api/groups/{$this->group->id}/calendar.ics")->assertNotFound();
    }

    private function calendar(string $path): VCalendar
    {
        $answer = $this->get($path)->assertOk();
        self::assertStringStartsWith('text/calendar', (string) $answer->headers->get('Content-Type'));
        $calendar = Reader::read((string) $answer->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], array_column($calendar->validate(), 'message'));

        return $calendar;
    }

    /** @return array<string, mixed> */
    private function term(): array
    {
        return [
            'group_id' => $this->group->id,
            'starts_at' => '2030-12-03T15:30',
            'minutes' => 60,
            'lessons' => 4,
            'days_off' => ['2030-12-24'],
        ];
    }
}
