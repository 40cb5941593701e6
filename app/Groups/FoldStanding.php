<?php

declare(strict_types=1);

namespace App\Groups;

use App\Models\FinishRecord;
use App\Models\Group;
use App\Shelf\FoldCatalogue;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Sequence\FoldKind;
use Illuminate\Support\Facades\DB;

/**
 * How a group stands with each kind of fold. The evidence is what its learners finished: whoever finished a model alone
 * has made every fold of the way that was taught alone.
 */
final readonly class FoldStanding
{
    public function __construct(private FoldCatalogue $catalogue)
    {
    }

    /** @return list<FoldStandingData> every kind of fold, as far as learners of today's list have come */
    public function __invoke(Group $group): array
    {
        $learners = $group->learners()->pluck('id')->all();
        $best = [];
        foreach ($this->records($group) as $row) {
            /** @var array<string, string> $ways */
            $ways = json_decode((string) $row->ways, true) ?: [];
            foreach ($this->catalogue->kinds((string) $row->model, $ways) as $kind) {
                $best[$kind][$row->learner_id] = max($best[$kind][$row->learner_id] ?? 0, (int) $row->best);
            }
        }
        $standing = [];
        foreach (FoldKind::cases() as $kind) {
            $ranks = array_intersect_key($best[$kind->value] ?? [], array_flip($learners));
            $alone = count(array_filter($ranks, static fn (int $rank): bool => $rank === Finish::Alone->rank()));
            $standing[] = new FoldStandingData($kind->value, $alone, count($ranks) - $alone, count($learners));
        }

        return $standing;
    }

    /** @return iterable<\stdClass> the best end of each learner with each model, by the ways taught */
    private function records(Group $group): iterable
    {
        return DB::table('finishes as f')
            ->join('lessons as l', 'l.id', '=', 'f.lesson_id')
            ->join('lesson_models as m', static function ($join): void {
                $join->on('m.lesson_id', '=', 'f.lesson_id')->on('m.model', '=', 'f.model');
            })
            ->where('l.group_id', $group->id)->whereNull('l.deleted_at')
            ->whereIn('f.outcome', FinishRecord::finished())
            ->groupBy('f.learner_id', 'f.model', 'm.ways')
            ->selectRaw('f.learner_id, f.model, m.ways, MAX('.FinishRecord::rank('f.outcome').') AS best')
            ->get();
    }
}
