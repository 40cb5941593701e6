<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Run;

/** A part of the model that has a name, found where it lies on top. */
final readonly class CalledPart
{
    /**
     * @param  string  $name  of the table; a hyphen stands for a space
     * @param  float  $length  mm from its point to the far end of the face that carries it
     */
    public function __construct(public string $name, public float $length)
    {
    }
}
