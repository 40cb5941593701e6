<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Mesh;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\LayerDepth;
use Cathedra\Core\Space\Check\Passing;

/** A piece of a motion, from one flat state to the next: one mesh, and where its vertices are at each moment. */
final readonly class Piece
{
    /** Moments of a movement that are kept and sent. */
    public const MOST = 24;

    /** As a share of the shorter side: moments nearer to one another are left out first. */
    private const CLOSE = 0.05;

    /**
     * @param  array<int, array<int, array{float, float, float}>>  $at  by moment, by vertex: mm; x to the right, y up,
     *     z toward the folder
     * @param  array<int, int>  $rankStart  by cell: layers over it at the first moment, counted along its front:
     *     negative where its front is up
     * @param  array<int, int>  $rankEnd  by cell, at the last moment
     */
    public function __construct(
        public Mesh $mesh,
        public array $at,
        public array $rankStart,
        public array $rankEnd,
    ) {
    }

    /** The same way back. */
    public function reversed(): self
    {
        return new self($this->mesh, array_reverse($this->at), $this->rankEnd, $this->rankStart);
    }

    /**
     * Seen by a folder who has not turned the model over, as it was for what is done behind.
     *
     * @param  array<int, float>  $axes  x of the upright axes, the latest last, mm
     */
    public function turnedBack(array $axes): self
    {
        $at = $this->at;
        foreach (array_reverse($axes) as $x) {
            $at = array_map(static fn (array $points): array => array_map(
                static fn (array $p): array => [2 * $x - $p[0], $p[1], -$p[2]],
                $points,
            ), $at);
        }

        return new self($this->mesh, $at, $this->rankStart, $this->rankEnd);
    }

    /** With at most MOST moments, evenly far apart; the first and the last stay. */
    public function thinned(): self
    {
        $last = count($this->at) - 1;
        if ($last < self::MOST) {
            return $this;
        }
        for ($apart = self::CLOSE; ; $apart *= 1.2) {
            $kept = [0];
            for ($i = 1; $i < $last; $i++) {
                $way = self::farthest($this->at[$kept[count($kept) - 1]], $this->at[$i + 1]);
                if ($way > $apart * $this->mesh->side) {
                    $kept[] = $i;
                }
            }
            $kept[] = $last;
            if (count($kept) <= self::MOST) {
                break;
            }
        }

        return new self(
            $this->mesh,
            array_map(fn (int $i): array => $this->at[$i], $kept),
            $this->rankStart,
            $this->rankEnd,
        );
    }

    /** The longest way a vertex goes from one moment to the next, as a share of the shorter side. */
    public function jump(): float
    {
        $most = 0.0;
        for ($i = 1; $i < count($this->at); $i++) {
            $most = max($most, self::farthest($this->at[$i - 1], $this->at[$i]));
        }

        return $most / $this->mesh->side;
    }

    /** The most an edge of a triangle is stretched or pressed together at any moment, as a share of its length. */
    public function strain(): float
    {
        $most = 0.0;
        foreach ($this->mesh->edges() as ['a' => $a, 'b' => $b]) {
            [$p, $q] = [$this->mesh->sheet[$a], $this->mesh->sheet[$b]];
            $length = hypot($p[0] - $q[0], $p[1] - $q[1]);
            foreach ($this->at as $points) {
                [$u, $v] = [$points[$a], $points[$b]];
                $now = sqrt(($u[0] - $v[0]) ** 2 + ($u[1] - $v[1]) ** 2 + ($u[2] - $v[2]) ** 2);
                $most = max($most, abs($now - $length) / $length);
            }
        }

        return $most;
    }

    /** How deep paper stands in other paper at the worst moment, mm. */
    public function depth(): float
    {
        return max(0.0, ...array_map(
            fn (array $points): float => Passing::deepest($this->mesh->triangles, $points)[0],
            $this->at,
        ));
    }

    /**
     * @param  array<int, int>  $faces  by cell
     * @return array<int, int> by cell
     */
    public static function ranks(FoldedState $state, array $faces): array
    {
        $depth = LayerDepth::of($state);

        return array_map(static fn (int $f): int => $state->frontUp[$f] ? -$depth[$f] : $depth[$f], $faces);
    }

    /**
     * @param  array<int, array{float, float, float}>  $one
     * @param  array<int, array{float, float, float}>  $other
     */
    private static function farthest(array $one, array $other): float
    {
        $most = 0.0;
        foreach ($one as $v => $p) {
            $q = $other[$v];
            $most = max($most, ($p[0] - $q[0]) ** 2 + ($p[1] - $q[1]) ** 2 + ($p[2] - $q[2]) ** 2);
        }

        return sqrt($most);
    }
}
