<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Order;

use Cathedra\Core\Geometry\Point;

/** One linear condition over GF(2) on the layer order: the bits of the pairs add up to $sum. */
final readonly class Condition
{
    /**
     * @param  list<int>  $pairs  pair keys (LayerOrder::key), each at most once
     * @param  int  $sum  0 or 1
     * @param  string  $what  what would go wrong, in words that complete "Paper would pass through paper: ..."
     * @param  Point  $place  where in the folded plane
     */
    private function __construct(public array $pairs, public int $sum, public string $what, public Point $place)
    {
    }

    /**
     * Sum over bit(i above j) for the given ordered pairs equals $sum. The bit of a pair given larger face first is the
     * complement of its stored bit, which moves a one to the other side.
     *
     * @param  list<array{int, int}>  $ordered
     */
    public static function on(int $faceCount, array $ordered, int $sum, string $what, Point $place): self
    {
        $keys = [];
        foreach ($ordered as [$i, $j]) {
            if ($i > $j) {
                $sum ^= 1;
                $key = $j * $faceCount + $i;
            } else {
                $key = $i * $faceCount + $j;
            }
            if (isset($keys[$key])) {
                unset($keys[$key]);
            } else {
                $keys[$key] = true;
            }
        }

        return new self(array_keys($keys), $sum, $what, $place);
    }

    /** @param  array<int, bool>  $bits */
    public function holdsFor(array $bits): bool
    {
        $sum = 0;
        foreach ($this->pairs as $key) {
            $sum ^= $bits[$key] ? 1 : 0;
        }

        return $sum === $this->sum;
    }
}
