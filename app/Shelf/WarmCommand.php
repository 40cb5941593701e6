<?php

declare(strict_types=1);

namespace App\Shelf;

use Illuminate\Console\Command;

/** Folds the models of the shelf, by every way, where the cache does not hold them yet. */
final class WarmCommand extends Command
{
    protected $signature = 'cathedra:warm';

    protected $description = 'Fold the library ahead of the first visitor';

    public function handle(ModelShelf $shelf, FoldCatalogue $folds): int
    {
        $slugs = $shelf->slugs();
        $bar = $this->output->createProgressBar(count($slugs));
        foreach ($slugs as $slug) {
            foreach ($shelf->model($slug)->routes as $route) {
                foreach ($route['ways'] as $way) {
                    $way['key'] === $route['chosen'] ?: $shelf->model($slug, [$route['name'] => $way['key']]);
                }
            }
            $bar->advance();
        }
        $folds->entries();
        $bar->finish();
        $this->newLine();

        return self::SUCCESS;
    }
}
