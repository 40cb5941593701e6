<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Shelf\ModelShelf;
use Illuminate\Cache\Events\KeyWritten;
use Illuminate\Support\Facades\Event;

/** What another way of teaching changes, before anything is planned. */
final class WaysTest extends TestCase
{
    /** The question that is shown first comes alone; while teaching, the first that is still open. */
    public function testTheFirstQuestionCanBeAskedAlone(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead);
        $all = $this->getJson("/api/models/crane/ways?group={$group->id}")->assertOk()->json();
        $first = $this->getJson("/api/models/crane/ways?group={$group->id}&only=first")->assertOk()->json();
        self::assertSame([$all['minutes'], [$all['passages'][0]]], [$first['minutes'], $first['passages']]);
        $this->getJson('/api/models/crane/ways?only=last')->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/only');

        $lesson = $this->postJson('/api/lessons', $this->lessonInput($group, ['model' => 'crane']))->json('card.id');
        $this->send($lesson, ['kind' => 'moved', 'step' => 16])->assertOk();
        $open = $this->getJson("/api/lessons/$lesson/ways/crane?only=first")->assertOk()->json('passages');
        self::assertCount(1, $open);
        self::assertGreaterThanOrEqual(16, $open[0]['last']);
        self::assertContains($open[0], $this->getJson("/api/lessons/$lesson/ways/crane")->json('passages'));
    }

    /** What was asked once is not worked out again: neither partings, nor pictures, nor files, nor forecasts. */
    public function testWhatIsKeptIsAnsweredAtOnce(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $lesson = $this->postJson(
            '/api/lessons',
            $this->lessonInput($this->group($lead), ['model' => 'drinking-cup']),
        )->json('card.id');
        $paths = [
            "/api/lessons/$lesson/forecast",
            "/api/lessons/$lesson/ways/drinking-cup",
            '/api/models/drinking-cup/steps/3.svg?show=after',
            '/api/models/drinking-cup/creases.svg',
            '/api/models/drinking-cup/fold',
            '/api/models/drinking-cup/fold?step=2',
        ];
        $answers = array_map(fn (string $path): string => (string) $this->get($path)->assertOk()->getContent(), $paths);
        $this->app?->forgetInstance(ModelShelf::class);
        $written = [];
        self::folded()->setEventDispatcher(app('events'));
        Event::listen(KeyWritten::class, static function (KeyWritten $event) use (&$written): void {
            $written[] = $event->key;
        });
        foreach ($paths as $i => $path) {
            self::assertSame($answers[$i], $this->get($path)->assertOk()->getContent(), $path);
        }
        self::assertSame([], $written, 'nothing was made anew');
    }

    /** As a lead has them who has gone through all questions of both birds once. */
    public function testALessonIsPlannedWithEveryWayOfBothBirdsKept(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $models = [];
        foreach (['crane', 'flapping-bird'] as $bird) {
            $passages = $this->getJson("/api/models/$bird/ways")->assertOk()->json('passages');
            $ways = [];
            foreach ($passages as $passage) {
                $ways[$passage['name']] = array_column($passage['options'], 'key', 'chosen')[true];
            }
            self::assertGreaterThanOrEqual(10, count($ways), $bird);
            $this->putJson("/api/models/$bird/ways", ['ways' => $ways])->assertOk();
            $models[] = ['model' => $bird, 'ways' => $ways];
        }
        self::assertGreaterThan(10, max(array_map(static fn (array $m): int => count($m['ways']), $models)));
        $this->postJson('/api/lessons', ['models' => $models] + $this->lessonInput($this->group($lead)))
            ->assertCreated();
    }

    public function testEachOptionSaysWhatItChanges(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        $this->actingAs($lead);
        $ways = $this->getJson("/api/models/crane/ways?group={$group->id}")->assertOk()->json();
        self::assertSame(
            ['open', 'base', 'petal', 'slim', 'angle', 'legs', 'end', 'head', 'first', 'wings', 'body'],
            array_column($ways['passages'], 'name'),
        );
        [$open, $base, $petal, $slim, $angle, $legs, $end, $head, $first, $wings] = $ways['passages'];
        self::assertSame(
            ['base', 'How do they reach the square base?', 6, 7],
            [$base['name'], $base['question'], $base['first'], $base['last']],
        );
        self::assertSame([true, false, false], [$base['alike'], $legs['alike'], $wings['alike']]);
        self::assertSame('How deep do the wings fold?', $wings['question']);
        [$collapse, $squash] = $base['options'];
        self::assertSame([true, true, 2], [$collapse['chosen'], $collapse['usual'], $collapse['steps']]);
        self::assertSame([false, false, 6], [$squash['chosen'], $squash['usual'], $squash['steps']]);
        self::assertSame($ways['minutes'], $collapse['minutes']);
        self::assertGreaterThan($ways['minutes'], $squash['minutes'], 'four steps more take longer');
        self::assertSame([], $squash['hard'], 'nothing of it is out of sight');
        self::assertContains('Inside reverse fold', $legs['options'][0]['hard']);
        self::assertNotSame($wings['options'][0]['picture'], $wings['options'][1]['picture'], 'the ends differ');
        // Head or wings first: the head is a step of its own that stands elsewhere, and the cranes look the same.
        self::assertSame([true, [1, 1]], [$first['alike'], array_column($first['options'], 'steps')]);
        self::assertNotSame($first['options'][0]['picture'], $first['options'][1]['picture']);
        self::assertSame([true, [0, 1]], [$end['alike'], array_column($end['options'], 'steps')]);
        self::assertNotSame($end['options'][0]['picture'], $end['options'][1]['picture'], 'one is turned over');
        // Narrowed or not: two steps of its own, and neck and tail by other lines.
        self::assertSame([false, [4, 2, 4]], [$slim['alike'], array_column($slim['options'], 'steps')]);
        self::assertSame([true, [4, 5, 4, 5, 3]], [$petal['alike'], array_column($petal['options'], 'steps')]);
        self::assertSame([false, [1, 1]], [$head['alike'], array_column($head['options'], 'steps')]);
        // The open end away: the base lies the other way up meanwhile. By eye: the same steps.
        self::assertSame([true, [1, 2]], [$open['alike'], array_column($open['options'], 'steps')]);
        self::assertNotSame($open['options'][0]['picture'], $open['options'][1]['picture']);
        self::assertSame([true, [2, 2]], [$angle['alike'], array_column($angle['options'], 'steps')]);
        [$mark, $eye] = array_column($angle['options'], 'picture');
        $dotted = static fn (array $p): bool => in_array('range', array_column($p['marks'], 'style'), true);
        self::assertSame([false, true], [$dotted($mark), $dotted($eye)], 'how far it may go is drawn');
        self::assertStringStartsWith('For steady hands', $wings['options'][1]['when']);

        // The minutes are those that a lesson planned so needs.
        $lesson = $this->postJson(
            '/api/lessons',
            $this->lessonInput($group, ['model' => 'crane', 'ways' => ['base' => 'squash', 'wings' => 'low']]),
        )->assertCreated()->json();
        $chosen = $this->getJson("/api/models/crane/ways?group={$group->id}&ways[base]=squash&ways[wings]=low")
            ->assertOk()
            ->json();
        self::assertSame($lesson['plan']['needed_minutes'], $chosen['minutes']);
        self::assertSame([false, true, false], array_column($chosen['passages'][1]['options'], 'chosen'));
        self::assertSame(20, $chosen['passages'][9]['first'] - 1, 'numbered by the way chosen');
    }

    public function testWithoutAGroupNoMinutesAndWithoutWaysNoPassages(): void
    {
        $this->actingAs($this->lead());
        $this->getJson('/api/models/crane/ways')->assertOk()->assertJsonPath('minutes', null)
            ->assertJsonPath('passages.0.options.0.minutes', null);
        $this->getJson('/api/models/cat/ways')->assertOk()->assertJsonPath('passages', []);
    }

    public function testWhatCannotBeAsked(): void
    {
        $group = $this->group($this->lead('Elsewhere'));
        $this->actingAs($this->lead());
        $this->getJson('/api/models/origami/ways')->assertNotFound();
        $this->getJson("/api/models/crane/ways?group={$group->id}")->assertNotFound();
        $bad = ['group=one' => '/group', 'group[]=1' => '/group', 'ways[wings]=up' => '/ways', 'ways=low' => '/ways'];
        foreach ($bad as $query => $at) {
            $this->getJson("/api/models/crane/ways?$query")->assertStatus(422)->assertJsonPath('errors.0.pointer', $at);
        }
    }
}
