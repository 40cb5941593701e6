<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** What a teacher says of one kind of fold, wherever it stands. */
final readonly class FoldGuidance
{
    /**
     * @param  string  $what  what the fold is, in a sentence
     * @param  string  $hold  what the hands hold meanwhile
     * @param  string  $press  where and when to press
     * @param  string  $stop  how one knows that it is done
     * @param  non-empty-list<array{looks: string, cause: string, remedy: string}>  $wrong  the likeliest fault first
     * @param  string  $safer  an easier way in
     */
    public function __construct(
        public string $kind,
        public string $what,
        public string $hold,
        public string $press,
        public string $stop,
        public array $wrong,
        public string $safer,
    ) {
    }
}
