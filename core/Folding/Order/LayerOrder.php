<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Order;

/**
 * Which of two overlapping faces is above (nearer the folder). A relation on pairs, not a list: closed flaps may
 * overlap in a ring. Pairs that do not overlap with positive area are not in it.
 */
final readonly class LayerOrder
{
    /** @param  array<int, bool>  $bits by pair key; true: the face with the smaller number is above */
    private function __construct(private int $faceCount, private array $bits)
    {
    }

    /** @param  array<int, bool>  $bits */
    public static function of(int $faceCount, array $bits): self
    {
        return new self($faceCount, $bits);
    }

    public static function empty(int $faceCount): self
    {
        return new self($faceCount, []);
    }

    /** The key of a pair, whichever way round it is given. */
    public static function key(int $faceCount, int $i, int $j): int
    {
        return $i < $j ? $i * $faceCount + $j : $j * $faceCount + $i;
    }

    /** Whether $i lies above $j; null when they do not overlap. */
    public function above(int $i, int $j): ?bool
    {
        $bit = $this->bits[self::key($this->faceCount, $i, $j)] ?? null;

        return $bit === null ? null : $bit === $i < $j;
    }

    /** As seen after the sheet was turned over. */
    public function turnedOver(): self
    {
        return new self($this->faceCount, array_map(static fn (bool $bit): bool => ! $bit, $this->bits));
    }

    /** @return list<array{int, int, bool}> smaller face, larger face, whether the smaller one is above */
    public function pairs(): array
    {
        $pairs = [];
        foreach ($this->bits as $key => $bit) {
            $pairs[] = [intdiv($key, $this->faceCount), $key % $this->faceCount, $bit];
        }

        return $pairs;
    }

    /** @return array<int, bool> */
    public function bits(): array
    {
        return $this->bits;
    }
}
