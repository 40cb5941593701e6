<?php

declare(strict_types=1);

namespace App\Bin;

use Illuminate\Console\Command;

/** Erases for good what has lain in the bin too long; bin/start runs it, a crontab may. */
final class PurgeCommand extends Command
{
    protected $signature = 'cathedra:purge';

    protected $description = 'Erase what has lain in the bin for more than 30 days';

    public function handle(Bin $bin): int
    {
        $this->line($bin->purge().' erased');

        return self::SUCCESS;
    }
}
