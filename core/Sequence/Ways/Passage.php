<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Ways;

/**
 * A stretch of a model that can be taught in several ways, of which the lead takes one. In the file it is a route,
 * whose options end in the same state, or a choice, whose options may not; later steps may hold for some of them only.
 */
final readonly class Passage
{
    /**
     * @param  array<string, string>  $options  titles by name, the first being the usual way
     * @param  int  $firstStep  by the chosen way
     * @param  int  $lastStep  by the chosen way; one less than the first when that way has no step
     * @param  bool  $alike  whether all ways must end in the same state
     * @param  string|null  $question  what the lead is asked; a route needs none
     * @param  array<string, string>  $when  for whom an option is, and why, by name
     * @param  array<string, string>  $play  how the finished model is used, by option, where the options differ in that
     * @param  list<int>  $later  steps after it that the chosen way is taught with and another is not ("if")
     */
    public function __construct(
        public string $name,
        public array $options,
        public string $chosen,
        public int $firstStep,
        public int $lastStep,
        public bool $alike = true,
        public ?string $question = null,
        public array $when = [],
        public array $later = [],
        public array $play = [],
    ) {
    }

    /** @return list<int> the steps that the chosen way is made of, its own and those that hold for it only */
    public function steps(): array
    {
        $own = $this->lastStep < $this->firstStep ? [] : range($this->firstStep, $this->lastStep);

        return [...$own, ...$this->later];
    }

    /** @param  list<int>  $steps  that stand after it and hold for the chosen way */
    public function with(array $steps): self
    {
        return new self(...['later' => [...$this->later, ...$steps]] + get_object_vars($this));
    }

    /** How the finished model is used by the chosen way; null: as any. */
    public function played(): ?string
    {
        return $this->play[$this->chosen] ?? null;
    }

    public function isUsual(): bool
    {
        return $this->chosen === array_key_first($this->options);
    }
}
