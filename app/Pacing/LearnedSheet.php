<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Accounts\MannerOf;
use App\Models\Lesson;
use App\Models\Organisation;
use App\Models\User;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\Learning\Factor;
use Cathedra\Core\Pacing\Learning\Learned;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\Relation;

/** What was learned of times, as a screen shows it; and leaving a lesson out of it. */
final readonly class LearnedSheet
{
    public function __construct(
        private LearnedTimes $learned,
        private LibraryFiles $files,
        private ModelShelf $shelf,
        private MannerOf $manner,
    ) {
    }

    public function of(Organisation $organisation): LearnedData
    {
        $learned = $this->learned->of($organisation->id);
        $times = $this->files->times();
        $words = $this->files->words(($this->manner)());
        $before = Learned::before($times);
        $folds = [];
        foreach ($learned->folds as $kind => $factor) {
            $estimate = $times->folds[$kind]['fold'];
            $folds[] = [
                'kind' => $kind,
                'name' => $words->foldName($kind),
                'estimate' => round($estimate, 1),
                'seconds' => round($estimate * $factor->middle, 1),
                'low' => round($estimate * $factor->low, 1),
                'high' => round($estimate * $factor->high, 1),
                'marks' => $factor->marks,
            ];
        }
        usort($folds, static fn (array $a, array $b): int => [$b['marks'], $a['kind']] <=> [$a['marks'], $b['kind']]);
        $groups = [];
        foreach ($organisation->groups()->orderBy('name')->get() as $group) {
            $factor = $learned->groups[(string) $group->id] ?? null;
            if ($factor !== null) {
                $groups[] = [
                    'id' => $group->id,
                    'name' => $group->name,
                    'pace' => round($factor->middle, 2),
                    'low' => round($factor->low, 2),
                    'high' => round($factor->high, 2),
                    'marks' => $factor->marks,
                ];
            }
        }

        return new LearnedData(
            marks: $learned->marks,
            before: ['low' => round($before->low, 2), 'high' => round($before->high, 2)],
            folds: $folds,
            groups: $groups,
            leads: $this->leads($organisation),
            lessons: $this->lessons($organisation),
        );
    }

    /** A lesson in which something else happened (a fire drill) teaches nothing of times. */
    public function leaveOut(Lesson $lesson, bool $isOdd): void
    {
        $lesson->update(['odd' => $isOdd]);
    }

    /** @return list<array{name: string, showing: float, low: float, high: float, steps: int}> */
    private function leads(Organisation $organisation): array
    {
        $of = User::query()->where('organisation_id', $organisation->id);
        $names = $of->orderBy('name')->pluck('name', 'id')->all();
        $known = array_intersect_key($this->learned->showing($organisation->id)->leads, $names);

        return array_map(static fn (Factor $of, int|string $lead): array => [
            'name' => $names[$lead],
            'showing' => round($of->middle, 2),
            'low' => round($of->low, 2),
            'high' => round($of->high, 2),
            'steps' => $of->marks,
        ], $known, array_keys($known));
    }

    /** @return list<array{id: int, title: string, group: string, starts_at: string, marks: int, odd: bool}> */
    private function lessons(Organisation $organisation): array
    {
        $marks = $this->learned->marks($organisation->id);
        /** @var Collection<int, Lesson> $lessons */
        $lessons = $organisation->lessons()->whereKey(array_keys($marks))->orderByDesc('starts_at')->get();
        $lessons->load(['models', 'group' => static fn (Relation $group) => $group->withCount('learners')]);

        return array_values($lessons->map(fn (Lesson $lesson): array => [
            'id' => $lesson->id,
            'title' => LoadedProgramme::of($lesson, $this->shelf)->title(),
            'group' => $lesson->group->name,
            'starts_at' => $lesson->starts_at->format('Y-m-d\TH:i'),
            'marks' => $marks[$lesson->id] ?? 0,
            'odd' => $lesson->odd,
        ])->all());
    }
}
