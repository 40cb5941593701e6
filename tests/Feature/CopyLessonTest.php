<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Lesson;

/** The same lesson for another class: its plan, nothing of what happened. */
final class CopyLessonTest extends TestCase
{
    public function testThePlanIsCopiedAndNothingThatHappened(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $stock = $this->postJson('/api/stocks', [
            'name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'kind' => 'office', 'sides' => 'alike',
            'count' => 40,
        ])->assertCreated()->json('id');
        $group = $this->group($lead);
        $other = $this->group($lead, ['Dov', 'Edda']);
        $other->update(['helpers' => 3]);
        $first = $this->postJson('/api/lessons', $this->lessonInput($group, [
            'model' => 'drinking-cup', 'side_mm' => 150, 'further' => [['model' => 'helmet', 'times' => 2]],
            'stock_id' => $stock, 'decorate' => 'after', 'policies' => ['show' => 'twice'], 'paper_ready' => true,
        ]))->assertCreated()->json();
        $id = $first['card']['id'];
        $this->send($id, ['kind' => 'started', 'marks' => 'exception'], ['kind' => 'moved', 'step' => 3])->assertOk();
        $this->endLesson($id);

        $copy = $this->postJson("/api/lessons/$id/copies", [
            'group_id' => $other->id, 'starts_at' => '2026-12-01T09:30',
        ])->assertCreated()->json();
        self::assertNotSame($id, $copy['card']['id']);
        self::assertSame(
            ['2026-12-01T09:30', $first['card']['minutes'], $other->id, 2, 'planned', 0, false],
            [
                $copy['card']['starts_at'], $copy['card']['minutes'], $copy['card']['group_id'],
                $copy['card']['learners'], $copy['card']['status'], $copy['card']['step'],
                $copy['card']['paper_ready'],
            ],
        );
        self::assertSame($first['models'], $copy['models']);
        self::assertSame(3, $copy['setting']['helpers'], 'another group has its own helpers');
        foreach (['method', 'decorate', 'stock_ids', 'policies', 'square_in_lesson', 'materials'] as $of) {
            self::assertSame($first['setting'][$of], $copy['setting'][$of], $of);
        }
        self::assertSame([[], []], [$copy['log']['events'], $copy['record']['finishes']]);
        self::assertSame(2, Lesson::query()->count());

        // the same group a week later keeps the helpers of the lesson
        $again = $this->postJson("/api/lessons/$id/copies", [
            'group_id' => $group->id, 'starts_at' => '2026-12-08T16:00',
        ])->assertCreated()->json();
        self::assertSame($first['setting']['helpers'], $again['setting']['helpers']);
    }

    public function testWhatCannotBeCopied(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($group))->assertCreated()->json('card.id');
        $good = ['group_id' => $group->id, 'starts_at' => '2026-12-01T09:30'];
        $elsewhere = $this->lead('Elsewhere');
        $theirs = $this->group($elsewhere);
        foreach ([['group_id', $theirs->id], ['group_id', 'x'], ['starts_at', 'tomorrow']] as [$field, $bad]) {
            $this->postJson("/api/lessons/$id/copies", [$field => $bad] + $good)
                ->assertStatus(422)
                ->assertJsonPath('errors.0.pointer', "/$field");
        }
        self::assertSame(1, Lesson::query()->count(), 'nothing was saved');
        $this->actingAs($elsewhere)->postJson("/api/lessons/$id/copies", $good)->assertNotFound();
    }
}
