<?php

// php bin/lib/history.php write LESSONS LEARNERS | erase GROUP: a group with years behind it in the database of
// bin/start, for bin/bench. Prints the number of the group.

declare(strict_types=1);

use App\Models\Group;
use App\Models\User;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Contracts\Console\Kernel;
use Tests\Support\History;

require dirname(__DIR__, 2).'/vendor/autoload.php';
(require dirname(__DIR__, 2).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

[, $what, $one, $two] = [...$argv, '', '0', '0'];
if ($what === 'write') {
    $lead = User::query()->where('email', DatabaseSeeder::EMAIL)->firstOrFail();
    echo History::write($lead->organisation, $lead, (int) $one, (int) $two)->id;
} else {
    History::erase(Group::query()->findOrFail((int) $one));
}
