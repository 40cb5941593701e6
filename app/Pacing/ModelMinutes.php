<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Group;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\RunSheet;

/** What a lesson with one model takes a group, squares cut before. */
final readonly class ModelMinutes
{
    /** Minutes; the time needed does not depend on the slot. */
    private const ANY_SLOT = 60;

    public function __construct(
        private ModelShelf $shelf,
        private LibraryFiles $files,
        private RoomOf $room,
        private LearnedTimes $learned,
        private Rehearsals $rehearsals,
    ) {
    }

    /** @param  array<string, string>  $ways  by route or choice; others take the usual one */
    public function of(Group $group, string $slug, array $ways = []): int
    {
        return $this->fit($group, $slug, self::ANY_SLOT, $ways)->minutes;
    }

    /**
     * How a lesson with each model would go with this group, with its usual helpers and paper that is square already.
     *
     * @param  int  $slot  minutes there are
     * @return list<ModelFit>
     */
    public function all(Group $group, int $slot): array
    {
        $this->shelf->prime();

        return array_map(fn (string $slug): ModelFit => $this->fit($group, $slug, $slot), $this->files->slugs());
    }

    /**
     * @param  int  $slot  minutes there are
     * @param  array<string, string>  $ways
     */
    public function fit(Group $group, string $slug, int $slot, array $ways = []): ModelFit
    {
        return $this->together($group, [$slug => $ways], $slot);
    }

    /**
     * How a lesson with these models, one after the other, would go.
     *
     * @param  non-empty-array<string, array<string, string>>  $models  ways taken by model; others take the usual ones
     * @param  int  $slot  minutes there are
     * @param  int|null  $helpers  null: as many as the group usually has
     */
    public function together(Group $group, array $models, int $slot, ?int $helpers = null): ModelFit
    {
        $group->loadMissing('learners');
        $loads = [];
        foreach ($models as $slug => $ways) {
            $loads[] = new ModelLoad($this->shelf->loads($slug, $ways));
        }
        $plan = Plan::of(
            room: ($this->room)($group, $helpers),
            models: $loads,
            minutes: self::ANY_SLOT,
            squaring: 0,
            decorate: 'none',
            policies: Policies::usual(),
            rules: $this->files->teachingRules(),
        );

        $times = $this->learned->times($group->organisation_id);
        $answer = $this->rehearsals->of($plan, $times);
        $bell = 60 * $slot - $times->blocks['clear'];

        return new ModelFit(
            array_key_first($models),
            LessonPlan::whole(RunSheet::of($plan, $answer, $times)->needed),
            $answer->doneBy($bell),
            round($answer->allDoneBy($bell), 3),
        );
    }
}
