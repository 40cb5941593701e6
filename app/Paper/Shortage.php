<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Lesson;
use App\Models\Stock as StockRecord;
use App\Support\LibraryFiles;
use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Kit\LessonPaper;
use Cathedra\Core\Paper\ModelPaper;

/** What a lead may do when the cupboard holds less than a lesson takes. */
final readonly class Shortage
{
    public function __construct(private LibraryFiles $files, private Measure $measure, private PaperPlans $plans)
    {
    }

    /**
     * What would close a shortage, each with its number.
     *
     * @param  list<StockRecord>  $records
     * @return list<string>
     */
    public function of(Lesson $lesson, LessonPaper $paper, array $records, float $kerf): array
    {
        if ($paper->short() === 0) {
            return [];
        }
        $words = $this->files->words();
        $choices = [];
        foreach (array_filter($paper->short) as $i => $n) {
            $choices[] =
                $words->say('paper', 'choice-sheets', ['n' => $n, 'name' => $records[$i]->name]).
                ((float) $records[$i]->price <= 0.0
                    ? ''
                    : ' '.
                        $words->say('paper', 'choice-cost', ['cost' => number_format($n * $records[$i]->price, 2)]));
        }
        if ($paper->smaller !== null) {
            $with = [
                'side' => $this->measure->say($this->measure->down($paper->smaller * $paper->sides[0])),
                'now' => $this->measure->say($paper->sides[0]),
            ];
            $choices[] =
                count($paper->pieces) === 1
                    ? $words->say('paper', 'choice-smaller', $with)
                    : $words->say(
                        'paper',
                        'choice-smaller-all',
                        ['percent' => (int) ceil(100 * (1 - $paper->smaller))] + $with,
                    );
        }
        $bare = array_map(
            static fn (ModelPaper $m): ModelPaper => new ModelPaper(
                title: $m->title,
                ratio: $m->ratio,
                parts: $m->parts,
                side: $m->side,
                learners: $m->learners,
                spares: 0,
                practice: 0,
            ),
            $paper->models,
        );
        if ($this->plans->for($paper->pile, $bare, $kerf)->short() === 0) {
            $choices[] = $words->say('paper', 'choice-spares', ['n' => 0,
                'spares' => array_sum(array_map(static fn (ModelPaper $m): int => $m->spares, $paper->models)),
            ]);
        }

        return [...$choices, ...$this->also($lesson, $paper, $kerf)];
    }

    /**
     * Other paper of the cupboard that would do beside what is chosen, the least of it first.
     *
     * @return list<string>
     */
    private function also(Lesson $lesson, LessonPaper $paper, float $kerf): array
    {
        $choices = [];
        /** @var StockRecord $stock */
        foreach (
            StockRecord::query()
                ->where('organisation_id', $lesson->organisation_id)
                ->whereNotIn('id', array_map(static fn (StockRecord $s): int => $s->id, $lesson->papers()))
                ->orderBy('name')
                ->limit(12)
                ->get() as $stock
        ) {
            $with = $this->plans->for(
                pile: [...$paper->pile, PaperBench::pile($stock)],
                models: $paper->models,
                kerf: $kerf,
                prefer: Prefer::Least, work: Work::offer());
            $n = $with->takes[count($paper->pile)] ?? 0;
            if ($with->short() === 0 && $with->fits() && $n > 0) {
                $choices[$this->files->words()->say('paper', 'choice-also', ['n' => $n, 'name' => $stock->name])] = $n;
            }
        }
        asort($choices);

        return array_slice(array_keys($choices), 0, 3);
    }
}
