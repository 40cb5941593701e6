<?php

declare(strict_types=1);

namespace App\Shelf\Console;

use App\Shelf\FoldCatalogue;
use App\Shelf\ModelShelf;
use App\Shelf\Motions;
use Illuminate\Console\Command;
use Symfony\Component\Process\Process;

/** Folds the models of the shelf, by every way, where the cache does not hold them yet; two at a time. */
final class WarmCommand extends Command
{
    /** Of the library each process folds every so manieth model. */
    private const PROCESSES = 2;

    protected $signature = 'cathedra:warm {--usual : only the usual ways}
        {--pairs : every two ways changed, which are looked at when one is}
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
                ...$this->option('pairs') === true ? ['--pairs'] : [],
            ], base_path());
            $process->setTimeout(null);
            $process->start();
            $others[] = $process;
        }
        $this->fold($shelf, 0);
        array_map(static fn (Process $process): int => $process->wait(), $others);
        if ($this->option('motions') === true || $this->option('pairs') === true) {
            return self::SUCCESS;
        }
        $this->option('usual') === true || $folds->entries(); // reads every option, and folds what is left
        $shelf->allAsJson();
        $shelf->prime();

        return self::SUCCESS;
    }

    private function fold(ModelShelf $shelf, int $part): void
    {
        $jobs = match (true) {
            $this->option('motions') === true => self::bySlug($shelf, $part),
            $this->option('pairs') === true => self::byWay($shelf, $part, $shelf->looked(...)),
            $this->option('usual') === true => self::byWay($shelf, $part, static fn (string $slug): array => [[]]),
            default => self::byWay($shelf, $part, $shelf->combinations(...)),
        };
        $bar = $this->output->createProgressBar(count($jobs));
        foreach ($jobs as [$slug, $ways]) {
            $shelf->model($slug, $ways);
            $this->option('motions') === true && $this->motions->all($slug, $ways);
            $bar->advance();
        }
        $bar->finish();
        $this->newLine();
    }

    /**
     * Every way of every model, dealt out one by one: some models have as much to fold as all the others together.
     *
     * @param  callable(string): list<array<string, string>>  $ways  of a model
     * @return list<array{string, array<string, string>}>
     */
    private static function byWay(ModelShelf $shelf, int $part, callable $ways): array
    {
        $jobs = [];
        $next = 0;
        foreach ($shelf->slugs() as $slug) {
            foreach ($ways($slug) as $one) {
                if ($next++ % self::PROCESSES === $part) {
                    $jobs[] = [$slug, $one];
                }
            }
        }

        return $jobs;
    }

    /**
     * Model by model, since what several ways share is set in motion once; every model by its usual way first, for that
     * is what most will look at.
     *
     * @return list<array{string, array<string, string>}>
     */
    private static function bySlug(ModelShelf $shelf, int $part): array
    {
        $slugs = array_values(array_filter(
            $shelf->slugs(),
            static fn (int $i): bool => $i % self::PROCESSES === $part,
            ARRAY_FILTER_USE_KEY,
        ));
        $jobs = array_map(static fn (string $slug): array => [$slug, []], $slugs);
        foreach ($slugs as $slug) {
            foreach (array_slice($shelf->combinations($slug), 1) as $ways) {
                $jobs[] = [$slug, $ways];
            }
        }

        return $jobs;
    }
}
