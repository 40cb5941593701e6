<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Groups\GroupSheet;
use App\Models\Lesson;
use App\Models\Stock;
use App\Pacing\LearnedTimes;
use App\Pacing\LessonPlan;
use App\Pacing\PlanData;
use App\Pacing\PoliciesOf;
use App\Paper\Kits;
use App\Paper\PaperBench;
use App\Programme\Loaded;
use App\Programme\Programme;
use App\Programme\ProgrammeItem;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use App\Teaching\LessonLog;
use App\Teaching\Record;
use App\Teaching\RulesData;
use Carbon\CarbonImmutable;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Pacing\StepWhy;
use Cathedra\Core\Rules\Bounds;

/** A lesson with everything the core computes for it: paper, plan, and how far it has come. */
final readonly class LessonSheet
{
    public function __construct(
        private ModelShelf $shelf,
        private PaperBench $bench,
        private Kits $kits,
        private LibraryFiles $files,
        private LessonLog $log,
        private Record $record,
        private GroupSheet $groups,
        private LessonPlan $plan,
        private PoliciesOf $policies,
        private LearnedTimes $learned,
    ) {
    }

    public function full(Lesson $lesson): LessonData
    {
        Loaded::one($lesson);
        $paper = $this->bench->forLesson($lesson);
        $programme = Programme::of($lesson, $this->shelf);
        $plan = $this->plan->of($lesson, $programme);
        [$log, $events] = $this->log->whole($lesson);
        $sheets = $paper === null ? null : [$paper->sheets, $paper->short];

        return new LessonData(
            $this->cardFrom($lesson, $sheets, $plan, $programme, $this->record->finished([$lesson])[$lesson->id] ?? 0),
            $this->groups->of($lesson->group),
            $this->setting($lesson, $programme),
            array_map(self::model(...), $programme->items),
            $paper,
            new PlanData(
                $plan->lines,
                array_map(self::why(...), $plan->whys),
                $this->plan->blocks($lesson, $programme),
                LessonPlan::whole($plan->needed),
                $lesson->minutes,
                intdiv($plan->spare(), 60),
                $plan->spare() >= 0,
                $this->learned->said($lesson),
            ),
            $events,
            $this->record->of($lesson, $log, $programme),
            $this->rules(),
            new LessonClock(
                $lesson->started_at?->getTimestampMs(),
                $lesson->ended_at?->getTimestampMs(),
                $lesson->bell()->getTimestampMs(),
                CarbonImmutable::now()->getTimestampMs(),
            ),
        );
    }

    /**
     * @param  list<Lesson>  $lessons
     * @return list<LessonCard>
     */
    public function cards(array $lessons): array
    {
        Loaded::listed($lessons);
        $there = fn (Lesson $lesson): bool => Programme::isThere($lesson, $this->shelf);
        $lessons = array_values(array_filter($lessons, $there));
        $finished = $this->record->finished($lessons);

        return array_map(function (Lesson $lesson) use ($finished): LessonCard {
            $paper = $lesson->used_paper === null ? $this->bench->reckon($lesson) : null;
            $programme = Programme::of($lesson, $this->shelf);
            $sheets = $paper === null ? null : ($paper->fits() ? [$paper->sheets(), $paper->short()] : [0, 0]);
            $plan = $this->plan->of($lesson, $programme);

            return $this->cardFrom($lesson, $sheets, $plan, $programme, $finished[$lesson->id] ?? 0);
        }, $lessons);
    }

    /** @param  array{int, int}|null  $sheets  to take, and missing; null: no paper is chosen */
    private function cardFrom(
        Lesson $lesson,
        ?array $sheets,
        RunSheet $plan,
        Programme $programme,
        int $finished,
    ): LessonCard {
        return new LessonCard(
            $lesson->id,
            $programme->items[0]->slug,
            $programme->title(),
            $lesson->group_id,
            $lesson->group->name,
            $lesson->group->size(),
            $lesson->starts_at->format('Y-m-d\TH:i'),
            $lesson->minutes,
            LessonPlan::whole($plan->needed),
            $plan->spare() >= 0,
            $lesson->status(),
            $lesson->step,
            $programme->steps(),
            $lesson->paper_ready,
            $lesson->used_paper === null ? $sheets[1] ?? null : 0,
            $lesson->used_paper['sheets'] ?? ($sheets[0] ?? null),
            $finished,
        );
    }

    private static function model(ProgrammeItem $item): LessonModelData
    {
        return new LessonModelData(
            $item->slug,
            $item->facts->title,
            (object) $item->ways,
            $item->side,
            $item->first,
            count($item->loads),
            $item->times,
            (object) $item->own,
            (object) $item->checkpoints,
        );
    }

    private function setting(Lesson $lesson, Programme $programme): LessonSetting
    {
        return new LessonSetting(
            $lesson->helpers,
            array_values($lesson->chosen->map(static fn (Stock $s): int => $s->id)->all()),
            $lesson->method,
            $lesson->square_in_lesson,
            $lesson->prefer,
            $lesson->helpers_cut,
            $lesson->decorate,
            $this->kits->offered($lesson, $programme),
            $this->policies->data($lesson, $programme),
            $lesson->version,
        );
    }

    private function rules(): RulesData
    {
        $rules = $this->files->teachingRules();

        return new RulesData(array_map($rules->enough(...), range(0, Bounds::MAX_LEARNERS)), $rules->longWaitSeconds);
    }

    /**
     * @return array{step: int, show: int, base: int, factors: list<array{name: string, times: float}>, fold: int,
     *     wait: int, own: bool}
     */
    private static function why(StepWhy $why): array
    {
        return [
            'step' => $why->step,
            'show' => (int) round($why->show),
            'base' => (int) round($why->base),
            'factors' => array_map(
                static fn (string $name, float $times): array => ['name' => $name, 'times' => round($times, 2)],
                array_keys($why->factors),
                array_values($why->factors),
            ),
            'fold' => (int) round($why->fold()),
            'wait' => (int) round($why->wait),
            'own' => $why->own,
        ];
    }
}
