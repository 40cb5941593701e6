<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\FinishRecord;
use App\Models\Group;
use App\Support\Once;
use Cathedra\Core\Progress\FoldEvidence;
use Illuminate\Support\Facades\DB;

/** What at least half of a group can do. */
final readonly class GroupKnows
{
    public function __construct(private FoldStanding $standing)
    {
    }

    /** @return list<string> kinds of fold */
    public function folds(Group $group): array
    {
        return Once::aRequest("knows:{$group->id}", function () use ($group): array {
            $known = array_filter(($this->standing)($group), static fn (FoldStandingData $of): bool => $of->known);

            return array_values(array_map(static fn (FoldStandingData $of): string => $of->kind, $known));
        });
    }

    /**
     * Kinds of fold that they are taken to know though nobody saw half of those who made them finish.
     *
     * @return list<string>
     */
    public function unseen(Group $group): array
    {
        return Once::aRequest("unseen:{$group->id}", function () use ($group): array {
            $unseen = array_filter(($this->standing)($group), static fn (FoldStandingData $of): bool => $of->known
                && 2 * $of->unseen > $of->alone + $of->helped);

            return array_values(array_map(static fn (FoldStandingData $of): string => $of->kind, $unseen));
        });
    }

    /** @return list<string> models that at least half of today's list have finished */
    public function models(Group $group): array
    {
        $learners = $group->learners()->pluck('id')->all();
        $made = DB::table('finishes')
            ->whereIn('learner_id', $learners)
            ->whereIn('outcome', FinishRecord::finished())
            ->groupBy('model')
            ->selectRaw('model, COUNT(DISTINCT learner_id) AS made')
            ->pluck('made', 'model')
            ->filter(static fn (mixed $n): bool => FoldEvidence::isKnown((int) $n, count($learners)));

        return array_values(array_map(strval(...), $made->keys()->all()));
    }
}
