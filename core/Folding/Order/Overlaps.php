<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Order;

use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Isometry;
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
        public array $polygons,
        public array $boxes,
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

        return new self(faceCount: $n, common: $common, polygons: $polygons, boxes: $boxes, tolerance: $tolerance);
    }

    /** The same faces moved together: what they cover in common moves along. */
    public function moved(Isometry $by): self
    {
        $place = static fn (Polygon $p): Polygon => $p->placed($by);
        $polygons = array_map($place, $this->polygons);
        $boxes = array_map(static fn (Polygon $p): Box => $p->box(), $polygons);

        return new self(
            faceCount: $this->faceCount,
            common: array_map($place, $this->common),
            polygons: $polygons,
            boxes: $boxes,
            tolerance: $this->tolerance,
        );
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

    /** @return list<array<int, true>> for each face those it overlaps, as keys */
    public function neighbours(): array
    {
        $with = array_fill(0, $this->faceCount, []);
        foreach (array_keys($this->common) as $key) {
            [$i, $j] = [intdiv($key, $this->faceCount), $key % $this->faceCount];
            $with[$i][$j] = true;
            $with[$j][$i] = true;
        }

        return $with;
    }

    /** Whether more than $limit threes of faces overlap in pairs; cheap, and nearly the number of triples(). */
    public function crowded(int $limit): bool
    {
        $above = $this->above();
        foreach (array_keys($this->common) as $key) {
            [$i, $j] = [intdiv($key, $this->faceCount), $key % $this->faceCount];
            $limit -= count(array_intersect_key($above[$i], $above[$j]));
            if ($limit < 0) {
                return true;
            }
        }

        return false;
    }

    /** @return list<array<int, true>> for each face those with a larger number that it overlaps, as keys */
    private function above(): array
    {
        $above = array_fill(0, $this->faceCount, []);
        foreach (array_keys($this->common) as $key) {
            $above[intdiv($key, $this->faceCount)][$key % $this->faceCount] = true;
        }

        return $above;
    }

    /**
     * Threes of faces with a common area: there the order must not run in a ring.
     *
     * @param  (callable(int, int, int): bool)|null  $matters  asked first, since it is cheaper than geometry; null: all
     *     do
     * @return \Generator<array{int, int, int}> ascending face numbers
     */
    public function triples(?callable $matters = null): \Generator
    {
        $above = $this->above();
        $margin = $this->tolerance->meeting;
        foreach ($this->common as $key => $shared) {
            [$i, $j] = [intdiv($key, $this->faceCount), $key % $this->faceCount];
            $third = array_intersect_key($above[$i], $above[$j]);
            if ($third === []) {
                continue;
            }
            $box = $shared->box();
            $middle = $shared->centroid();
            foreach ($third as $k => $_) {
                if (
                    ($matters === null || $matters($i, $j, $k)) &&
                    $box->overlaps($this->boxes[$k], $this->tolerance->length) &&
                    ($this->polygons[$k]->contains($middle, $margin) ||
                        $shared->intersection($this->polygons[$k])->area() > $this->tolerance->area)
                ) {
                    yield [$i, $j, $k];
                }
            }
        }
    }
}
