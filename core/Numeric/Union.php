<?php

declare(strict_types=1);

namespace Cathedra\Core\Numeric;

/** Things that turn out to be one and the same, joined pair by pair. */
final class Union
{
    /** @var array<int|string, int|string> */
    private array $parent = [];

    public function join(int|string $one, int|string $other): void
    {
        $this->parent[$this->root($one)] = $this->root($other);
    }

    /** The one that stands for all it was joined with. */
    public function root(int|string $of): int|string
    {
        $root = $of;
        while (($this->parent[$root] ?? $root) !== $root) {
            $root = $this->parent[$root];
        }
        while (($this->parent[$of] ?? $of) !== $root) {
            [$this->parent[$of], $of] = [$root, $this->parent[$of] ?? $of];
        }

        return $root;
    }
}
