<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Models\Stock;
use App\Paper\Measure;
use App\Paper\PaperAdvice;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Illuminate\Database\Eloquent\Builder;

/** Other paper for the first model of a lesson: larger squares of the same, or another that suits the model better. */
final readonly class PaperLevers
{
    /** So much larger; short creases grow as much. */
    private const LARGER = 1.4;

    /** mm; squares are cut to whole centimetres, and a smaller gain is no other size. */
    private const WHOLE = 10.0;

    /** Other papers that are looked at, at most. */
    private const MOST = 20;

    public function __construct(private PaperAdvice $paper, private Measure $measure)
    {
    }

    /** @return list<PaperLever> each with the lesson as it would be */
    public function of(Lesson $lesson, LoadedProgramme $programme, Plan $plan): array
    {
        $own = $lesson->papers()[0] ?? null;
        if ($own === null) {
            return [];
        }

        return array_values(array_filter([
            $this->larger($lesson, $programme, $plan, $own),
            $this->other($lesson, $programme, $plan, $own),
        ]));
    }

    private function larger(Lesson $lesson, LoadedProgramme $programme, Plan $plan, Stock $own): ?PaperLever
    {
        $item = $programme->items[0];
        $side = $item->side ?? min($own->width_mm, $own->height_mm);
        $most = min($own->width_mm, $own->height_mm) - 2 * $own->trim_mm;
        $larger = min($most, self::WHOLE * ceil(self::LARGER * $side / self::WHOLE));
        $suffices = $own->count === null || $own->count * self::squares($own, $larger) >= $lesson->learners();
        if ($item->facts->ratio !== 1.0 || $larger < $side + self::WHOLE || ! $suffices) {
            return null;
        }

        return new PaperLever('larger', self::with($plan, [
            'side' => $larger,
            'hardPaper' => $this->isHard($lesson, $item, $own, $larger),
        ]), title: $this->measure->say($larger), mm: $larger);
    }

    /** Squares of one sheet, cut in rows. */
    private static function squares(Stock $stock, float $side): int
    {
        $along = static fn (float $mm): int => (int) floor(($mm - 2 * $stock->trim_mm) / $side);

        return $along($stock->width_mm) * $along($stock->height_mm);
    }

    /** The first of the cupboard that folds the model well enough, where the lesson's own folds it hardly. */
    private function other(Lesson $lesson, LoadedProgramme $programme, Plan $plan, Stock $own): ?PaperLever
    {
        $item = $programme->items[0];
        if (! $plan->models[0]->hardPaper) {
            return null;
        }
        $query = Stock::query()
            ->where('organisation_id', $lesson->organisation_id)
            ->where('id', '!=', $own->id)
            ->where(static fn (Builder $of) => $of->whereNull('count')->orWhere('count', '>=', $lesson->learners()));
        $query->orderBy('id')->limit(self::MOST);
        foreach ($query->get() as $stock) {
            $side = min($stock->width_mm, $stock->height_mm) - 2 * $stock->trim_mm;
            if ($side >= ($item->side ?? 0.0) && ! $this->isHard($lesson, $item, $stock, $item->side)) {
                return new PaperLever('paper', self::with($plan, ['hardPaper' => false]), $stock->id, $stock->name);
            }
        }

        return null;
    }

    private function isHard(Lesson $lesson, ProgrammeItem $item, Stock $stock, ?float $side): bool
    {
        return $this->paper->willFold($stock, $item->facts, $lesson->group->age_band, $side)->verdict === 'hard';
    }

    /** @param  array<string, mixed>  $change  of the first model */
    private static function with(Plan $plan, array $change): Plan
    {
        $models = $plan->models;

        return $plan->with(['models' => array_map(
            static fn (ModelLoad $load, int $i): ModelLoad => $i === 0 ? $load->with($change) : $load,
            $models,
            array_keys($models),
        )]);
    }
}
