<?php

declare(strict_types=1);

namespace Cathedra\Core\Numeric;

/** What a linear program came to: solved, impossible, or not known because the steps ran out. Nothing is invented. */
final readonly class LinearAnswer
{
    /**
     * @param  bool|null  $solved  null: not known
     * @param  array<int, float>  $uses  by name of the variable; none of 0
     * @param  list<float>  $prices  what one more of each row's limit would save, by row
     */
    private function __construct(public ?bool $solved, public float $cost, public array $uses, public array $prices)
    {
    }

    /**
     * @param  array<int, float>  $uses
     * @param  list<float>  $prices
     */
    public static function solved(float $cost, array $uses, array $prices): self
    {
        return new self(true, $cost, $uses, $prices);
    }

    public static function impossible(): self
    {
        return new self(false, INF, [], []);
    }

    /** A bound of nothing is always true; that is all that is known. */
    public static function unknown(): self
    {
        return new self(null, 0.0, [], []);
    }

    public function isKnown(): bool
    {
        return $this->solved !== null;
    }
}
