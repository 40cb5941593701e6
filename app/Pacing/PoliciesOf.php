<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\Contradictions;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Rules\PolicyOption;

/** The policies of a lesson: what is chosen, what there is to choose, and what is said of it to the room. */
final readonly class PoliciesOf
{
    public function __construct(
        private LibraryFiles $files,
        private UsualPolicies $usual,
    ) {
    }

    public function chosen(Lesson $lesson): Policies
    {
        return Policies::of($this->files->policies(), $lesson->policies ?? [], $lesson->prepared);
    }

    public function data(Lesson $lesson, LoadedProgramme $programme): PoliciesData
    {
        $table = $this->files->policies();
        $chosen = $this->chosen($lesson);
        $usual = $this->usual->of($lesson->organisation_id);
        $list = [];
        foreach ($table->options as $policy => $options) {
            $list[] = [
                'key' => $policy,
                'title' => $table->titles[$policy],
                'chosen' => $chosen->chosen[$policy],
                'usual' => $usual[$policy],
                'options' => array_map(
                    static fn (string $key, PolicyOption $option): array => [
                        'key' => $key, 'title' => $option->title, 'why' => $option->why,
                    ],
                    array_keys($options),
                    array_values($options),
                ),
            ];
        }
        $there = $lesson->square_in_lesson ? $chosen->there($programme->items[0]->diagonals) : [];

        return new PoliciesData(
            list: $list,
            prepared: $chosen->prepared,
            most_prepared: max(0, count($programme->items[0]->loads) - 1),
            says: $chosen->says,
            creases_there: array_values(array_filter($there, static fn (int $step): bool => $step > $chosen->prepared)),
            against: $this->against($chosen, $lesson, $programme),
        );
    }

    /** @return list<array{text: string, ways: list<array{title: string, change: array<string, mixed>}>}> in words */
    private function against(Policies $chosen, Lesson $lesson, LoadedProgramme $programme): array
    {
        $words = $this->files->words();
        $cut = array_values(array_filter($programme->items, static fn (ProgrammeItem $i): bool => $i->facts->scissors));
        $with = ['title' => $cut[0]->facts->title ?? '', 'steps' => $chosen->prepared];
        $said = [];
        foreach (
            Contradictions::of($chosen, $lesson->square_in_lesson, $lesson->method, $cut !== []) as $what => $ways
        ) {
            $said[] = ['text' => $words->say('plan', $what, $with), 'ways' => array_map(
                static fn (string $way, array $change): array => [
                    'title' => $words->say('plan', "way-$way"), 'change' => $change,
                ],
                array_keys($ways),
                array_values($ways),
            )];
        }

        return $said;
    }
}
