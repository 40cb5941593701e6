<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Group;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use App\Shelf\ModelFacts;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Progress\NextModels;

/** A model that is easier than the one of a lesson, and teaches its folds all the same. */
final readonly class EasierModel
{
    public function __construct(
        private ModelShelf $shelf,
        private LibraryFiles $files,
        private ModelMinutes $minutes,
    ) {
    }

    /**
     * Of those for their age that they finish in the slot, the one that shares most of the folds; then the one with the
     * fewest steps.
     */
    public function than(LoadedProgramme $programme, Group $group, int $slot): ?EasierChoice
    {
        $this->shelf->prime();
        $own = $programme->items[0]->facts;
        $oldest = NextModels::OLDEST[$group->age_band] ?? 99;
        $taken = array_map(static fn (ProgrammeItem $item): string => $item->slug, $programme->items);
        $found = array_values(array_filter(
            array_map($this->shelf->facts(...), $this->shelf->slugs()),
            fn (ModelFacts $m): bool => ! in_array($m->slug, $taken, true)
                && $m->difficulty < $own->difficulty
                && $m->steps < $own->steps
                && $m->age_from <= $oldest
                && $m->ratio === $own->ratio
                && array_intersect($m->kinds, $own->kinds) !== []
                && $this->minutes->of($group, $m->slug) <= $slot,
        ));
        $shared = static fn (ModelFacts $m): int => count(array_intersect($m->kinds, $own->kinds));
        usort($found, static fn (ModelFacts $a, ModelFacts $b): int => [$shared($b), $a->steps, $a->slug]
            <=> [$shared($a), $b->steps, $b->slug]);
        $best = $found[0] ?? null;
        if ($best === null) {
            return null;
        }
        $words = $this->files->words();

        return new EasierChoice($best->slug, $best->title, implode(', ', array_map(
            $words->foldName(...),
            array_values(array_intersect($best->kinds, $own->kinds)),
        )));
    }
}
