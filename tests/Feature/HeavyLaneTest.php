<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Route;

/** Marks of a running lesson do not wait behind what takes long to work out. */
final class HeavyLaneTest extends TestCase
{
    /** What the stage, its wall and its seats ask for while a lesson is taught. */
    private const FREE = [
        'GET api/lessons/{log}/events', 'POST api/lessons/{lesson}/events', 'GET api/lessons/{lesson}',
        'GET api/lessons/{lesson}/rest', 'GET api/lessons/{lesson}/faults', 'PUT api/lessons/{lesson}/faults',
        'GET api/models/{model}', 'GET api/models/{model}/steps/{step}/motion', 'GET api/me', 'POST api/sign-in',
    ];

    public function testWithoutAFreeLaneItIsSaidAtOnceAndMarksGoOn(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $id = $this->postJson('/api/lessons', $this->lessonInput($this->group($lead)))->json('card.id');
        config(['cathedra.lanes' => 1]);
        $this->getJson('/api/learned')->assertOk();
        $lane = fopen(storage_path('framework/lanes/0'), 'c');
        self::assertNotFalse($lane);
        self::assertTrue(flock($lane, LOCK_EX | LOCK_NB), 'given back after the answer');

        $this->getJson('/api/learned')
            ->assertStatus(503)
            ->assertHeader('Retry-After', '1')
            ->assertHeader('Cathedra-Busy', '1')
            ->assertJsonPath('message', 'Much is being worked out just now. Ask again in a moment.');
        $this->getJson("/api/lessons/$id/forecast")->assertStatus(503);
        $this->send($id, ['kind' => 'started', 'marks' => 'exception'], ['kind' => 'moved', 'step' => 1])->assertOk();
        $this->getJson("/api/lessons/$id/events")->assertOk();
        $this->getJson("/api/lessons/$id/rest")->assertOk();

        fclose($lane);
        $this->getJson('/api/learned')->assertOk();
        // a refusal gives it back too
        $this->getJson('/api/first-lesson?learners=x')->assertStatus(422);
        $this->getJson('/api/learned')->assertOk();
    }

    public function testNothingThatIsAskedInALessonGoesInALane(): void
    {
        $heavy = $all = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $name = $route->methods()[0].' '.$route->uri();
            $all[] = $name;
            if (in_array('heavy', $route->gatherMiddleware(), true)) {
                $heavy[] = $name;
            }
        }
        self::assertSame([], array_values(array_diff(self::FREE, $all)), 'these are there');
        self::assertSame([], array_values(array_intersect(self::FREE, $heavy)));
        self::assertContains('GET api/lessons/{lesson}/ways/{model}', $heavy);
    }
}
