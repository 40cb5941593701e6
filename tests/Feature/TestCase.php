<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\Organisation;
use App\Models\User;
use App\Pacing\Rehearsals;
use App\Shelf\FoldCatalogue;
use App\Shelf\ModelShelf;
use Illuminate\Cache\FileStore;
use Illuminate\Cache\Repository as CacheRepository;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\LazilyRefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

abstract class TestCase extends Base
{
    use LazilyRefreshDatabase;

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();
        foreach ([ModelShelf::class, FoldCatalogue::class, Rehearsals::class] as $class) {
            $app->when($class)->needs(Repository::class)->give(self::folded(...));
        }

        return $app;
    }

    /**
     * What is folded and rehearsed is kept by all it depends on, so that tests may share it: with one another, and with
     * what `bin/start` and the browser's tests have folded ahead.
     */
    protected static function folded(): CacheRepository
    {
        static $kept = null;

        return $kept ??= new CacheRepository(
            new FileStore(new Filesystem, dirname(__DIR__, 2).'/storage/framework/cache/data'),
        );
    }

    protected function lead(string $organisation = 'Gullwick Harbour Library'): User
    {
        $library = Organisation::query()->create(['name' => $organisation]);

        return User::query()->create([
            'organisation_id' => $library->id,
            'name' => 'Marta',
            'email' => uniqid('lead').'@gullwick.example',
            'password' => 'fold-the-corner',
        ]);
    }

    /** @param  list<string>  $names */
    protected function group(User $lead, array $names = ['Ada', 'Bram', 'Cleo']): Group
    {
        $group = $lead->organisation
            ->groups()
            ->create(['name' => uniqid('Group '), 'age_band' => 'junior', 'helpers' => 1]);
        foreach ($names as $i => $name) {
            $group->learners()->create(['name' => $name, 'seat' => $i + 1]);
        }

        return $group;
    }

    /**
     * A lesson as it is sent. For short, `model`, `ways` and `side_mm` change the first model, `further` are the models
     * after it; `stock_id` is the first paper, `also` those after it.
     *
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    protected function lessonInput(Group $group, array $changes = []): array
    {
        $first = array_intersect_key($changes, ['model' => 0, 'ways' => 0, 'side_mm' => 0]);
        $also = (array) ($changes['also'] ?? []);

        return [
            ...[
                'group_id' => $group->id,
                'models' => [$first + ['model' => 'drinking-cup'], ...(array) ($changes['further'] ?? [])],
                'starts_at' => '2026-11-24T16:00',
                'ends_at' => '2026-11-24T17:00',
                'helpers' => 1,
                'stock_ids' => isset($changes['stock_id']) ? [$changes['stock_id'], ...$also] : $also,
                'method' => 'scissors',
                'square_in_lesson' => false,
                'paper_ready' => false,
            ],
            ...array_diff_key($changes, $first, ['further' => 0, 'stock_id' => 0, 'also' => 0]),
        ];
    }

    /**
     * @param  array<string, mixed>  ...$events
     * @return TestResponse<JsonResponse>
     */
    protected function send(int|string $lesson, array ...$events): TestResponse
    {
        return $this->postJson("/api/lessons/$lesson/events", $this->deeds(array_values($events)));
    }

    /** @return array<string, mixed> the lesson, ended */
    protected function endLesson(int|string $lesson): array
    {
        $this->send($lesson, ['kind' => 'ended'])->assertOk();

        return (array) $this->getJson("/api/lessons/$lesson")->assertOk()->json();
    }

    /**
     * Deeds as a device sends them, each with a key of its own.
     *
     * @param  list<array<string, mixed>>  $events
     * @return array{after: int, events: list<array<string, mixed>>}
     */
    protected function deeds(array $events, int $after = 0): array
    {
        $plain = ['device' => 'tablet', 'device_ms' => now()->getTimestampMs(), 'after' => $after];

        return ['after' => $after, 'events' => array_map(
            static fn (array $e): array => [...$plain, 'key' => (string) Str::uuid(), ...$e],
            $events,
        )];
    }
}
