<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Groups\GroupSheet;
use App\Models\Lesson;
use App\Models\Stock;
use App\Pacing\GroupState;
use App\Pacing\LearnedTimes;
use App\Pacing\LessonPlan;
use App\Pacing\PlanData;
use App\Pacing\PoliciesOf;
use App\Paper\Kits;
use App\Paper\PaperBench;
use App\Programme\Loaded;
use App\Programme\LoadedProgramme;
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
        $programme = LoadedProgramme::of($lesson, $this->shelf);
        $plan = $this->plan->of($lesson, $programme);
        [$log, $events] = $this->log->whole($lesson);
        $sheets = $paper === null ? null : [$paper->sheets, $paper->short];

        return new LessonData(
            card: $this->cardFrom(
                lesson: $lesson,
                sheets: $sheets,
                plan: $plan,
                programme: $programme,
                tally: $this->record->tallies([$lesson])[$lesson->id] ?? null,
            ),
            group: $this->groups->of($lesson->group),
            setting: $this->setting($lesson, $programme),
            models: array_map(self::model(...), $programme->items),
            paper: $paper,
            plan: new PlanData(
                lines: $plan->lines,
                why: array_map(self::why(...), $plan->whys),
                blocks: $this->plan->blocks($lesson, $programme),
                needed_minutes: LessonPlan::whole($plan->needed),
                slot_minutes: $lesson->minutes,
                spare_minutes: intdiv($plan->spare(), 60),
                fits: $plan->spare() >= 0,
                source: $this->learned->said($lesson),
                paced_by: array_map(
                    static fn (int $of, string $day): array => ['lesson' => $of, 'day' => $day],
                    array_keys($paced = $this->learned->pacedBy($lesson)),
                    $paced,
                ),
            ),
            log: $events,
            record: $this->record->of($lesson, $log, $programme),
            rules: $this->rules(),
            clock: new LessonClock(
                started_ms: $lesson->started_at?->getTimestampMs(),
                ended_ms: $lesson->ended_at?->getTimestampMs(),
                start_ms: $lesson->starts_at->getTimestampMs(),
                bell_ms: $lesson->bell()->getTimestampMs(),
                now_ms: CarbonImmutable::now()->getTimestampMs(),
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
        GroupState::ahead(array_map(static fn (Lesson $lesson): int => $lesson->group_id, $lessons));
        $there = fn (Lesson $lesson): bool => LoadedProgramme::isThere($lesson, $this->shelf);
        $lessons = array_values(array_filter($lessons, $there));
        $tallies = $this->record->tallies($lessons);

        return array_map(function (Lesson $lesson) use ($tallies): LessonCard {
            $paper = $lesson->used_paper === null ? $this->bench->reckon($lesson) : null;
            $programme = LoadedProgramme::of($lesson, $this->shelf);
            $sheets = $paper === null ? null : ($paper->fits() ? [$paper->sheets(), $paper->short()] : [0, 0]);
            $plan = $this->plan->of($lesson, $programme);

            return $this->cardFrom(
                lesson: $lesson,
                sheets: $sheets,
                plan: $plan,
                programme: $programme,
                tally: $tallies[$lesson->id] ?? null,
            );
        }, $lessons);
    }

    /**
     * @param  array{int, int}|null  $sheets  to take, and missing; null: no paper is chosen
     * @param  array{finished: int, away: int}|null  $tally  null: nothing is recorded
     */
    private function cardFrom(
        Lesson $lesson,
        ?array $sheets,
        RunSheet $plan,
        LoadedProgramme $programme,
        ?array $tally,
    ): LessonCard {
        return new LessonCard(
            id: $lesson->id,
            model: $programme->items[0]->slug,
            model_title: $programme->title(),
            group_id: $lesson->group_id,
            group: $lesson->group->name,
            learners: $lesson->group->size(),
            starts_at: $lesson->starts_at->format('Y-m-d\TH:i'),
            minutes: $lesson->minutes,
            needed_minutes: LessonPlan::whole($plan->needed),
            fits: $plan->spare() >= 0,
            status: $lesson->status(),
            step: $lesson->step,
            steps: $programme->steps(),
            paper_ready: $lesson->paper_ready,
            paper_short: $lesson->used_paper === null ? $sheets[1] ?? null : 0,
            sheets: $lesson->used_paper['sheets'] ?? ($sheets[0] ?? null),
            finished: $tally['finished'] ?? 0,
            here: $lesson->group->size() - ($tally['away'] ?? 0),
        );
    }

    private static function model(ProgrammeItem $item): LessonModelData
    {
        return new LessonModelData(
            slug: $item->slug,
            title: $item->facts->title,
            ways: (object) $item->ways,
            side_mm: $item->side,
            first: $item->first,
            steps: count($item->loads),
            times: $item->times,
            own_times: (object) $item->own,
            checkpoints: (object) $item->checkpoints,
        );
    }

    private function setting(Lesson $lesson, LoadedProgramme $programme): LessonSetting
    {
        return new LessonSetting(
            helpers: $lesson->helpers,
            stock_ids: array_values($lesson->chosen->map(static fn (Stock $s): int => $s->id)->all()),
            method: $lesson->method,
            square_in_lesson: $lesson->square_in_lesson,
            prefer: $lesson->prefer,
            helpers_cut: $lesson->helpers_cut,
            decorate: $lesson->decorate,
            materials: $this->kits->offered($lesson, $programme),
            policies: $this->policies->data($lesson, $programme),
            version: $lesson->version,
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
