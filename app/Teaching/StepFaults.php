<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Accounts\MannerOf;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use App\Teaching\SightingRows as Seen;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Fault\Fault;
use Cathedra\Core\Fault\Faults;
use Cathedra\Core\Fault\Sightings;

/** What goes wrong at a step: worked out when it is first asked for, and kept with the model it belongs to. */
final readonly class StepFaults
{
    public function __construct(
        private ModelShelf $shelf,
        private LibraryFiles $files,
        private MannerOf $manner,
        private Seen $sightings,
    ) {
    }

    /**
     * @param  array<string, string>  $ways
     * @param  int  $organisation  whose leads' sightings count
     * @return list<FaultData> the likeliest first, at most three
     */
    public function of(string $model, array $ways, int $step, int $organisation): array
    {
        $counts = $this->sightings->counts($organisation);
        $factors = Sightings::factors($this->files->faults(), $counts);
        $all = array_map(
            static fn (FaultData $f): FaultData => $f->weighed($factors[$f->kind], $counts[$f->kind] ?? 0),
            $this->found($model, $ways, $step),
        );
        usort($all, static fn (FaultData $a, FaultData $b): int => $b->score <=> $a->score);

        return array_slice($all, 0, Faults::MOST);
    }

    /**
     * @param  array<string, string>  $ways
     * @return list<FaultData>
     */
    private function found(string $model, array $ways, int $step): array
    {
        return $this->shelf->keepOf($model, $ways, "faults-$step", fn (): array => array_map(
            $this->said(...),
            Faults::of(
                sequence: $this->files->sequence($model, $ways),
                number: $step,
                table: $this->files->faults(),
                words: $this->files->words(($this->manner)()),
                shortSide: ModelShelf::SIDE,
            ),
        ));
    }

    private function said(Fault $fault): FaultData
    {
        $words = $this->files->words(($this->manner)());
        $behind = $fault->seen === 'behind';

        return new FaultData(
            kind: $fault->kind->value,
            title: $words->say('faults', $fault->kind->value),
            see: match (true) {
                $fault->tells !== null => $words->say('faults', 'see', ['line' => $fault->tells]),
                $fault->seen === null => $words->say('faults', 'alike'),
                default => null,
            },
            mend: $words->say('faults', $fault->action()),
            then: match (true) {
                $fault->stops !== null => $words->say('faults', 'stops', ['step' => $fault->stops]),
                $fault->goesOn => $words->say('faults', 'unnoticed'),
                default => '', // whether it stops is not known, so nothing is said
            },
            drawing: SceneBuilder::ofState($behind ? $fault->state->turnedOver() : $fault->state)->drawing()->toArray(),
            behind: $behind,
            score: $fault->score,
        );
    }
}
