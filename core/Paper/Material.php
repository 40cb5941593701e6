<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** Something beside paper that a lesson needs: how much of it, and for whom it is not. */
final readonly class Material
{
    /**
     * @param  string  $key  small letters and hyphens
     * @param  'learner'|'table'|'model'|'room'  $per  what the number is for
     * @param  float  $number  for one of these; 0.5: one for two
     * @param  string  $caution  what can hurt, and the safer way
     * @param  list<string>  $notFor  age bands
     * @param  string|null  $instead  what to take for these
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $per,
        public float $number,
        public string $caution,
        public array $notFor,
        public ?string $instead,
    ) {
    }

    /** Whole pieces, rounded up. */
    public function amount(int $learners, int $tables, int $models): int
    {
        return (int) ceil(
            $this->number *
                match ($this->per) {
                    'learner' => $learners,
                    'table' => $tables,
                    'model' => $models,
                    'room' => 1,
                } -
                1e-9,
        );
    }

    public function fits(string $ageBand): bool
    {
        return ! in_array($ageBand, $this->notFor, true);
    }
}
