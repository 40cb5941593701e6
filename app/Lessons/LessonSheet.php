<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Groups\GroupData;
use App\Groups\LearnerData;
use App\Models\FinishRecord;
use App\Models\Group;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Stock;
use App\Paper\Kits;
use App\Paper\PaperBench;
use App\Shelf\ModelShelf;
use App\Shelf\ModelSummary;
use App\Support\LibraryFiles;
use App\Teaching\FinishData;
use App\Teaching\MarkData;
use Carbon\CarbonImmutable;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Progress\Finish;
use Illuminate\Support\Collection;

/** A lesson with everything the core computes for it: paper, plan, and how far it has come. */
final readonly class LessonSheet
{
    /** Relations a lesson must bring along, so that nothing is loaded one by one. */
    public const WITH = ['group.learners', 'stock', 'alsoFrom', 'further', 'finishes'];

    /** Minutes; the time needed does not depend on the slot. */
    private const ANY_SLOT = 60;

    public function __construct(
        private ModelShelf $shelf,
        private PaperBench $bench,
        private Kits $kits,
        private LibraryFiles $files,
    ) {
    }

    public function full(Lesson $lesson): LessonData
    {
        $lesson->loadMissing([...self::WITH, 'marks']);
        $paper = $this->bench->forLesson($lesson);
        $programme = Programme::of($lesson, $this->shelf);
        $plan = $this->plan($lesson, $programme);

        return new LessonData(
            $this->cardFrom($lesson, $paper === null ? null : [$paper->sheets, $paper->short], $plan, $programme),
            $this->group($lesson->group),
            $lesson->helpers,
            $lesson->stock_id,
            $lesson->side_mm,
            $lesson->method,
            $lesson->square_in_lesson,
            array_map(
                static fn (ProgrammeItem $i): LessonModelData => new LessonModelData(
                    $i->slug,
                    $i->summary->title,
                    (object) $i->ways,
                    $i->side,
                    $i->first,
                    count($i->loads),
                ),
                $programme->items,
            ),
            array_values($lesson->alsoFrom->map(static fn (Stock $s): int => $s->id)->all()),
            $lesson->prefer,
            $lesson->helpers_cut,
            $lesson->decorate,
            $this->kits->offered($lesson, $programme),
            $paper,
            new PlanData(
                $plan->lines,
                self::minutes($plan->needed),
                $lesson->minutes,
                intdiv($plan->spare(), 60),
                $plan->spare() >= 0,
                $this->files->times()->source,
            ),
            array_map(
                static fn (Mark $m): MarkData => new MarkData($m->key, $m->learner_id, $m->step, $m->kind),
                array_values($lesson->marks->all()),
            ),
            array_map(
                static fn (FinishRecord $f): FinishData => new FinishData(
                    $f->learner_id,
                    $f->outcome->value,
                    $f->step,
                    $f->model,
                ),
                array_values($lesson->finishes->all()),
            ),
            $lesson->started_at === null ? null : $lesson->started_at->getTimestampMs(),
            $lesson->ended_at === null ? null : $lesson->ended_at->getTimestampMs(),
            $lesson->bell()->getTimestampMs(),
            CarbonImmutable::now()->getTimestampMs(),
        );
    }

    public function card(Lesson $lesson): LessonCard
    {
        $lesson->loadMissing(self::WITH);

        $paper = $this->bench->reckon($lesson);
        $programme = Programme::of($lesson, $this->shelf);
        $sheets = $paper === null ? null : ($paper->fits() ? [$paper->sheets(), $paper->short()] : [0, 0]);

        return $this->cardFrom($lesson, $sheets, $this->plan($lesson, $programme), $programme);
    }

    public function group(Group $group): GroupData
    {
        $group->loadMissing('learners');
        $learners = array_map(
            static fn (Learner $l): LearnerData => new LearnerData($l->id, $l->name, $l->seat),
            array_values($group->learners->all()),
        );

        return new GroupData(
            $group->id,
            $group->name,
            $group->age_band,
            $this->files->times()->ages[$group->age_band]['label'] ?? $group->age_band,
            $group->helpers,
            $group->table_size ?? $this->files->paperRules()['table_seats']['value'],
            $learners,
        );
    }

    /**
     * How long a lesson with each model takes this group, with its usual helpers and paper that is square already.
     *
     * @return list<array{slug: string, minutes: int}>
     */
    public function times(Group $group): array
    {
        $group->loadMissing('learners');
        $room = new Room(max(1, $group->learners->count()), $group->helpers, $group->age_band);
        $times = $this->files->times();

        return array_map(
            fn (string $slug): array => [
                'slug' => $slug,
                'minutes' => self::minutes(
                    RunSheet::plan(
                        $room,
                        [new ModelLoad($this->shelf->loads($slug), $this->shelf->summary($slug)->difficulty)],
                        self::ANY_SLOT,
                        0,
                        $times,
                    )->needed,
                ),
            ],
            $this->files->slugs(),
        );
    }

    /** @param  array{int, int}|null  $sheets  to take, and missing; null: no paper is chosen */
    private function cardFrom(Lesson $lesson, ?array $sheets, RunSheet $plan, Programme $programme): LessonCard
    {
        $ends = $lesson->finishes->groupBy('learner_id');
        $finished = $ends
            ->filter(
                static fn (Collection $own): bool => $own
                    ->filter(
                        static fn (FinishRecord $f): bool => in_array(
                            $f->outcome,
                            [Finish::Alone, Finish::WithHelp],
                            true,
                        ),
                    )
                    ->count() >= count($programme->items),
            )
            ->count();

        return new LessonCard(
            $lesson->id,
            $lesson->model,
            (object) ($lesson->ways ?? []),
            $programme->title(),
            $lesson->group_id,
            $lesson->group->name,
            $lesson->group->learners->count(),
            $lesson->starts_at->format('Y-m-d\TH:i'),
            $lesson->minutes,
            self::minutes($plan->needed),
            $plan->spare() >= 0,
            $lesson->ended_at !== null ? 'taught' : ($lesson->started_at !== null ? 'teaching' : 'planned'),
            $lesson->step,
            $programme->steps(),
            $lesson->paper_ready,
            $lesson->used_paper === null ? $sheets[1] ?? null : 0,
            $lesson->used_paper['sheets'] ?? ($sheets[0] ?? null),
            $finished,
        );
    }

    private function plan(Lesson $lesson, Programme $programme): RunSheet
    {
        $times = $this->files->times();
        $room = new Room($lesson->learners(), $lesson->helpers, $lesson->group->age_band);
        $squares = count(array_filter($programme->models(), static fn (ModelSummary $m): bool => $m->ratio === 1.0));
        $squaring = $lesson->square_in_lesson
            ? $squares *
                (int) round(
                    $this->kits->squaringSeconds($lesson->method) * ($times->ages[$room->ageBand]['factor'] ?? 1),
                )
            : 0;

        return RunSheet::plan($room, $programme->loads(), $lesson->minutes, $squaring, $times, $lesson->decorate);
    }

    private static function minutes(int $seconds): int
    {
        return (int) ceil($seconds / 60);
    }
}
