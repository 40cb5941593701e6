<?php

declare(strict_types=1);

namespace App\Terms;

use App\Groups\NextFor;
use App\Lessons\SaveLesson;
use App\Models\Group;
use App\Models\Lesson;
use App\Pacing\GroupKnows;
use App\Pacing\ModelMinutes;
use App\Pacing\UsualPolicies;
use App\Shelf\ModelFacts;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use App\Support\Transaction;
use Carbon\CarbonImmutable;
use Cathedra\Core\Progress\Term;

/** A row of lessons: which models, in which order, and why; and all of them made, or none. */
final readonly class PlanTerm
{
    public function __construct(
        private ModelShelf $shelf,
        private ModelMinutes $minutes,
        private GroupKnows $knows,
        private NextFor $next,
        private LibraryFiles $files,
        private SaveLesson $save,
        private UsualPolicies $usual,
    ) {
    }

    /**
     * @param  list<CarbonImmutable>  $dates
     * @param  array<int, string>  $fixed  model by place of the lesson, where the lead has chosen
     */
    public function of(Group $group, array $dates, int $slot, array $fixed): TermData
    {
        $this->shelf->prime();
        $facts = [];
        $minutes = [];
        foreach ($this->shelf->slugs() as $slug) {
            $facts[$slug] = $this->shelf->facts($slug);
            $minutes[$slug] = $this->minutes->of($group, $slug);
        }
        $chosen = Term::of(
            shelf: array_values(array_map(static fn (ModelFacts $m): array => [
                'slug' => $m->slug,
                'kinds' => $m->kinds,
                'difficulty' => $m->difficulty,
                'age_from' => $m->age_from,
                'minutes' => $minutes[$m->slug],
            ], $facts)),
            known: $this->knows->folds($group),
            finished: $this->knows->models($group),
            band: $group->age_band,
            slot: $slot,
            lessons: count($dates),
            fixed: $fixed,
        );
        $lessons = [];
        foreach ($dates as $n => $date) {
            $one = $chosen[$n] ?? null;
            $lessons[] = [
                'starts_at' => $date->format('Y-m-d\TH:i'),
                'model' => $one['slug'] ?? null,
                'title' => $one === null ? '' : $facts[$one['slug']]->title,
                'why' => $one === null ? $this->files->words()->say('next', 'none') : $this->why($one),
                'minutes' => $one === null ? null : $minutes[$one['slug']],
                'chosen' => isset($fixed[$n]),
            ];
        }

        return new TermData($lessons);
    }

    /** @return list<int> the lessons that were made */
    public function make(Group $group, TermData $term, int $minutes): array
    {
        return Transaction::run(function () use ($group, $term, $minutes): array {
            $made = [];
            foreach ($term->lessons as $one) {
                if ($one['model'] === null) {
                    continue;
                }
                $made[] = ($this->save)(
                    $this->usual->lesson($group->organisation_id),
                    [
                        'group_id' => $group->id,
                        'starts_at' => CarbonImmutable::parse($one['starts_at']),
                        'minutes' => $minutes,
                        'helpers' => $group->helpers,
                    ],
                    [SaveLesson::asUsual($one['model'])],
                    [],
                )->id;
            }

            return $made;
        });
    }

    /** @param  array{slug: string, fresh: list<string>, again: list<string>, faded: list<string>}  $one */
    private function why(array $one): string
    {
        $words = $this->files->words();
        $said = $this->next->why($one['fresh'], $one['again']);

        return $one['faded'] === [] ? $said : $said.' '.$words->say('next', 'faded', [
            'faded' => implode(', ', array_map($words->foldName(...), $one['faded'])),
        ]);
    }
}
