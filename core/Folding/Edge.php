<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

/** An edge of the crease pattern between two vertices, a < b, with one face (raw edge) or two (crease). */
final readonly class Edge
{
    /** Origin of an edge that is no crease: it only keeps faces convex, and is not drawn while it lies flat. */
    public const JOIN = 'join';

    /**
     * @param  list<int>  $faces  one or two
     * @param  string|null  $origin  label of the step that made the crease; null for the sheet's rim
     */
    public function __construct(
        public int $a,
        public int $b,
        public array $faces,
        public Assignment $assignment,
        public ?string $origin = null,
    ) {
    }

    public static function key(int $a, int $b): string
    {
        return $a < $b ? "$a-$b" : "$b-$a";
    }

    public function assigned(Assignment $assignment): self
    {
        return $assignment === $this->assignment
            ? $this
            : new self(a: $this->a, b: $this->b, faces: $this->faces, assignment: $assignment, origin: $this->origin);
    }

    public function madeBy(string $origin): self
    {
        return new self(a: $this->a, b: $this->b, faces: $this->faces, assignment: $this->assignment, origin: $origin);
    }

    /** Whether a folder sees nothing here: a helping line that was never bent. */
    public function isHidden(): bool
    {
        return $this->origin === self::JOIN && ! $this->assignment->isFolded();
    }

    public function isCrease(): bool
    {
        return count($this->faces) === 2;
    }

    public function other(int $face): ?int
    {
        return $this->isCrease() ? ($this->faces[0] === $face ? $this->faces[1] : $this->faces[0]) : null;
    }
}
