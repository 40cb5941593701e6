<?php

declare(strict_types=1);

namespace App\Paper;

use Cathedra\Core\CathedraException;
use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;
use Cathedra\Core\Paper\BadPaper;
use Illuminate\Console\Command;

/** Reads stock and need as JSON from standard input and prints a cutting plan as JSON. Needs no database. */
final class CutPlanCommand extends Command
{
    /** Bytes of input; a hundred kinds of paper have 10 kB. */
    private const MAX_BYTES = 1_000_000;

    protected $signature = 'cathedra:cut-plan';

    protected $description = 'Plan how to cut squares from sheets (JSON in, JSON out)';

    public function handle(): int
    {
        try {
            $text = (string) stream_get_contents(STDIN, self::MAX_BYTES + 1);
            if (strlen($text) > self::MAX_BYTES) {
                throw new BadPaper('', 'The input is too long; at most 1 MB is read.');
            }
            $data = json_decode($text, true);
            if ($data === null && json_last_error() !== JSON_ERROR_NONE) {
                throw new BadPaper('', 'The input is not JSON: '.json_last_error_msg().'.');
            }
            $plan = CutPlanner::plan(CutRequest::fromArray($data), Work::command()->budget())->toArray();
        } catch (CathedraException $e) {
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
