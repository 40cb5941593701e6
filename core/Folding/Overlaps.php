<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Tolerance;

/** Which faces of a folded state cover a common area, in pairs and in threes. */
final readonly class Overlaps
{
    /**
     * @param  array<int, Polygon>  $common  the common area by pair key
     * @param  list<Polygon>  $polygons  the faces in the folded plane
     * @param  list<Box>  $boxes
     */
    private function __construct(
        private int $faceCount,
        public array $common,
        private array $polygons,
        private array $boxes,
        private Tolerance $tolerance,
    ) {
    }

    /** @param  list<Polygon>  $polygons the faces in the folded plane */
    public static function among(array $polygons, Tolerance $tolerance): self
    {
        $n = count($polygons);
        $boxes = array_map(static fn (Polygon $p): Box => $p->box(), $polygons);
        $common = [];
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 1; $j < $n; $j++) {
                if (! $boxes[$i]->overlaps($boxes[$j], $tolerance->length)) {
                    continue;
                }
                $shared = $polygons[$i]->intersection($polygons[$j]);
                if ($shared->area() > $tolerance->area) {
                    $common[LayerOrder::key($n, $i, $j)] = $shared;
                }
            }
        }

        return new self($n, $common, $polygons, $boxes, $tolerance);
    }

    public function has(int $i, int $j): bool
    {
        return isset($this->common[LayerOrder::key($this->faceCount, $i, $j)]);
    }

    /** Whether three faces that overlap in pairs have an area common to all. */
    public function share(int $i, int $j, int $k): bool
    {
        $pair = $this->common[LayerOrder::key($this->faceCount, $i, $j)] ?? null;

        return $pair !== null && $pair->intersection($this->polygons[$k])->area() > $this->tolerance->area;
    }

    /** Whether more than $limit threes of faces overlap in pairs; cheap, and nearly the number of triples(). */
    public function crowded(int $limit): bool
    {
        $above = $this->above();
        foreach (array_keys($this->common) as $key) {
            [$i, $j] = [intdiv($key, $this->faceCount), $key % $this->faceCount];
            foreach ($above[$j] as $k) {
                if (isset($this->common[$i * $this->faceCount + $k]) && --$limit < 0) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<list<int>> for each face those with a larger number that it overlaps */
    private function above(): array
    {
        $above = array_fill(0, $this->faceCount, []);
        foreach (array_keys($this->common) as $key) {
            $above[intdiv($key, $this->faceCount)][] = $key % $this->faceCount;
        }

        return $above;
    }

    /**
     * Threes of faces with a common area: there the order must not run in a ring.
     *
     * @return \Generator<array{int, int, int}> ascending face numbers
     */
    public function triples(): \Generator
    {
        $above = $this->above();
        foreach ($this->common as $key => $shared) {
            [$i, $j] = [intdiv($key, $this->faceCount), $key % $this->faceCount];
            $box = $shared->box();
            $middle = $shared->centroid();
            foreach ($above[$j] as $k) {
                if (
                    $this->has($i, $k) &&
                    $box->overlaps($this->boxes[$k], $this->tolerance->length) &&
                    ($this->polygons[$k]->contains($middle, 10 * $this->tolerance->length) ||
                        $shared->intersection($this->polygons[$k])->area() > $this->tolerance->area)
                ) {
                    yield [$i, $j, $k];
                }
            }
        }
    }
}
