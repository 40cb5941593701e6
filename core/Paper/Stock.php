<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** A kind of paper and how much of it there is. Lengths in mm. */
final readonly class Stock
{
    public const MIN_MM = 10.0;

    public const MAX_MM = 2000.0;

    /**
     * @param  int|null  $count null: as much as is wanted
     * @param  float  $trim  lost all round this paper
     *     (holes, margins, a newspaper's fold), beside what the plan loses anyway
     * @param  bool  $scrap  to be used up first where the lead prefers that
     */
    private function __construct(
        public string $name,
        public float $width,
        public float $height,
        public ?int $count,
        public float $trim,
        public bool $scrap,
    ) {
    }

    /** @throws BadPaper */
    public static function of(
        string $name,
        float $width,
        float $height,
        ?int $count,
        string $pointer = '',
        float $trim = 0.0,
        bool $scrap = false,
    ): self {
        foreach (['width_mm' => $width, 'height_mm' => $height] as $key => $mm) {
            if (! is_finite($mm) || $mm < self::MIN_MM || $mm > self::MAX_MM) {
                throw new BadPaper(
                    $pointer === '' ? '' : "$pointer/$key",
                    sprintf('A side of a sheet must be between %d and %d mm.', self::MIN_MM, self::MAX_MM),
                );
            }
        }
        if ($count !== null && ($count < 0 || $count > 1_000_000)) {
            throw new BadPaper(
                $pointer === '' ? '' : "$pointer/count",
                'The count must be a whole number from 0 to 1,000,000, or null for plenty.',
            );
        }

        if (! is_finite($trim) || $trim < 0 || $trim > 100) {
            throw new BadPaper(
                $pointer === '' ? '' : "$pointer/trim_mm",
                'What is lost all round must be between 0 and 100 mm.',
            );
        }

        return new self(name: $name, width: $width, height: $height, count: $count, trim: $trim, scrap: $scrap);
    }

    /** The same paper, as much as is wanted. */
    public function plenty(): self
    {
        return new self(
            name: $this->name,
            width: $this->width,
            height: $this->height,
            count: null,
            trim: $this->trim,
            scrap: $this->scrap,
        );
    }

    /** The same paper with some of it gone. */
    public function without(int $sheets): self
    {
        return new self(
            name: $this->name,
            width: $this->width,
            height: $this->height,
            count: $this->count === null ? null : max(0, $this->count - $sheets),
            trim: $this->trim,
            scrap: $this->scrap,
        );
    }

    /** The side of the largest square it gives. */
    public function largest(): float
    {
        return min($this->width, $this->height) - 2 * $this->trim;
    }
}
