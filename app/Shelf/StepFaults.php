<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Accounts\MannerOf;
use App\Support\LibraryFiles;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Fault\Fault;
use Cathedra\Core\Fault\Faults;

/** What goes wrong at a step: worked out when it is first asked for, and kept with the model it belongs to. */
final readonly class StepFaults
{
    public function __construct(
        private ModelShelf $shelf,
        private LibraryFiles $files,
        private MannerOf $manner,
    ) {
    }

    /**
     * @param  array<string, string>  $ways
     * @return list<FaultData> the likeliest first, at most three
     */
    public function of(string $model, array $ways, int $step): array
    {
        return $this->shelf->keepOf($model, $ways, "faults-$step", fn (): array => array_map(
            $this->said(...),
            Faults::of(
                $this->files->sequence($model, $ways),
                $step,
                $this->files->faults(),
                $this->files->words(($this->manner)()),
                ModelShelf::SIDE,
            ),
        ));
    }

    private function said(Fault $fault): FaultData
    {
        $words = $this->files->words(($this->manner)());
        $behind = $fault->seen === 'behind';

        return new FaultData(
            $fault->kind->value,
            $words->say('faults', $fault->kind->value),
            match (true) {
                $fault->tells !== null => $words->say('faults', 'see', ['line' => $fault->tells]),
                $fault->seen === null => $words->say('faults', 'alike'),
                default => null,
            },
            $words->say('faults', $fault->mend->value),
            $fault->stops === null
                ? $words->say('faults', 'unnoticed')
                : $words->say('faults', 'stops', ['step' => $fault->stops]),
            SceneBuilder::ofState($behind ? $fault->state->turnedOver() : $fault->state)->drawing()->toArray(),
            $behind,
        );
    }
}
