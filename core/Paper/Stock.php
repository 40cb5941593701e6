<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** A kind of paper and how much of it there is. Lengths in mm. */
final readonly class Stock
{
    public const MIN_MM = 10.0;

    public const MAX_MM = 2000.0;

    /** @param  int|null  $count null: as much as is wanted */
    private function __construct(public string $name, public float $width, public float $height, public ?int $count)
    {
    }

    /** @throws BadPaper */
    public static function of(string $name, float $width, float $height, ?int $count, string $pointer = ''): self
    {
        foreach (['width_mm' => $width, 'height_mm' => $height] as $key => $mm) {
            if (! is_finite($mm) || $mm < self::MIN_MM || $mm > self::MAX_MM) {
                throw new BadPaper($pointer === '' ? '' : "$pointer/$key", sprintf('A side of a sheet must be between %d and %d mm.', self::MIN_MM, self::MAX_MM));
            }
        }
        if ($count !== null && ($count < 0 || $count > 1_000_000)) {
            throw new BadPaper($pointer === '' ? '' : "$pointer/count", 'The count must be a whole number from 0 to 1,000,000, or null for plenty.');
        }

        return new self($name, $width, $height, $count);
    }
}
