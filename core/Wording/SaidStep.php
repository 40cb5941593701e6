<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

/** A step as a good teacher says it. */
final readonly class SaidStep
{
    /**
     * @param  string  $name  of the fold
     * @param  non-empty-list<string>  $do  one motion or up to three
     * @param  list<string>  $look  at most three things that can be seen from the chair, the most telling first
     * @param  string|null  $because  where a beginner would ask
     * @param  string|null  $stop  where the motion ends
     * @param  string|null  $warnAhead  that the next step is a hard moment
     * @param  list<string>  $cautions  that belong to this step
     * @param  bool  $saysWay  whether the sentence says which way the paper goes
     * @param  string|null  $note  the author's hint
     */
    public function __construct(
        public string $name,
        public array $do,
        public array $look,
        public ?string $because,
        public ?string $stop,
        public ?string $warnAhead,
        public array $cautions,
        public bool $saysWay,
        public ?string $note,
    ) {
    }

    public function sentence(): string
    {
        return implode(' ', $this->do);
    }
}
