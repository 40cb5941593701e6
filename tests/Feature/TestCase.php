<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use App\Models\Organisation;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\LazilyRefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as Base;

abstract class TestCase extends Base
{
    use LazilyRefreshDatabase;

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
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
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    protected function lessonInput(Group $group, array $changes = []): array
    {
        return [
            ...[
                'group_id' => $group->id,
                'model' => 'drinking-cup',
                'starts_at' => '2026-11-24T16:00',
                'ends_at' => '2026-11-24T17:00',
                'helpers' => 1,
                'stock_id' => null,
                'side_mm' => null,
                'method' => 'scissors',
                'square_in_lesson' => false,
                'paper_ready' => false,
            ],
            ...$changes,
        ];
    }
}
