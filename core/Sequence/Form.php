<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

/** What a step makes that is not flat, with its sizes by formula. */
final readonly class Form
{
    public const SIZES = ['width', 'depth', 'height', 'volume'];

    /** @param  array<string, Formula>  $sizes by names of SIZES; mm, volume in mm3 */
    public function __construct(public array $sizes)
    {
    }

    /**
     * @return array<string, float> mm, volume in mm3
     */
    public function measured(float $width, float $height): array
    {
        return array_map(static fn (Formula $f): float => $f->value($width, $height), $this->sizes);
    }
}
