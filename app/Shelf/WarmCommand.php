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
        {--motions : how every step moves, by every way}
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
        $moving = $this->option('motions') === true;
        // every model by its usual way first, since that is what most will look at
        $rounds = match (true) {
            $this->option('usual') === true => ['usual'],
            $moving => ['usual', 'others'],
            default => ['all'],
        };
        $bar = $this->output->createProgressBar(count($rounds) * count($slugs));
        foreach ($rounds as $round) {
            foreach ($slugs as $slug) {
                $ways = $round === 'usual' ? [[]] : $shelf->combinations($slug);
                foreach ($round === 'others' ? array_slice($ways, 1) : $ways as $taken) {
                    $shelf->model($slug, $taken);
                    $moving && $this->motions->all($slug, $taken);
                }
                $bar->advance();
            }
        }
        $bar->finish();
        $this->newLine();
    }
}
