<?php

declare(strict_types=1);

namespace App\Shelf;

use Illuminate\Console\Command;
use Symfony\Component\Process\Process;

/** Folds the models of the shelf, by every way, where the cache does not hold them yet; two at a time. */
final class WarmCommand extends Command
{
    /** Of the library each process folds every so manieth model. */
    private const PROCESSES = 2;

    protected $signature = 'cathedra:warm {--usual : only the usual ways}
        {--motions : how every step of the usual ways moves}
        {--part= : only every second model, from this one on (0 or 1)}';

    protected $description = 'Fold the library ahead of the first visitor';

    public function __construct(private readonly Motions $motions)
    {
        parent::__construct();
    }

    public function handle(ModelShelf $shelf, FoldCatalogue $folds): int
    {
        $part = $this->option('part');
        if ($part !== null) {
            $this->fold($shelf, (int) $part);

            return self::SUCCESS;
        }
        $others = [];
        for ($other = 1; $other < self::PROCESSES; $other++) {
            $process = new Process([
                PHP_BINARY, 'artisan', 'cathedra:warm', "--part=$other", '--quiet',
                ...$this->option('usual') === true ? ['--usual'] : [],
                ...$this->option('motions') === true ? ['--motions'] : [],
            ], base_path());
            $process->setTimeout(null);
            $process->start();
            $others[] = $process;
        }
        $this->fold($shelf, 0);
        array_map(static fn (Process $process): int => $process->wait(), $others);
        if ($this->option('motions') === true) {
            return self::SUCCESS;
        }
        $this->option('usual') === true || $folds->entries(); // reads every option, and folds what is left
        $shelf->allAsJson();
        $shelf->prime();

        return self::SUCCESS;
    }

    private function fold(ModelShelf $shelf, int $part): void
    {
        $slugs = array_values(array_filter(
            $shelf->slugs(),
            static fn (int $i): bool => $i % self::PROCESSES === $part,
            ARRAY_FILTER_USE_KEY,
        ));
        $bar = $this->output->createProgressBar(count($slugs));
        foreach ($slugs as $slug) {
            $usual = $this->option('usual') === true || $this->option('motions') === true;
            foreach ($usual ? [[]] : $shelf->combinations($slug) as $ways) {
                $steps = $shelf->model($slug, $ways)->steps;
                foreach ($this->option('motions') === true ? $steps : [] as $step) {
                    $this->motions->of($slug, $ways, $step->number);
                }
            }
            $bar->advance();
        }
        $bar->finish();
        $this->newLine();
    }
}
