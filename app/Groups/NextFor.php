<?php

declare(strict_types=1);

namespace App\Groups;

use App\Models\Group;
use App\Pacing\GroupKnows;
use App\Pacing\ModelMinutes;
use App\Shelf\ModelFacts;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Progress\NextModels;

/** What a group could fold next, each with its reason in a sentence. */
final readonly class NextFor
{
    /** Minutes of a lesson, where nobody says. */
    private const SLOT = 60;

    public function __construct(
        private ModelShelf $shelf,
        private GroupKnows $knows,
        private ModelMinutes $minutes,
        private LibraryFiles $files,
    ) {
    }

    /** @return list<NextData> */
    public function __invoke(Group $group): array
    {
        $this->shelf->prime();
        $facts = array_map($this->shelf->facts(...), $this->shelf->slugs());
        $titles = array_column(
            array_map(static fn (ModelFacts $m): array => [$m->slug, $m->title], $facts),
            1,
            0,
        );
        $found = NextModels::of(
            array_map(static fn (ModelFacts $m): array => [
                'slug' => $m->slug,
                'kinds' => $m->kinds,
                'difficulty' => $m->difficulty,
                'age_from' => $m->age_from,
            ], $facts),
            $this->knows->folds($group),
            $this->knows->models($group),
            $group->age_band,
        );

        return array_map(
            fn (array $one): NextData => new NextData(
                $one['slug'],
                $titles[$one['slug']],
                $this->why($one['fresh'], $one['again'], $this->knows->unseen($group)),
                $this->minutes->fit($group, $one['slug'], self::SLOT),
            ),
            $found,
        );
    }

    /**
     * @param  list<string>  $fresh
     * @param  list<string>  $again
     * @param  list<string>  $unseen  kinds of fold of which it is presumed that they know them
     */
    public function why(array $fresh, array $again, array $unseen = []): string
    {
        $words = $this->files->words();
        $names = static fn (array $kinds): string => implode(', ', array_map($words->foldName(...), $kinds));

        $presumed = array_values(array_intersect($again, $unseen));
        $why = $words->say('next', match (true) {
            $fresh === [] => 'nothing-new',
            $again === [] => 'all-new',
            default => 'new',
        }, ['count' => count($fresh), 'fresh' => $names($fresh), 'again' => $names($again)]);

        return $presumed === [] ? $why : "$why ".$words->say('next', 'presumed', ['presumed' => $names($presumed)]);
    }
}
