<?php

declare(strict_types=1);

namespace App\Paper;

use App\Support\BadInput;
use App\Support\JsonInput;
use Cathedra\Core\CathedraException;
use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;
use Illuminate\Console\Command;

/** Reads stock and need as JSON from standard input and prints a cutting plan as JSON. Needs no database. */
final class CutPlanCommand extends Command
{
    protected $signature = 'cathedra:cut-plan';

    protected $description = 'Plan how to cut squares from sheets (JSON in, JSON out)';

    public function handle(): int
    {
        try {
            $plan = CutPlanner::plan(CutRequest::fromArray(JsonInput::read()), Work::command()->budget())->toArray();
        } catch (CathedraException|BadInput $e) {
            fwrite(STDERR, 'cathedra: '.$e->getMessage()."\n");

            return self::FAILURE;
        }
        $this->output->writeln(
            (string) json_encode($plan, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR),
            16,
        );

        return self::SUCCESS;
    }
}
