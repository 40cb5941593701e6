<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Paper\Kits;
use App\Paper\PaperAdvice;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use App\Shelf\ModelFacts;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\Timeline;

/** A lesson as the core plans it. */
final readonly class PlanOf
{
    public function __construct(
        private Kits $kits,
        private LibraryFiles $files,
        private PoliciesOf $policies,
        private PaperAdvice $paper,
    ) {
    }

    public function __invoke(Lesson $lesson, LoadedProgramme $programme, Room $room): Plan
    {
        return Plan::of(
            room: $room,
            models: $this->onPaper($lesson, $programme),
            minutes: $lesson->minutes,
            squaring: $this->squaring($lesson, $programme),
            decorate: $lesson->decorate,
            policies: $this->policies->chosen($lesson),
            rules: $this->files->teachingRules(),
            timeline: self::timeline($lesson),
        );
    }

    /** @return list<ModelLoad> with what the paper makes of them */
    private function onPaper(Lesson $lesson, LoadedProgramme $programme): array
    {
        // a list of taught lessons does not read the papers of each; their plans are not looked at any more
        $isRead = $lesson->relationLoaded('chosen') || isset($lesson->used_paper['stocks']);
        $stock = $isRead ? $lesson->papers()[0] ?? null : null;
        if ($stock === null) {
            return $programme->loads();
        }
        $band = $lesson->group->age_band;

        return array_map(fn (ModelLoad $load, ProgrammeItem $item): ModelLoad => $load->with([
            'hardPaper' => $this->paper->willFold($stock, $item->facts, $band, $item->side)->verdict === 'hard',
        ]), $programme->loads(), $programme->items);
    }

    public static function timeline(Lesson $lesson): Timeline
    {
        return $lesson->blocks === null
            ? Timeline::usual($lesson->decorate)
            : Timeline::of($lesson->blocks['order'], $lesson->blocks['minutes'])->decorating($lesson->decorate);
    }

    /** Seconds of making squares in the lesson; 0 where they are made before. */
    public function squaring(Lesson $lesson, LoadedProgramme $programme): int
    {
        return $lesson->square_in_lesson ? $this->squaringTime($lesson, $programme) : 0;
    }

    /** Seconds that making the squares would take in the lesson. */
    public function squaringTime(Lesson $lesson, LoadedProgramme $programme): int
    {
        $factor = $this->files->times()->ages[$lesson->group->age_band]['factor'] ?? 1;
        $squares = count(array_filter($programme->models(), static fn (ModelFacts $m): bool => $m->ratio === 1.0));

        $seconds = $this->kits->squaringSeconds($lesson->method) * $this->policies->chosen($lesson)->squaring;

        return $squares * (int) round($seconds * $factor);
    }
}
