<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Pattern;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\Pattern;

/**
 * Which faces of a pattern hang together over the creases that count. Every walk from face to face goes through here.
 */
final readonly class FaceGraph
{
    /** @param  array<int, list<array{int, Edge}>>  $next  by face: its neighbours and the creases between */
    private function __construct(private array $next)
    {
    }

    /**
     * @param  callable(Edge): bool|null  $joins  whether a crease holds its two faces together; null: every crease does
     * @param  list<int>|null  $faces  the faces that belong to it; null: all
     */
    public static function of(Pattern $pattern, ?callable $joins = null, ?array $faces = null): self
    {
        $next = array_fill_keys($faces ?? array_keys($pattern->faces), []);
        foreach (array_keys($next) as $face) {
            foreach ($pattern->around($face) as $edge) {
                $other = $edge->other($face);
                if ($other !== null && isset($next[$other]) && ($joins === null || $joins($edge))) {
                    $next[$face][] = [$other, $edge];
                }
            }
        }

        return new self($next);
    }

    /** @return list<int> the faces that hang together with this one, itself first, the nearest next */
    public function reach(int $start): array
    {
        return [$start, ...array_map(static fn (array $step): int => $step[2], $this->walk($start))];
    }

    /**
     * A walk to every face that hangs together with $start, the nearest first.
     *
     * @return list<array{int, Edge, int}> from a face reached before, over an edge, to a new one
     */
    public function walk(int $start): array
    {
        $seen = [$start => true];
        $queue = [$start];
        $steps = [];
        for ($i = 0; $i < count($queue); $i++) {
            foreach ($this->next[$queue[$i]] as [$face, $edge]) {
                if (! isset($seen[$face])) {
                    $seen[$face] = true;
                    $queue[] = $face;
                    $steps[] = [$queue[$i], $edge, $face];
                }
            }
        }

        return $steps;
    }

    /** @return list<list<int>> the groups of faces that hang together */
    public function parts(): array
    {
        $seen = [];
        $parts = [];
        foreach (array_keys($this->next) as $face) {
            if (! isset($seen[$face])) {
                $part = $this->reach($face);
                $seen += array_fill_keys($part, true);
                $parts[] = $part;
            }
        }

        return $parts;
    }
}
