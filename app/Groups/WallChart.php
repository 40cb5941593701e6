<?php

declare(strict_types=1);

namespace App\Groups;

use App\Models\FinishRecord;
use App\Models\Group;
use App\Pacing\GroupState;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Lesson\Finish;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;

/**
 * Learners x models of a group, with the best end each learner reached in any lesson. The database sums the records up
 * (a group of three years has thousands), and the sum is kept until a lesson of the group gets a line in its log, is
 * moved, or goes into the bin or comes back; safe to delete at any time.
 *
 * @phpstan-type Cell array{learner: int, model: string, outcome: string, step: int|null, seen: bool}
 * @phpstan-type Sum array{models: list<array{slug: string, title: string}>, cells: list<Cell>}
 */
final readonly class WallChart
{
    private const KEPT_DAYS = 30;

    public function __construct(
        private ModelShelf $shelf,
        private GroupSheet $sheet,
        private LibraryFiles $files,
        private Repository $cache,
    ) {
    }

    public function __invoke(Group $group): WallData
    {
        $state = GroupState::of($group).':'.$this->files->answersVersion();
        // One entry a group, written over: what was erased does not stay in older ones.
        /** @var array{state: string, sum: Sum}|null $kept */
        $kept = $this->cache->get("wall:{$group->id}");
        if ($kept === null || $kept['state'] !== $state) {
            $kept = ['state' => $state, 'sum' => $this->sum($group)];
            $this->cache->put("wall:{$group->id}", $kept, 86400 * self::KEPT_DAYS);
        }
        $sum = $kept['sum'];
        $data = $this->sheet->of($group);
        $here = array_fill_keys(array_column($data->learners, 'id'), true);
        $cells = array_values(array_filter($sum['cells'], static fn (array $c): bool => isset($here[$c['learner']])));
        $shown = array_fill_keys(array_column($cells, 'model'), true);
        $models = array_values(array_filter($sum['models'], static fn (array $m): bool => isset($shown[$m['slug']])));
        $finished = array_filter($cells, static fn (array $c): bool => Finish::from($c['outcome'])->isFinished());

        return new WallData($data, $models, $cells, count($finished));
    }

    /**
     * Of everybody who ever was in the group: who lies in the bin is left out when the chart is read.
     *
     * @return Sum
     */
    private function sum(Group $group): array
    {
        $rank = FinishRecord::rank('f.outcome');
        // One whole number a record: rank first, then whether it was seen, then the lesson's time, then the step; its
        // maximum is the best and latest.
        $best = "MAX((($rank * 2 + f.seen) * 10000000000 + UNIX_TIMESTAMP(l.starts_at)) * 1000 + COALESCE(f.step, 0))";
        $rows = DB::table('finishes as f')
            ->join('lessons as l', 'l.id', '=', 'f.lesson_id')
            ->where('l.group_id', $group->id)->whereNull('l.deleted_at')
            ->groupBy('f.learner_id', 'f.model')
            ->selectRaw("f.learner_id, f.model, $best AS best, MIN(l.starts_at) AS first, MIN(f.id) AS made")
            ->get();
        $of = array_combine(array_map(static fn (Finish $f): int => $f->rank(), Finish::cases()), Finish::cases());
        $first = [];
        $cells = [];
        foreach ($rows as $row) {
            $first[$row->model] = min($first[$row->model] ?? [$row->first, $row->made], [$row->first, $row->made]);
            $best = (int) $row->best;
            $rank = intdiv($best, 10_000_000_000_000);
            $finish = $of[intdiv($rank, 2)];
            $cells[] = [
                'learner' => (int) $row->learner_id,
                'model' => (string) $row->model,
                'outcome' => $finish->value,
                'step' => $finish === Finish::Stopped ? $best % 1000 : null,
                'seen' => ! $finish->isFinished() || $rank % 2 === 1,
            ];
        }
        asort($first);

        $models = array_map(
            fn (int|string $slug): array => ['slug' => (string) $slug, 'title' => $this->shelf->title((string) $slug)],
            array_keys($first),
        );

        return ['models' => $models, 'cells' => $cells];
    }
}
