<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

/** A place in a model where the lead may choose between ways that end in the same state. */
final readonly class Route
{
    /** @param  array<string, string>  $options  titles by name, the first being the usual way */
    public function __construct(
        public string $name,
        public array $options,
        public string $chosen,
        public int $firstStep,
        public int $lastStep,
    ) {
    }
}
