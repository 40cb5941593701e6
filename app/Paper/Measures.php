<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Lesson;
use App\Models\Reading;
use App\Models\Stock;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Paper\RulerReading as Measured;
use Cathedra\Core\Rules\Unit;
use Cathedra\Core\Sequence\Form\Solid;
use Illuminate\Database\Eloquent\Collection;

/** Predicted sizes of a lesson's boxes and pyramids beside what its learners read off their rulers. */
final readonly class Measures
{
    public function __construct(
        private ModelShelf $shelf,
        private LibraryFiles $files,
        private Measure $measure,
    ) {
    }

    /** @return list<MeasureData> every body of the lesson that is measured; none where all models lie flat */
    public function of(Lesson $lesson): array
    {
        $lesson->loadMissing(['chosen', 'models', 'group.learners']);
        $programme = LoadedProgramme::of($lesson, $this->shelf);
        $bodies = array_values(
            array_filter($programme->items, static fn (ProgrammeItem $i): bool => $i->facts->measures !== []),
        );
        /** @var Collection<int, Reading> $kept */
        $kept = Reading::query()->where('lesson_id', $lesson->id)->get();
        $of = static fn (ProgrammeItem $body): array => array_values($kept->filter(
            static fn (Reading $r): bool => ($r->model === '' ? $bodies[0]->slug : $r->model) === $body->slug,
        )->all());

        return array_map(
            fn (ProgrammeItem $body): MeasureData => $this->body(
                $lesson,
                $body,
                $this->side($lesson, $body, $body === $programme->items[0]),
                $of($body),
            ),
            $bodies,
        );
    }

    /** @return float mm; shorter side of the sheet that a body is folded from: as it was used, else as it is planned */
    private function side(Lesson $lesson, ProgrammeItem $body, bool $isFirst): float
    {
        $stock = $lesson->papers()[0] ?? null;
        $used = $lesson->used_paper['sides'][$body->slug] ?? ($isFirst ? $lesson->used_paper['side_mm'] ?? null : null);

        return (float) ($used ?? $body->side ?? ($stock === null
            ? 150.0
            : min($stock->width_mm, $stock->height_mm) - 2 * ($body->facts->ratio === 1.0 ? $stock->trim_mm : 0.0)));
    }

    /** @param  list<Reading>  $kept */
    private function body(Lesson $lesson, ProgrammeItem $item, float $side, array $kept): MeasureData
    {
        $model = $item->facts;
        $stock = $lesson->papers()[0] ?? null;
        $words = $this->files->words();
        $predicted = [];
        $solid = Solid::tryFrom((string) $model->solid);
        $lengths = $this->lengths($item, $side, $stock);
        foreach ($solid?->lengths() ?? array_keys($lengths) as $name) {
            $predicted[$name] = [
                'name' => $name,
                'title' => $words->say('measures', match ($solid) {
                    null, Solid::Box => $name,
                    default => "$solid->value-$name",
                }),
                'mm' => $mm = round($lengths[$name], 1),
                'text' => $this->measure->say($mm),
            ];
        }
        $stack = (2 * ($stock->grammage ?? 80)) / 800;
        $readings = [];
        foreach ($kept as $reading) {
            if (isset($predicted[$reading->name])) {
                $of = Measured::against($predicted[$reading->name]['mm'], $reading->mm, $stack);
                $readings[] = [
                    'learner' => $reading->learner_id,
                    'name' => $reading->name,
                    'mm' => $reading->mm,
                    'text' => $this->measure->say($reading->mm),
                    'difference_mm' => round($of->difference(), 1),
                    'why' => $words->say('measures', $of->why),
                ];
            }
        }

        return new MeasureData(
            model: $item->slug,
            title: $model->title,
            side_mm: $side,
            side: $this->measure->say($side),
            predicted: array_values($predicted),
            solid: $solid?->value,
            volume: $solid === null ? null : $this->volume($solid, $lengths),
            readings: $readings,
        );
    }

    /** @return array<string, float> mm; of a model from a whole sheet by the proportions of that sheet */
    private function lengths(ProgrammeItem $item, float $side, ?Stock $stock): array
    {
        $model = $item->facts;
        $whole = $model->ratio === 1.0 || $stock === null || $model->measures === [] ? null : $this->shelf->sizesOn(
            $item->slug,
            $item->ways,
            min($stock->width_mm, $stock->height_mm),
            max($stock->width_mm, $stock->height_mm),
        );

        return $whole['form'] ?? array_map(
            static fn (float $per): float => $per * $side,
            array_diff_key($model->measures, ['volume' => 0]),
        );
    }

    /**
     * @param  array<string, float>  $sizes  mm
     * @return array{value: float, unit: string, off: float}
     */
    private function volume(Solid $solid, array $sizes): array
    {
        $unit = Unit::from($this->measure->unit);

        return [
            'value' => round($solid->volume($sizes) / $unit->cubic(), 1),
            'unit' => $unit->cubicName(),
            'off' => round(100 * $solid->error($sizes, $unit->mark()), 1),
        ];
    }
}
