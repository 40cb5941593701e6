<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

/** How an organisation wants its steps said. */
final readonly class Manner
{
    /** @param  bool  $letters  whether the places a hand takes and goes to have letters in picture and sentence */
    public function __construct(
        public Directions $directions = Directions::Folder,
        public FoldNames $names = FoldNames::Term,
        public bool $letters = false,
    ) {
    }

    /** Different for different manners; part of the keys under which sayings are kept. */
    public function key(): string
    {
        return "{$this->directions->value}-{$this->names->value}-".($this->letters ? 'letters' : 'plain');
    }
}
