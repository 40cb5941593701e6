<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

/** What an edge of the sheet is now, seen from the sheet's front; the letters are those of the FOLD format. */
enum Assignment: string
{
    case Boundary = 'B';
    case Mountain = 'M';
    case Valley = 'V';
    case Flat = 'F';
    case Cut = 'C';

    public function isFolded(): bool
    {
        return $this === self::Mountain || $this === self::Valley;
    }

    /** Raw edges: the rim of the sheet and the lips of cuts. */
    public function isRaw(): bool
    {
        return $this === self::Boundary || $this === self::Cut;
    }

    public function turned(): self
    {
        return match ($this) {
            self::Mountain => self::Valley,
            self::Valley => self::Mountain,
            default => $this,
        };
    }
}
