<?php

declare(strict_types=1);

namespace App\Groups;

use App\Models\Group;
use App\Shelf\ModelFacts;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Progress\FoldEvidence;
use Cathedra\Core\Progress\NextModels;
use Illuminate\Support\Facades\DB;

/** What a group could fold next, each with its reason in a sentence. */
final readonly class NextFor
{
    public function __construct(
        private ModelShelf $shelf,
        private FoldStanding $standing,
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
            $this->known($group),
            $this->finished($group),
            $group->age_band,
        );

        return array_map(
            fn (array $one): NextData => new NextData(
                $one['slug'],
                $titles[$one['slug']],
                $this->why($one['fresh'], $one['again']),
            ),
            $found,
        );
    }

    /** @return list<string> */
    private function known(Group $group): array
    {
        $known = array_filter(($this->standing)($group), static fn (FoldStandingData $of): bool => $of->known);

        return array_values(array_map(static fn (FoldStandingData $of): string => $of->kind, $known));
    }

    /** @return list<string> models that at least half of today's list have finished */
    private function finished(Group $group): array
    {
        $learners = $group->learners()->pluck('id')->all();
        $ends = array_values(array_filter(Finish::cases(), static fn (Finish $end): bool => $end->isFinished()));

        $made = DB::table('finishes')
            ->whereIn('learner_id', $learners)
            ->whereIn('outcome', array_column($ends, 'value'))
            ->groupBy('model')
            ->selectRaw('model, COUNT(DISTINCT learner_id) AS made')
            ->pluck('made', 'model')
            ->filter(static fn (mixed $n): bool => FoldEvidence::isKnown((int) $n, count($learners)));

        return array_values(array_map(strval(...), $made->keys()->all()));
    }

    /**
     * @param  list<string>  $fresh
     * @param  list<string>  $again
     */
    private function why(array $fresh, array $again): string
    {
        $words = $this->files->words();
        $names = static fn (array $kinds): string => implode(', ', array_map($words->foldName(...), $kinds));

        return $words->say('next', match (true) {
            $fresh === [] => 'nothing-new',
            $again === [] => 'all-new',
            default => 'new',
        }, ['count' => count($fresh), 'fresh' => $names($fresh), 'again' => $names($again)]);
    }
}
