<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bin\Bin;
use App\Models\FinishRecord;
use App\Models\Group;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\LessonEvent;
use App\Models\User;
use Carbon\CarbonImmutable;

/**
 * Nothing is erased by the way: named, put into the bin, put back, and erased for good only by an act of its own or by
 * time.
 */
final class BinTest extends TestCase
{
    public function testAMisspeltNameIsCorrectedWithoutLoss(): void
    {
        [, $lesson] = $this->taught();
        $group = $this->getJson('/api/groups')->json('0');
        $learners = array_map(
            static fn (array $l): array => ['id' => $l['id'], 'name' => $l['name']],
            $group['learners'],
        );
        $learners[1] = ['id' => $learners[1]['id'], 'name' => 'Nina'];
        $this->putJson("/api/groups/{$group['id']}", ['learners' => $learners] + $group)
            ->assertOk()
            ->assertJsonPath('learners.1.name', 'Nina')
            ->assertJsonPath('learners.1.id', $learners[1]['id']);
        self::assertSame(
            [3, 3],
            [FinishRecord::query()->count(), LessonEvent::query()->whereNotNull('learner_id')->count()],
        );
        self::assertSame('Bram', $lesson->group->learners[1]->name, 'as it was before');
    }

    public function testAStaleListErasesNobody(): void
    {
        $this->taught();
        $group = $this->getJson('/api/groups')->json('0');
        $list = array_map(static fn (array $l): array => ['id' => $l['id'], 'name' => $l['name']], $group['learners']);
        $this->putJson(
            "/api/groups/{$group['id']}",
            ['learners' => [...$list, ['id' => null, 'name' => 'Newcomer']]] + $group,
        )->assertOk();
        $stale = $this->putJson(
            "/api/groups/{$group['id']}",
            ['learners' => $list, 'helpers' => 4] + $group,
        )->assertConflict();
        self::assertSame('/version', $stale->json('errors.0.pointer'));
        self::assertSame(
            ['field' => 'learners', 'theirs' => 'Ada, Bram, Cleo, Newcomer', 'yours' => 'Ada, Bram, Cleo'],
            $stale->json('differences.1'),
        );
        $gone = $this->putJson(
            "/api/groups/{$group['id']}",
            ['learners' => array_slice($list, 1), 'version' => 2] + $group,
        )->assertConflict();
        self::assertSame('/remove', $gone->json('errors.0.pointer'));
        self::assertSame(['Ada', '1 mark, 1 record'], [$gone->json('missing.0.name'), $gone->json('missing.0.holds')]);
        self::assertSame(4, Learner::query()->count(), 'nothing half saved');
        $this->putJson(
            "/api/groups/{$group['id']}",
            ['learners' => [['id' => 999_999, 'name' => 'X']], 'version' => 2] + $group,
        )
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/learners/0/id');
    }

    public function testALessonIsNamedRemovedPutBackAndErased(): void
    {
        [, $lesson] = $this->taught();
        $path = "/api/lessons/{$lesson->id}";
        $this->deleteJson($path)->assertConflict()->assertJsonPath('holds', '3 marks, 3 records');
        $this->deleteJson("$path?sure=1")
            ->assertOk()
            ->assertJsonPath('kind', 'lesson')
            ->assertJsonPath('holds', '3 marks, 3 records');
        $this->getJson($path)->assertStatus(410)->assertJsonPath('errors.0.pointer', '/lesson');
        $this->send($lesson->id, ['kind' => 'noted', 'text' => 'Late.'])->assertStatus(410);
        self::assertSame(
            0,
            $this->getJson("/api/groups/{$lesson->group_id}/wall")->json('finished'),
            'what lies in the bin is not shown',
        );
        self::assertSame($lesson->id, $this->getJson('/api/bin')->assertJsonCount(1)->json('0.id'));
        $this->postJson("/api/bin/lesson/{$lesson->id}/restore")->assertNoContent();
        self::assertSame(3, $this->getJson("/api/groups/{$lesson->group_id}/wall")->json('finished'));
        $this->deleteJson("$path?sure=1")->assertOk();
        $this->actingAs($this->lead('Elsewhere'))
            ->deleteJson("/api/bin/lesson/{$lesson->id}")
            ->assertNotFound();
        $this->actingAs(User::query()->firstOrFail())
            ->deleteJson("/api/bin/lesson/{$lesson->id}")
            ->assertNoContent();
        self::assertSame(
            [0, 0, 0],
            [Lesson::withTrashed()->count(), LessonEvent::query()->count(), FinishRecord::query()->count()],
        );
    }

    public function testAGroupTakesItsLessonsAlongAndBringsJustTheseBack(): void
    {
        [, $lesson] = $this->taught();
        $other = $this->postJson('/api/lessons', $this->lessonInput($lesson->group))->json('card.id');
        $this->deleteJson("/api/lessons/$other")->assertOk();
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addMinute());
        $group = $lesson->group_id;
        $this->deleteJson("/api/groups/$group")
            ->assertConflict()
            ->assertJsonPath('holds', '3 learners, 2 lessons, 3 records');
        $this->deleteJson("/api/groups/$group?sure=1")->assertOk();
        self::assertSame([], $this->getJson('/api/lessons')->json('lessons'));
        $this->postJson("/api/bin/lesson/$other/restore")
            ->assertConflict()
            ->assertJsonPath('errors.0.pointer', '/group');
        $name = $lesson->group->name;
        $this->postJson('/api/groups', [
            'name' => $name,
            'age_band' => 'adult',
            'helpers' => 0,
            'learners' => [],
        ])->assertCreated();
        $this->postJson("/api/bin/group/$group/restore")
            ->assertConflict()
            ->assertJsonPath('errors.0.pointer', '/name');
        Group::query()
            ->where('name', $name)
            ->update(['name' => 'Another']);
        $this->postJson("/api/bin/group/$group/restore")->assertNoContent();
        self::assertSame([$lesson->id], array_column($this->getJson('/api/lessons')->json('lessons'), 'id'));
        CarbonImmutable::setTestNow();
    }

    public function testALearnerComesBackToAFreeSeat(): void
    {
        [, $lesson] = $this->taught();
        [$ada] = $lesson->learnerIds();
        $this->deleteJson("/api/groups/{$lesson->group_id}/learners/$ada")
            ->assertConflict()
            ->assertJsonPath('holds', '1 mark, 1 record');
        $this->deleteJson("/api/groups/{$lesson->group_id}/learners/$ada?sure=1")->assertOk();
        self::assertSame(2, $this->getJson("/api/groups/{$lesson->group_id}/wall")->json('finished'));
        $this->postJson("/api/bin/learner/$ada/restore")->assertNoContent();
        self::assertSame(
            [1, 'Ada'],
            [Learner::query()->findOrFail($ada)->seat, Learner::query()->findOrFail($ada)->name],
        );
        $this->deleteJson("/api/groups/{$lesson->group_id}/learners/$ada?sure=1")->assertOk();
        $this->deleteJson("/api/bin/learner/$ada")->assertNoContent();
        self::assertSame(2, FinishRecord::query()->count(), 'erased for good with the record');
        self::assertSame(2, LessonEvent::query()->whereNotNull('learner_id')->count());
    }

    public function testAfterThirtyDaysItIsErased(): void
    {
        [, $lesson] = $this->taught();
        $this->deleteJson("/api/lessons/{$lesson->id}?sure=1")->assertOk();
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addDays(29));
        self::assertSame(0, app(Bin::class)->purge());
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addDays(2));
        self::assertSame(1, app(Bin::class)->purge());
        self::assertSame(0, Lesson::withTrashed()->count());
        CarbonImmutable::setTestNow();
    }

    public function testWrongNamesOfThings(): void
    {
        $this->actingAs($this->lead());
        foreach (['castle/1', 'lesson/0', 'lesson/x', 'lesson/99999999999999999'] as $thing) {
            $path = "/api/bin/$thing";
            $this->deleteJson($path)->assertNotFound();
        }
    }

    /** @return array{User, Lesson} a lesson that Ada, Bram and Cleo finished */
    private function taught(): array
    {
        $this->actingAs($lead = $this->lead());
        $group = $this->group($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($group))->assertCreated()->json('card.id');
        $this->send(
            $id,
            ...array_map(
                static fn (int $l): array => ['kind' => 'done', 'learner' => $l, 'step' => 7],
                $group->learners->pluck('id')->all(),
            ),
        )->assertOk();
        $this->endLesson($id);

        return [$lead, Lesson::query()->with('group.learners')->whereKey($id)->sole()];
    }
}
