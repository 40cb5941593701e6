<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Lesson;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use App\Support\LibraryFiles;
use Cathedra\Core\Kit\KitList;
use Cathedra\Core\Kit\LessonPaper;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Paper\Material;
use Cathedra\Core\Paper\Preparation;
use Cathedra\Core\Rules\Method;

/**
 * What is done and laid out before a lesson: the list, its time, what goes to each table, and the things beside paper.
 */
final readonly class Kits
{
    public function __construct(private LibraryFiles $files, private Measure $measure)
    {
    }

    /** @return list<array{key: string, text: string, done: bool}> */
    public function toDo(Lesson $lesson, LessonPaper $paper, LoadedProgramme $programme): array
    {
        $words = $this->files->words();
        $list = [];
        foreach ($this->of($lesson, $paper, $programme)->toDo() as ['key' => $key, 'said' => $said, 'with' => $with]) {
            $with = array_map(
                fn (int|float|string $v): int|string => is_float($v) ? $this->measure->say($v) : $v,
                $with,
            );
            $list[] = [
                'key' => $key,
                'text' => $words->say('paper', "kit-$said", $with),
                'done' => in_array($key, $lesson->ticks ?? [], true),
            ];
        }

        return $list;
    }

    /**
     * @param  int|null  $strokes  cuts through stacks; null: one square of each sheet by folding a corner over
     */
    public function prepare(Lesson $lesson, LessonPaper $paper, ?int $strokes, LoadedProgramme $programme): PrepareData
    {
        $rules = $this->files->paperRules();
        $people = $lesson->helpers_cut ? 1 + $lesson->helpers : 1;
        [$cuts, $each] =
            $strokes === null
                ? [$paper->sheets(), $this->squaringSeconds($lesson->method)]
                : [$strokes, $rules->cutSeconds(Method::from($lesson->method))];
        $kits = $paper->models === [] ? 0 : max(array_map(static fn ($m): int => $m->sets(), $paper->models));
        $work = Preparation::of(
            cuts: $lesson->square_in_lesson || $paper->plan === null ? 0 : $cuts,
            secondsPerCut: $each,
            kits: $kits,
            secondsPerKit: $rules->sorting * max(1, count($paper->pieces)),
            people: $people,
            foldsPerKit: RunSheet::foldedBefore($programme->loads()[0], $lesson->prepared, $this->files->times()),
        );
        $open = ! $lesson->paper_ready && $lesson->ended_at === null;

        return new PrepareData(
            (int) ceil($work->seconds() / 60),
            $people,
            $open
                ? $lesson->starts_at
                    ->setTimestamp($work->startBy($lesson->starts_at->getTimestamp()))
                    ->format('Y-m-d\TH:i')
                : null,
        );
    }

    /** @return int seconds for one learner to make a square by this method */
    public function squaringSeconds(string $method): int
    {
        return $this->files->paperRules()->squaringSeconds(Method::from($method));
    }

    /**
     * What goes to each learner and to each table, with a label for every kit.
     *
     * @return array{tables: list<array{table: int, learners: list<array{name: string, seat: int|null}>,
     *     items: list<string>}>, kit: list<string>}
     */
    public function forTables(Lesson $lesson, LessonPaper $paper, LoadedProgramme $programme): array
    {
        $words = $this->files->words();
        $kits = $this->of($lesson, $paper, $programme);
        $each = array_map(
            fn (array $p): string => $words->say('paper', $p['uncut'] ? 'label-sheet' : 'label-square', [
                'n' => $p['times'],
                'title' => $p['title'],
                'side' => $this->measure->say($p['side']),
            ]),
            $kits->forLearner(),
        );
        $names = array_column(
            array_map(static fn (Material $m): array => [$m->key, $m->name], $this->materials($lesson, $programme)),
            1,
            0,
        );
        $learners = array_values(
            $lesson->group->learners->map(static fn ($l): array => ['name' => $l->name, 'seat' => $l->seat])->all(),
        );
        $tables = [];
        foreach ($kits->forTables() as $t => $table) {
            $items = [];
            foreach ($table['materials'] as $key => $n) {
                $items[] = $words->say('paper', 'kit-material', ['n' => $n, 'name' => $names[$key]]);
            }
            if ($table['scissors'] > 0) {
                array_unshift(
                    $items,
                    $words->say('paper', 'kit-scissors', ['n' => $table['scissors'],
                        'share' => (int) ceil($table['learners'] / $table['scissors']),
                    ]),
                );
            }
            $tables[] = [
                'table' => $t + 1,
                'learners' => array_splice($learners, 0, $table['learners']),
                'items' => $items,
            ];
        }

        return ['tables' => $tables, 'kit' => $each];
    }

    /**
     * All there is to choose from, with what is chosen (or suggested, while nobody has chosen).
     *
     * @return list<array{key: string, name: string, chosen: bool, caution: string, unfit: string|null}>
     */
    public function offered(Lesson $lesson, LoadedProgramme $programme): array
    {
        $chosen = array_map(static fn (Material $m): string => $m->key, $this->materials($lesson, $programme));

        return array_map(
            static fn (Material $m): array => [
                'key' => $m->key,
                'name' => $m->name,
                'chosen' => in_array($m->key, $chosen, true),
                'caution' => $m->caution,
                'unfit' => $m->fits($lesson->group->age_band) ? null : $m->instead ?? '',
            ],
            $this->files->materials(),
        );
    }

    /** @return list<Material> */
    public function materials(Lesson $lesson, LoadedProgramme $programme): array
    {
        $glued = in_array(
            'attach',
            array_merge(
                ...array_map(
                    static fn (ProgrammeItem $i): array => array_column($i->loads, 'fold'),
                    $programme->items,
                ),
            ),
            true,
        );
        $keys = $lesson->materials ?? [
            ...$glued ? ['glue-stick'] : [],
            ...$lesson->decorate === 'none' ? [] : ['pencils'],
        ];

        return array_values(
            array_filter($this->files->materials(), static fn (Material $m): bool => in_array($m->key, $keys, true)),
        );
    }

    private function of(Lesson $lesson, LessonPaper $paper, LoadedProgramme $programme): KitList
    {
        $seats = $lesson->group->table_size ?? $this->files->paperRules()->seats;
        $cuts = array_filter($programme->items, static fn (ProgrammeItem $i): bool => $i->facts->scissors) !== [];

        return new KitList(
            paper: $paper,
            learners: $lesson->learners(),
            seats: $seats,
            squareInLesson: $lesson->square_in_lesson,
            modelCuts: $cuts,
            method: $lesson->method,
            materials: $this->materials($lesson, $programme),
            prepared: $lesson->prepared,
            brings: Policies::of($this->files->policies(), $lesson->policies ?? [])->brings($lesson->square_in_lesson),
        );
    }
}
