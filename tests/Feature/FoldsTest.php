<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Named folds: their pages, and how a group stands with them. */
final class FoldsTest extends TestCase
{
    public function testEveryKindHasAPageWithPicturesAndWhereItIsTaught(): void
    {
        $this->actingAs($this->lead());
        $folds = array_column($this->getJson('/api/folds')->assertOk()->json(), null, 'kind');
        self::assertSame('Petal fold', $folds['petal']['name']);
        self::assertSame([['kind' => 'squash', 'name' => 'Squash']], $folds['petal']['before']);
        self::assertSame([5, true], [$folds['petal']['models'], $folds['petal']['is_fold']]);
        self::assertFalse($folds['turn-over']['is_fold']);
        $signs = array_column($this->getJson('/api/fold-pictures')->assertOk()->json(), 'kind');
        foreach ($folds as $kind => $fold) {
            self::assertSame($fold['models'] > 0, in_array($kind, $signs, true), "$kind has a picture if it is taught");
        }

        $petal = $this->getJson('/api/folds/petal')->assertOk()->json();
        self::assertSame(
            ['before', 'halfway', 'after', 'elsewhere'],
            array_column($petal['pictures'], 'show'),
        );
        self::assertNotSame($petal['pictures'][0]['model'], $petal['pictures'][3]['model']);
        self::assertSame(
            ['flapping-bird', 'crane', 'dragonfly', 'dragonfly-rolled', 'lily'],
            array_column($petal['taught_in'], 'slug'),
            'easiest first',
        );
        self::assertSame([10], $petal['taught_in'][1]['steps']);
        self::assertSame([], $petal['two_sides']);
        self::assertCount(2, $this->getJson('/api/folds/valley')->assertOk()->json('two_sides'));
        $this->getJson('/api/folds/origami')->assertNotFound();
    }

    public function testAFoldThatOnlyAnotherWayHasNamesTheWay(): void
    {
        $this->actingAs($this->lead());
        // The crane's usual way collapses its base; squashes come with the other way alone.
        $squash = array_column($this->getJson('/api/folds/squash')->assertOk()->json('taught_in'), null, 'slug');
        self::assertSame(
            ['base' => 'squash', 'way' => 'Fold in half twice, then squash twice'],
            ['base' => $squash['crane']['ways']['base'], 'way' => $squash['crane']['way']],
        );
    }

    public function testAGroupStandsWhereItsRecordsSay(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        [$ada, $bram, $cleo] = $group->learners()->orderBy('seat')->pluck('id')->all();
        $this->actingAs($lead);
        $of = fn (): array => array_column(
            $this->getJson("/api/groups/{$group->id}/folds")->assertOk()->json(),
            null,
            'kind',
        );
        self::assertEquals(
            ['kind' => 'squash', 'alone' => 0, 'helped' => 0, 'unseen' => 0, 'of' => 3, 'known' => false],
            $of()['squash'],
        );

        $this->taught($group->id, ['model' => 'crane', 'ways' => ['base' => 'squash']], [$ada => 'done']);
        self::assertSame([1, 0], self::pair($of()['squash']));
        self::assertSame([0, 0], self::pair($of()['collapse']), 'nobody was taught the usual way');
        $this->taught($group->id, ['model' => 'crane'], [$ada => 'done', $bram => 'help']);
        self::assertSame([1, 1], self::pair($of()['collapse']), 'Ada alone, Bram with help');
        self::assertSame([1, 1], self::pair($of()['petal']), 'a learner counts once, by the best end');
        self::assertSame([1, 0], self::pair($of()['squash']));

        $this->deleteJson("/api/groups/{$group->id}/learners/$ada?sure=1")->assertOk();
        self::assertEquals(
            ['kind' => 'petal', 'alone' => 0, 'helped' => 1, 'unseen' => 0, 'of' => 2, 'known' => true],
            $of()['petal'],
            "$cleo is left",
        );
        $this->actingAs($this->lead('Elsewhere'))->getJson("/api/groups/{$group->id}/folds")->assertNotFound();
    }

    public function testWhatComesNextFollowsTheRecords(): void
    {
        $lead = $this->lead();
        $group = $this->group($lead);
        [$ada, $bram] = $group->learners()->orderBy('seat')->pluck('id')->all();
        $this->actingAs($lead);
        $next = fn (): array => array_column(
            $this->getJson("/api/groups/{$group->id}/next")->assertOk()->json(),
            'why',
            'slug',
        );
        $before = $next();
        self::assertCount(3, $before);
        $first = (string) array_key_first($before);
        self::assertStringContainsString('new', $before[$first], 'they have made nothing yet');
        $this->taught($group->id, ['model' => $first], [$ada => 'done', $bram => 'help']);
        self::assertArrayNotHasKey($first, $next(), 'two of three have finished it');
        self::assertMatchesRegularExpression('/They know the rest|again/', implode(' ', $next()));
        $this->actingAs($this->lead('Elsewhere'))->getJson("/api/groups/{$group->id}/next")->assertNotFound();
    }

    /**
     * A lesson with a model, taught to the end.
     *
     * @param  array<string, mixed>  $model
     * @param  array<int, string>  $marks  at the last step, by learner: done, or help and then done
     */
    private function taught(int $group, array $model, array $marks): void
    {
        $lesson = $this->postJson(
            '/api/lessons',
            $this->lessonInput(\App\Models\Group::query()->findOrFail($group), $model),
        )->assertCreated()->json('card');
        $last = $lesson['steps'];
        $this->send($lesson['id'], ['kind' => 'moved', 'step' => $last])->assertOk();
        foreach ($marks as $learner => $mark) {
            $mark === 'help' && $this->send($lesson['id'], ['kind' => 'help', 'learner' => $learner, 'step' => $last]);
            $this->send($lesson['id'], ['kind' => 'done', 'learner' => $learner, 'step' => $last])->assertOk();
        }
        $this->endLesson($lesson['id']);
    }

    /**
     * @param  array{alone: int, helped: int}  $standing
     * @return array{int, int}
     */
    private static function pair(array $standing): array
    {
        return [$standing['alone'], $standing['helped']];
    }
}
