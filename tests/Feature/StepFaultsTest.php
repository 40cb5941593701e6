<?php

declare(strict_types=1);

namespace Tests\Feature;

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
        self::assertSame('It stops at step 5.', $faults[0]['then']);
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

    public function testWhatIsNotThereIsSaid(): void
    {
        $this->actingAs($this->lead());
        $this->getJson('/api/models/helmet/steps/9/faults')->assertNotFound();
        $this->getJson('/api/models/helmet/steps/0/faults')->assertNotFound();
        $this->getJson('/api/models/crane/steps/1/faults?ways[base]=roll')->assertStatus(422);
    }
}
