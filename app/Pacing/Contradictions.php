<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\Policies;

/**
 * What of a plan contradicts itself, each with the changes that would do.
 *
 * @phpstan-type Way array{title: string, change: array<string, mixed>}
 * @phpstan-type Contradiction array{text: string, ways: list<Way>}
 */
final readonly class Contradictions
{
    public function __construct(private LibraryFiles $files)
    {
    }

    /** @return list<Contradiction> */
    public function of(Policies $chosen, Lesson $lesson, LoadedProgramme $programme): array
    {
        $is = $chosen->chosen;
        $cuts = array_filter($programme->items, static fn (ProgrammeItem $item): bool => $item->facts->scissors);
        $found = [];
        if ($is['cutting'] !== 'model' && $cuts !== []) {
            $found[] = $this->said('model-cuts', ['title' => reset($cuts)->facts->title], [
                'cut-model' => ['policies' => ['cutting' => 'model']],
            ]);
        }
        if ($is['cutting'] === 'none' && $lesson->square_in_lesson && $lesson->method === 'scissors') {
            $found[] = $this->said('square-cuts', [], [
                'tear' => ['method' => 'tear'],
                'squares-before' => ['square_in_lesson' => false],
                'cut-square' => ['policies' => ['cutting' => 'square']],
            ]);
        }
        if ($chosen->prepared > 0 && $lesson->square_in_lesson && ! $chosen->takesFreshSquares()) {
            $found[] = $this->said('prepared-squares', ['steps' => $chosen->prepared], [
                'squares-before' => ['square_in_lesson' => false],
                'nothing-before' => ['prepared' => 0],
                'fresh' => ['policies' => ['squaring' => 'fresh']],
            ]);
        }
        if ($chosen->isSelfPaced() && $is['pace'] === 'everybody') {
            $found[] = $this->said('cards-together', [], [
                'own-pace' => ['policies' => ['pace' => 'ahead']],
                'shown' => ['policies' => ['show' => 'along']],
            ]);
        }

        return $found;
    }

    /**
     * @param  array<string, int|string>  $with
     * @param  array<string, array<string, mixed>>  $ways  changes of the lesson by the word that names them
     * @return Contradiction
     */
    private function said(string $key, array $with, array $ways): array
    {
        $words = $this->files->words();

        return ['text' => $words->say('plan', $key, $with), 'ways' => array_map(
            static fn (string $way, array $change): array => [
                'title' => $words->say('plan', "way-$way"), 'change' => $change,
            ],
            array_keys($ways),
            array_values($ways),
        )];
    }
}
