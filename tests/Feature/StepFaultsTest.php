<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;

/** What goes wrong at a step, as a screen asks for it. */
final class StepFaultsTest extends TestCase
{
    public function testTheLikeliestComesFirstInWordsAndWithAPicture(): void
    {
        $this->actingAs($this->lead());
        $faults = $this->getJson('/api/models/helmet/steps/4/faults')->assertOk()->json();
        self::assertSame('layer-more', $faults[0]['kind']);
        self::assertSame('One layer too many was taken.', $faults[0]['title']);
        self::assertSame('Open it, and do the step once more.', $faults[0]['mend']);
        self::assertSame('', $faults[0]['then'], 'only the count of step 5 fails with it: nothing is said');
        $bookmark = $this->getJson('/api/models/bookmark/steps/4/faults')->assertOk()->json();
        $then = array_column($bookmark, 'then', 'kind')['short'];
        self::assertSame('It stops at step 5.', $then, 'there paper lies between the sides of the crease');
        self::assertStringStartsWith('The right one: ', $faults[0]['see']);
        self::assertNotSame([], $faults[0]['drawing']['marks']);
        self::assertLessThanOrEqual(3, count($faults));
    }

    /** A flap folded over and not tucked in: the line that tells it is that it lies between. */
    public function testATuckIsToldByWhatLiesOverAndUnderIt(): void
    {
        $this->actingAs($this->lead());
        $answer = $this->getJson('/api/models/drinking-cup/steps/6/faults')->assertOk()->json();
        $faults = array_column($answer, null, 'kind');
        self::assertSame(
            'The right one: It lies between: paper in front of it, paper behind it.',
            $faults['plainly']['see'],
        );
    }

    /** Ticked twice it counts once, taken back not at all; what is seen often counts for more; each place its own. */
    public function testWhatALeadSeesIsLearned(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $input = $this->lessonInput($this->group($lead), ['model' => 'helmet']);
        $lesson = $this->postJson('/api/lessons', $input)->assertCreated()->json('card.id');
        $faults = fn (): array => $this->getJson('/api/models/helmet/steps/4/faults')->assertOk()->json();
        self::assertSame(['layer-more', 'short', 'near-for-far'], array_slice(array_column($faults(), 'kind'), 0, 3));
        $before = array_column($faults(), 'score', 'kind')['short'];
        $tick = fn (array $with): TestResponse => $this->putJson("/api/lessons/$lesson/faults", [
            'model' => 'helmet', 'step' => 4, 'kind' => 'short', 'seen' => true, ...$with,
        ]);
        $tick([])->assertNoContent();
        $tick([])->assertNoContent();
        $this->getJson("/api/lessons/$lesson/faults")
            ->assertOk()
            ->assertExactJson([['model' => 'helmet', 'step' => 4, 'kind' => 'short']]);
        for ($step = 1; $step <= 60; $step++) {
            $tick(['step' => $step])->assertNoContent();
        }
        $now = array_column($faults(), null, 'kind');
        self::assertSame(60, $now['short']['seen']);
        self::assertEqualsWithDelta(2 * $before, $now['short']['score'], 0.01, 'at most doubled');
        $tick(['step' => 7, 'seen' => false])->assertNoContent();
        self::assertSame(59, array_column($faults(), 'seen', 'kind')['short']);

        $tick(['model' => 'crane'])->assertStatus(422)->assertJsonPath('errors.0.pointer', '/model');
        $tick(['kind' => 'torn'])->assertStatus(422)->assertJsonPath('errors.0.pointer', '/kind');
        $tick(['step' => 0])->assertStatus(422);
        $this->actingAs($this->lead('Another place'));
        $tick([])->assertNotFound();
        self::assertSame(0, array_column($faults(), 'seen', 'kind')['short']);
    }

    public function testWhatIsNotThereIsSaid(): void
    {
        $this->actingAs($this->lead());
        $this->getJson('/api/models/helmet/steps/9/faults')->assertNotFound();
        $this->getJson('/api/models/helmet/steps/0/faults')->assertNotFound();
        $this->getJson('/api/models/crane/steps/1/faults?ways[base]=roll')->assertStatus(422);
    }
}
