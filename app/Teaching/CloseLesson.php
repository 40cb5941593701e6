<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Lessons\Programme;
use App\Lessons\ProgrammeItem;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Stock;
use App\Paper\CountPaper;
use App\Paper\PaperBench;
use App\Shelf\ModelShelf;
use Carbon\CarbonImmutable;
use Cathedra\Core\Progress\Outcome;
use Illuminate\Support\Facades\DB;

/** Ends a lesson: the taps become finish records that the lead can correct, unless there are some already. */
final readonly class CloseLesson
{
    /** What is kept of each paper. */
    private const KEPT = [
        'id',
        'organisation_id',
        'name',
        'width_mm',
        'height_mm',
        'grammage',
        'count',
        'kind',
        'sides',
        'trim_mm',
        'price',
        'tags',
        'scrap',
        'version',
    ];

    public function __construct(private ModelShelf $shelf, private PaperBench $bench, private CountPaper $count)
    {
    }

    public function __invoke(Lesson $lesson): void
    {
        $lesson->loadMissing(['group.learners', 'marks', 'finishes', 'stock', 'alsoFrom', 'further']);
        $programme = Programme::of($lesson, $this->shelf);
        DB::transaction(function () use ($lesson, $programme): void {
            foreach ($lesson->group->learners as $learner) {
                $marks = array_values(
                    $lesson->marks
                        ->where('learner_id', $learner->id)
                        ->map(fn (Mark $m): array => ['step' => $m->step, 'kind' => $m->kind])
                        ->all(),
                );
                foreach ($programme->items as $item) {
                    if ($lesson->finishes->where('learner_id', $learner->id)->where('model', $item->slug)->isEmpty()) {
                        $outcome = self::outcome($marks, $item);
                        $lesson
                            ->finishes()
                            ->create([
                                'learner_id' => $learner->id,
                                'model' => $item->slug,
                                'outcome' => $outcome->finish,
                                'step' => $outcome->step,
                            ]);
                    }
                }
            }
            $this->usePaper($lesson, $programme);
            $lesson->update(['ended_at' => $lesson->ended_at ?? CarbonImmutable::now()]);
        });
        $lesson->unsetRelation('finishes');
    }

    /** @param  list<array{step: int, kind: string}>  $marks */
    private static function outcome(array $marks, ProgrammeItem $item): Outcome
    {
        $own = [];
        foreach ($marks as ['step' => $step, 'kind' => $kind]) {
            if ($step >= $item->first && $step < $item->first + count($item->loads)) {
                $own[] = ['step' => $step - $item->first + 1, 'kind' => $kind];
            }
        }

        return Outcome::fromMarks($own, count($item->loads), $marks !== []);
    }

    /** Keeps what was used, once, and takes it from the cupboard. */
    private function usePaper(Lesson $lesson, Programme $programme): void
    {
        $paper = $lesson->ended_at !== null || $lesson->used_paper !== null ? null : $this->bench->reckon($lesson);
        if ($paper === null || ! $paper->fits()) {
            return;
        }
        $papers = $lesson->papers();
        $kept = array_map(static fn (Stock $s): array => $s->only(self::KEPT), $papers);
        $sides = array_combine(
            array_map(static fn (ProgrammeItem $i): string => $i->slug, $programme->items),
            $paper->sides,
        );
        $takes = [];
        foreach (array_filter($paper->takes) as $i => $sheets) {
            $takes[] = ['stock' => $papers[$i]->id, 'name' => $papers[$i]->name, 'sheets' => $sheets];
            ($this->count)(
                $papers[$i],
                -$sheets,
                "{$programme->title()} with {$lesson->group->name}, {$lesson->starts_at->format('j M Y')}",
                $lesson,
            );
        }
        $lesson->update([
            'used_paper' => [
                'name' => $papers[0]->name,
                'width_mm' => $papers[0]->width_mm,
                'height_mm' => $papers[0]->height_mm,
                'side_mm' => $paper->sides[0],
                'sheets' => $paper->sheets(),
                'takes' => $takes,
                'sides' => $sides,
                'stocks' => $kept,
            ],
        ]);
    }
}
