<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** How far one learner is. Steps are those of the lesson. */
final readonly class SeatStanding
{
    /**
     * @param  int  $done  furthest step that counts as done, 0 for none
     * @param  int  $looked  furthest step that somebody saw done; a step that is only presumed is not looked at
     * @param  int|null  $behind  the step not yet done; null for who is along
     * @param  int|null  $helpMs  since when the learner waits for help, the server's clock; null when not waiting
     * @param  int|null  $helpStep  at which step
     * @param  bool  $away  not in the room (never came, or left)
     * @param  bool  $seen  something was said of this learner while here
     * @param  bool  $marked  a step of the lesson was said of this learner
     * @param  list<string>  $helpedIn  models in which help was asked for or given
     * @param  list<string>  $wasIn  models in which the learner was here
     */
    public function __construct(
        public int $done = 0,
        public int $looked = 0,
        public ?int $behind = null,
        public ?int $helpMs = null,
        public ?int $helpStep = null,
        public bool $away = false,
        public bool $seen = false,
        public bool $marked = false,
        public array $helpedIn = [],
        public array $wasIn = [],
    ) {
    }

    /** Seen to have this step: whoever was behind at it or before is along again. */
    public function done(int $step, ?string $model): self
    {
        return $this->present($model)->with(
            done: max($this->done, $step),
            looked: max($this->looked, $step),
            behind: $this->behind !== null && $this->behind <= $step ? null : $this->behind,
            help: null,
        );
    }

    public function notYet(int $step, ?string $model): self
    {
        return $this->present($model)->with(
            done: min($this->done, $step - 1),
            looked: min($this->looked, $step - 1),
            behind: $step,
            help: $this->helpMs === null ? null : [$this->helpMs, (int) $this->helpStep],
        );
    }

    public function askingHelp(int $step, ?string $model, int $ms): self
    {
        $now = $this->notYet($step, $model)->helpedIn($model);

        return $now->with($now->done, $now->looked, $now->behind, [$this->helpMs ?? $ms, $step]);
    }

    public function helped(?string $model): self
    {
        return $this->here()->helpedIn($model)->with($this->done, $this->looked, $this->behind, null);
    }

    /** Presumed to have this step, since nothing else was said. */
    public function presumed(int $step): self
    {
        return $this->away || $this->behind !== null
            ? $this
            : $this->with(max($this->done, $step), $this->looked, null, $this->help());
    }

    /** With the others again, whose last step was this one. */
    public function along(int $step): self
    {
        return $this->here()->with(max($this->done, $step), $this->looked, null, null);
    }

    /** Came late: what the others have done is still to do. */
    public function late(): self
    {
        return $this->with($this->done, $this->looked, $this->behind ?? $this->done + 1, $this->help());
    }

    public function here(): self
    {
        return new self(...[...get_object_vars($this), 'away' => false, 'seen' => true]);
    }

    public function left(bool $wasHere): self
    {
        return new self(...[
            ...get_object_vars($this), 'away' => true, 'helpMs' => null, 'helpStep' => null,
            'seen' => $this->seen || $wasHere,
        ]);
    }

    /** Was in the room while this model was taught. */
    public function wasIn(?string $model): self
    {
        return $model === null || in_array($model, $this->wasIn, true)
            ? $this
            : new self(...[...get_object_vars($this), 'wasIn' => [...$this->wasIn, $model]]);
    }

    /** A mark with a step of this model speaks of the learner. */
    private function present(?string $model): self
    {
        $here = $this->here()->wasIn($model);

        return $model === null ? $here : new self(...[...get_object_vars($here), 'marked' => true]);
    }

    private function helpedIn(?string $model): self
    {
        return $model === null ? $this : new self(...[
            ...get_object_vars($this),
            'marked' => true,
            'helpedIn' => array_values(array_unique([...$this->helpedIn, $model])),
        ]);
    }

    /** @return array{int, int}|null */
    private function help(): ?array
    {
        return $this->helpMs === null ? null : [$this->helpMs, (int) $this->helpStep];
    }

    /** @param  array{int, int}|null  $help  since when, and at which step */
    private function with(int $done, int $looked, ?int $behind, ?array $help): self
    {
        return new self(
            done: $done,
            looked: $looked,
            behind: $behind,
            helpMs: $help[0] ?? null,
            helpStep: $help[1] ?? null,
            away: $this->away,
            seen: $this->seen,
            marked: $this->marked,
            helpedIn: $this->helpedIn,
            wasIn: $this->wasIn,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'done' => $this->done,
            'looked' => $this->looked,
            'behind' => $this->behind,
            'help_ms' => $this->helpMs,
            'help_step' => $this->helpStep,
            'away' => $this->away,
            'seen' => $this->seen,
            'marked' => $this->marked,
            'helped_in' => $this->helpedIn,
            'was_in' => $this->wasIn,
        ];
    }
}
