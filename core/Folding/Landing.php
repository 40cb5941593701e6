<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

/** Where the moved layers come to lie among those that stay. */
final readonly class Landing
{
    private function __construct(public bool $inside, public int $under)
    {
    }

    /** On top of everything for a valley fold, under everything for a mountain fold. */
    public static function outside(): self
    {
        return new self(false, 0);
    }

    /** Directly against the layers they are folded from, inside whatever lies further out. */
    public static function inside(): self
    {
        return new self(true, 0);
    }

    /** Tucked under the $layers outermost layers they meet, at least one. */
    public static function tuckedUnder(int $layers): self
    {
        return new self(false, max(1, $layers));
    }

    public function isOutside(): bool
    {
        return ! $this->inside && $this->under === 0;
    }
}
