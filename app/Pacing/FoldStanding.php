<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\FinishRecord;
use App\Models\Group;
use App\Shelf\FoldCatalogue;
use App\Support\LibraryFiles;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Progress\FoldEvidence;
use Cathedra\Core\Sequence\FoldKind;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;

/**
 * How a group stands with each kind of fold, by what its learners finished. The evidence is kept until a lesson of the
 * group gets a line in its log, is moved, or goes into the bin or comes back; safe to delete at any time.
 */
final readonly class FoldStanding
{
    private const KEPT_DAYS = 30;

    public function __construct(
        private FoldCatalogue $catalogue,
        private LibraryFiles $files,
        private Repository $cache,
    ) {
    }

    /** @return list<FoldStandingData> every kind of fold, as far as learners of today's list have come */
    public function __invoke(Group $group): array
    {
        /** @var list<int> $learners */
        $learners = $group->relationLoaded('learners')
            ? $group->learners->modelKeys()
            : $group->learners()->pluck('id')->all();
        $evidence = $this->evidence($group);

        return array_map(static function (FoldKind $kind) use ($evidence, $learners): FoldStandingData {
            $of = $evidence->standing($kind->value, $learners);

            return new FoldStandingData(
                kind: $kind->value,
                alone: $of['alone'],
                helped: $of['helped'],
                unseen: $of['unseen'],
                of: count($learners),
            );
        }, FoldKind::cases());
    }

    private function evidence(Group $group): FoldEvidence
    {
        $state = GroupState::of($group).':'.$this->files->answersVersion();
        // One entry a group, written over: what was erased does not stay in older ones.
        /** @var array{state: string, evidence: FoldEvidence}|null $kept */
        $kept = $this->cache->get("evidence:{$group->id}");
        if ($kept === null || $kept['state'] !== $state) {
            $kept = ['state' => $state, 'evidence' => FoldEvidence::of($this->records($group))];
            $this->cache->put("evidence:{$group->id}", $kept, 86400 * self::KEPT_DAYS);
        }

        return $kept['evidence'];
    }

    /**
     * The best end of each learner with each model, by the ways each folded; the database picks it out of the years.
     *
     * @return iterable<array{learner: int, finish: Finish, seen: bool, kinds: list<string>}>
     */
    private function records(Group $group): iterable
    {
        $of = array_combine(array_map(static fn (Finish $f): int => $f->rank(), Finish::cases()), Finish::cases());
        $rows = DB::table('finishes as f')
            ->join('lessons as l', 'l.id', '=', 'f.lesson_id')
            ->join('lesson_models as m', static function ($join): void {
                $join->on('m.lesson_id', '=', 'f.lesson_id')->on('m.model', '=', 'f.model');
            })
            ->where('l.group_id', $group->id)->whereNull('l.deleted_at')
            ->whereIn('f.outcome', FinishRecord::finished())
            ->groupBy('f.learner_id', 'f.model', 'm.ways', 'f.ways')
            ->selectRaw('f.learner_id, f.model, m.ways, f.ways AS folded')
            ->selectRaw('MAX('.FinishRecord::rank('f.outcome').') AS best, MAX(f.seen) AS seen')
            ->get();
        foreach ($rows as $row) {
            /** @var array<string, string> $ways */
            $ways = array_merge(...array_map(
                static fn (mixed $ways): array => json_decode((string) $ways, true) ?: [],
                [$row->ways, $row->folded],
            ));
            yield [
                'learner' => (int) $row->learner_id,
                'finish' => $of[(int) $row->best],
                'seen' => (bool) $row->seen,
                'kinds' => $this->catalogue->kinds((string) $row->model, $ways),
            ];
        }
    }
}
