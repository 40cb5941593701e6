<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\FinishRecord;
use App\Models\Lesson;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use App\Support\Once;
use App\Teaching\LessonLog;
use Cathedra\Core\Pacing\Learning\Learned;
use Cathedra\Core\Pacing\Learning\Showing;
use Cathedra\Core\Pacing\Learning\TaughtLesson;
use Cathedra\Core\Pacing\Learning\TaughtTimes;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Progress\FoldEvidence;
use Cathedra\Core\Rules\BaseTimes;
use Illuminate\Contracts\Auth\Guard;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Support\Facades\DB;

/**
 * What an organisation's taught lessons say of times: of each kind of fold and of each group's pace. Kept until a
 * lesson is taught, left out or corrected; safe to delete at any time.
 *
 * @phpstan-type Kept array{state: string, learned: Learned, showing: Showing, marks: array<int, int>,
 *     days: array<int, array<int, string>>}
 */
final readonly class LearnedTimes
{
    /** Lessons that are looked at, the newest; what was years ago tells little of today's groups. */
    private const LESSONS = 60;

    private const KEPT_DAYS = 30;

    /** Percent of the time; less is not said. */
    private const WORTH_SAYING = 3;

    private const DAYS_NAMED = 3;

    public function __construct(
        private LibraryFiles $files,
        private ModelShelf $shelf,
        private PlanOf $plan,
        private LessonLog $log,
        private Repository $cache,
        private Guard $guard,
    ) {
    }

    /** The library's times with what was learned, shown as who is signed in shows: whoever plans it teaches it. */
    public function times(?int $organisation): BaseTimes
    {
        $times = $this->files->times();

        return $organisation === null ? $times : $times->learned(
            $this->of($organisation)->factors(),
            $this->showing($organisation)->factor($this->lead()),
        );
    }

    public function showing(int $organisation): Showing
    {
        return $this->kept($organisation)['showing'];
    }

    private function lead(): string
    {
        return (string) $this->guard->id();
    }

    public function of(int $organisation): Learned
    {
        return $this->kept($organisation)['learned'];
    }

    /** @return array<int, int> marks that were learned from, by lesson */
    public function marks(int $organisation): array
    {
        return $this->kept($organisation)['marks'];
    }

    /** What the times of a lesson's plan rest on, and what made them longer or shorter, in sentences. */
    public function said(Lesson $lesson): string
    {
        $organisation = $lesson->organisation_id;
        $words = $this->files->words();
        $lessons = count(array_filter($this->marks($organisation)));
        $before = Learned::before($this->files->times());
        $rest = $lessons === 0
            ? $words->say('plan', 'times-estimate', [
                'low' => (string) round($before->low, 1), 'high' => (string) round($before->high, 1),
            ])
            : $words->say('plan', 'times-learned', [
                'marks' => $this->of($organisation)->marks, 'lessons' => $lessons,
            ]);

        return implode(' ', array_filter([$rest, $this->paceSaid($lesson), $this->showingSaid($organisation)]));
    }

    /**
     * The last lessons that changed the pace which a lesson is planned with.
     *
     * @return array<int, string> day by number of the lesson; none where nothing is changed
     */
    public function pacedBy(Lesson $lesson): array
    {
        return abs($this->percent($lesson)) < self::WORTH_SAYING ? [] : array_slice(
            $this->kept($lesson->organisation_id)['days'][$lesson->group_id] ?? [],
            -self::DAYS_NAMED,
            preserve_keys: true,
        );
    }

    /** By how much more of the time the group is taken to need than others of its age. */
    private function percent(Lesson $lesson): int
    {
        $factor = $this->of($lesson->organisation_id)->ofGroup((string) $lesson->group_id);

        return $factor === null ? 0 : (int) round(100 * ($factor->middle - 1));
    }

    /** What was learned of the group's own pace and from which lessons; nothing where it changes next to nothing. */
    private function paceSaid(Lesson $lesson): string
    {
        $factor = $this->of($lesson->organisation_id)->ofGroup((string) $lesson->group_id);
        $percent = $this->percent($lesson);
        if ($factor === null || abs($percent) < self::WORTH_SAYING) {
            return '';
        }
        $days = $this->pacedBy($lesson);

        return $this->files->words()->say('plan', $percent > 0 ? 'pace-slower' : 'pace-quicker', [
            'percent' => abs($percent), 'marks' => $factor->marks, 'days' => implode(', ', $days),
        ]);
    }

    /** What was learned of how long the lead shows; nothing where it changes next to nothing. */
    private function showingSaid(int $organisation): string
    {
        $factor = $this->showing($organisation)->leads[$this->lead()] ?? null;
        $percent = $factor === null ? 0 : (int) round(100 * ($factor->middle - 1));

        return $factor === null || abs($percent) < self::WORTH_SAYING ? '' : $this->files->words()->say(
            'plan',
            $percent > 0 ? 'showing-longer' : 'showing-shorter',
            ['percent' => abs($percent), 'marks' => $factor->marks],
        );
    }

    /** @return Kept */
    private function kept(int $organisation): array
    {
        return Once::aRequest("learned:$organisation", fn (): array => $this->found($organisation));
    }

    /** @return Kept */
    private function found(int $organisation): array
    {
        $state = $this->state($organisation);
        /** @var Kept|null $kept one entry, written over */
        $kept = $this->cache->get("times:$organisation");
        if ($kept === null || $kept['state'] !== $state) {
            $lessons = $this->read($organisation);
            $taught = TaughtTimes::of(array_filter($lessons), $this->files->times());
            $kept = [
                'state' => $state,
                'learned' => $taught->learned,
                'showing' => $taught->showing,
                'marks' => $taught->marks + array_fill_keys(array_keys($lessons), 0),
                'days' => $this->days(array_keys(array_filter($taught->marks))),
            ];
            $this->cache->put("times:$organisation", $kept, 86400 * self::KEPT_DAYS);
        }

        return $kept;
    }

    /**
     * @param  list<int>  $lessons
     * @return array<int, array<int, string>> days of lessons that were learned from, by group and lesson, as they came
     */
    private function days(array $lessons): array
    {
        $days = [];
        $rows = Lesson::query()->whereIn('id', $lessons)->orderBy('starts_at')->get(['id', 'group_id', 'starts_at']);
        foreach ($rows as $one) {
            $days[$one->group_id][$one->id] = $one->starts_at->format('j M');
        }

        return $days;
    }

    private function state(int $organisation): string
    {
        $row = DB::table('lessons')
            ->where('organisation_id', $organisation)
            ->whereNull('deleted_at')
            ->whereNotNull('ended_at')
            ->selectRaw("COUNT(*) AS n, SUM(CRC32(CONCAT_WS('-', id, newest, odd, starts_at, group_id))) AS mix")
            ->first();

        return implode(':', [
            ...array_values((array) $row),
            $this->files->answersVersion(),
            hash('xxh32', serialize($this->files->times())),
        ]);
    }

    /** @return array<int, TaughtLesson|null> by lesson, the oldest first; null: it is left out, or has no plan */
    private function read(int $organisation): array
    {
        /** @var Collection<int, Lesson> $lessons */
        $lessons = Lesson::query()
            ->where('organisation_id', $organisation)
            ->whereNotNull('ended_at')
            ->orderByDesc('starts_at')
            ->limit(self::LESSONS)
            ->get()
            ->reverse();
        $lessons->load(['models', 'chosen', 'group' => static fn (Relation $group) => $group->withCount('learners')]);
        $lessons = $lessons->filter(fn (Lesson $lesson): bool => $lesson->getRelation('group') !== null
            && LoadedProgramme::isThere($lesson, $this->shelf));
        $finished = $this->finished(array_values($lessons->modelKeys()));
        $knows = $taught = [];
        foreach ($lessons as $lesson) {
            $programme = LoadedProgramme::of($lesson, $this->shelf);
            $taught[$lesson->id] = $lesson->odd
                ? null
                : $this->taught($lesson, $programme, array_keys($knows[$lesson->group_id] ?? []));
            foreach ($programme->items as $item) {
                if (FoldEvidence::isKnown($finished["{$lesson->id}/{$item->slug}"] ?? 0, $lesson->group->size())) {
                    $kinds = array_fill_keys(array_column($item->loads, 'fold'), true);
                    $knows[$lesson->group_id] = $kinds + ($knows[$lesson->group_id] ?? []);
                }
            }
        }

        return $taught;
    }

    /**
     * @param  list<int>  $lessons
     * @return array<string, int> learners that finished a model, by lesson and model
     */
    private function finished(array $lessons): array
    {
        $rows = DB::table('finishes')
            ->whereIn('lesson_id', $lessons)
            ->whereIn('outcome', FinishRecord::finished())
            ->groupBy('lesson_id', 'model')
            ->selectRaw("CONCAT(lesson_id, '/', model) AS of, COUNT(*) AS n")
            ->pluck('n', 'of');

        return array_map(intval(...), $rows->all());
    }

    /** @param  list<string>  $knows  kinds of fold that the group could do then */
    private function taught(Lesson $lesson, LoadedProgramme $programme, array $knows): ?TaughtLesson
    {
        $room = new Room(max(1, $lesson->group->size()), $lesson->helpers, $lesson->group->age_band, $knows);
        $plan = ($this->plan)($lesson, $programme, $room);
        // what was expected of a group of their age; what the lead said of a step is not an estimate to be learned from
        $plan = $plan->with(['models' => array_map(
            static fn (ModelLoad $model): ModelLoad => $model->with(['own' => []]),
            $plan->models,
        )]);
        if (! $plan->checks()) {
            return null;
        }
        $steps = [];
        foreach ($plan->blocks($this->files->times()) as $block) {
            if ($block->why !== null && $block->why->fold() > 0.0) {
                $steps[$block->why->step] = [
                    'fold' => $block->key,
                    'show' => $block->why->show,
                    'expected' => $block->why->fold(),
                ];
            }
        }

        return new TaughtLesson(
            lesson: (string) $lesson->id,
            group: (string) $lesson->group_id,
            learners: max(1, $lesson->group->size()),
            programme: $programme->core(),
            log: $this->log->log($lesson),
            steps: $steps,
        );
    }
}
