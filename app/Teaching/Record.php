<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\FinishRecord;
use App\Models\Lesson;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Outcome;
use Cathedra\Core\Lesson\Outcomes;
use Cathedra\Core\Lesson\WaysFolded;
use Illuminate\Support\Facades\DB;

/** What logs say of learners: of one lesson from its log, of many from the rows kept for lists. */
final class Record
{
    public function of(Lesson $lesson, Log $log, LoadedProgramme $programme): RecordData
    {
        $learners = $lesson->learnerIds();
        $core = $programme->core();
        $outcomes = Outcomes::of($log, $core, $learners);
        $folded = WaysFolded::of($log, $core);
        $finishes = [];
        foreach ($outcomes->records as $learner => $own) {
            foreach ($own as $model => $outcome) {
                $ways = self::ways($programme->find($model), $folded->find($learner, $model));
                $finishes[] = self::finish($learner, $model, $outcome, $ways);
            }
        }
        $offers = array_map(
            static fn (array $o): FinishData => self::finish($o['learner'], $o['model'], $o['to']),
            $outcomes->offers,
        );

        return new RecordData($finishes, $offers, count($log->late()));
    }

    /**
     * How lessons ended, counted over learners of today's list: who finished every model, and who was there for none.
     *
     * @param  list<Lesson>  $lessons
     * @return array<int, array{finished: int, away: int}> by lesson; none where nothing is recorded
     */
    public function tallies(array $lessons): array
    {
        $ids = array_map(static fn (Lesson $l): int => $l->id, $lessons);
        $models = DB::table('lesson_models')->whereIn('lesson_id', $ids)->groupBy('lesson_id')
            ->selectRaw('lesson_id, COUNT(*) AS models');
        $finished = FinishRecord::finished();
        $marks = implode(', ', array_fill(0, count($finished), '?'));
        $each = DB::table('finishes')->join('learners', 'learners.id', '=', 'finishes.learner_id')
            ->joinSub($models, 'm', 'm.lesson_id', '=', 'finishes.lesson_id')
            ->whereIn('finishes.lesson_id', $ids)->whereNull('learners.deleted_at')
            ->groupBy('finishes.lesson_id', 'learner_id', 'm.models')
            ->select('finishes.lesson_id')
            ->selectRaw("SUM(outcome IN ($marks)) >= m.models AS whole", $finished)
            ->selectRaw('SUM(outcome <> ?) = 0 AS never', [Finish::Away->value]);
        $tallies = [];
        $rows = DB::query()->fromSub($each, 'w')->groupBy('lesson_id')
            ->selectRaw('lesson_id, SUM(whole) AS finished, SUM(never) AS away')->get();
        foreach ($rows as $row) {
            $tallies[(int) $row->lesson_id] = ['finished' => (int) $row->finished, 'away' => (int) $row->away];
        }

        return $tallies;
    }

    /** @param  list<array{title: string, way: string}>  $ways */
    private static function finish(int $learner, string $model, Outcome $outcome, array $ways = []): FinishData
    {
        return new FinishData(
            learner: $learner,
            model: $model,
            outcome: $outcome->finish->value,
            step: $outcome->step,
            seen: $outcome->seen,
            ways: $ways,
        );
    }

    /**
     * @param  array<string, string>  $folded  option by passage
     * @return list<array{title: string, way: string}> in words
     */
    private static function ways(?ProgrammeItem $item, array $folded): array
    {
        $said = [];
        foreach ($item->passages ?? [] as $passage) {
            $option = $folded[$passage['name']] ?? null;
            if ($option !== null) {
                $said[] = ['title' => $passage['title'], 'way' => $passage['options'][$option] ?? $option];
            }
        }

        return $said;
    }
}
