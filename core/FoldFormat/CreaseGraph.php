<?php

declare(strict_types=1);

namespace Cathedra\Core\FoldFormat;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\Order\Restack;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * Makes a crease pattern of the vertices and edges of a file: puts the sheet upright with its corner at (0, 0), in mm,
 * finds the faces by walking round them, and checks that edges do not cross and that every vertex can lie flat.
 */
final class CreaseGraph
{
    /** mm: shorter side given to a sheet whose file names no unit. */
    private const SIDE = 150.0;

    /** @var list<Point> mm */
    private array $at;

    private float $near;

    private readonly Sheet $sheet;

    private function __construct(private readonly FoldFile $file)
    {
        [$this->sheet, $this->at] = $this->laidUpright();
        $this->near = 1e-6 * $this->sheet->diagonal();
    }

    /**
     * @return array{Sheet, Pattern}
     *
     * @throws BadFold naming the vertex, edge or face
     * @throws \Cathedra\Core\Folding\CannotFold when the sheet is too large or too small
     */
    public static function of(FoldFile $file): array
    {
        $self = new self($file);
        $self->noCrossings();
        $pattern = $self->pattern();
        VertexCheck::all($pattern);

        return [$self->sheet, $pattern];
    }

    /** @return array{Sheet, list<Point>} */
    private function laidUpright(): array
    {
        $rim = $this->corners();
        if (count($rim) !== 4) {
            throw new BadFold(
                sprintf(
                    'The rim of the sheet (edges B) has %d corners, at the vertices %s; a sheet is a rectangle with '
                        .'four.',
                    count($rim),
                    implode(', ', array_slice($rim, 0, 8)),
                ),
            );
        }
        $p = array_map(fn (int $v): Point => $this->file->vertices[$v], $rim);
        $lowest = 0;
        foreach ($p as $i => $q) {
            $lowest = [round($q->y, 6), $q->x] < [round($p[$lowest]->y, 6), $p[$lowest]->x] ? $i : $lowest;
        }
        $p = [...array_slice($p, $lowest), ...array_slice($p, 0, $lowest)];
        [$u, $v] = [$p[1]->minus($p[0]), $p[3]->minus($p[0])];
        if (
            abs($u->unit()->dot($v->unit())) > 1e-6 ||
            $p[0]->plus($u)->plus($v)->distanceTo($p[2]) > 1e-6 * $u->length()
        ) {
            throw new BadFold(
                'The rim of the sheet is not a rectangle: its corners at the vertices '.
                    implode(', ', $rim).
                    ' are not right angles.',
            );
        }
        $scale = $this->file->unitMm ?? self::SIDE / min($u->length(), $v->length());
        $turn = Isometry::rotation(-atan2($u->y, $u->x), $p[0]);
        $lay = static fn (Point $q): Point => $turn->of($q)->minus($p[0])->times($scale);

        return [Sheet::of($u->length() * $scale, $v->length() * $scale), array_map($lay, $this->file->vertices)];
    }

    /**
     * The corners of the rim, counterclockwise; vertices in the middle of a side are passed over.
     *
     * @return list<int>
     */
    private function corners(): array
    {
        $next = [];
        foreach ($this->file->edges as [$a, $b, $assignment]) {
            if ($assignment === Assignment::Boundary) {
                $next[$a][] = $b;
                $next[$b][] = $a;
            }
        }
        if ($next === []) {
            throw new BadFold('No edge is the rim of the sheet (B).');
        }
        foreach ($next as $v => $to) {
            if (count($to) !== 2) {
                throw new BadFold(
                    "Vertex $v: the rim of the sheet (edges B) does not close here; ".
                        count($to).
                        ' rim edges meet in it instead of two.',
                );
            }
        }
        $loop = [array_key_first($next)];
        for ($v = $next[$loop[0]][0]; $v !== $loop[0]; $v = $to) {
            $to = $next[$v][0] === $loop[count($loop) - 1] ? $next[$v][1] : $next[$v][0];
            $loop[] = $v;
        }
        if (count($loop) !== count($next)) {
            throw new BadFold('The rim of the sheet (edges B) has more than one loop; holes cannot be folded.');
        }
        $area = 0.0;
        foreach ($loop as $i => $v) {
            $area += $this->file->vertices[$v]->cross($this->file->vertices[$loop[($i + 1) % count($loop)]]);
        }
        $loop = $area < 0 ? array_reverse($loop) : $loop;
        $corners = [];
        foreach ($loop as $i => $v) {
            $before = $this->file->vertices[$v]->minus(
                $this->file->vertices[$loop[($i + count($loop) - 1) % count($loop)]],
            );
            $after = $this->file->vertices[$loop[($i + 1) % count($loop)]]->minus($this->file->vertices[$v]);
            if ($before->length() < 1e-12 || $after->length() < 1e-12) {
                throw new BadFold("Vertex $v lies on its neighbour.");
            }
            if (abs($before->unit()->cross($after->unit())) > 1e-7) {
                $corners[] = $v;
            }
        }

        return $corners;
    }

    private function noCrossings(): void
    {
        $edges = $this->file->edges;
        foreach ($edges as $i => [$a, $b]) {
            [$p, $q] = [$this->at[$a], $this->at[$b]];
            $line = $p->distanceTo($q) <= $this->near ? null : Line::through($p, $q);
            if ($line === null) {
                throw new BadFold("Edge $i has no length: the vertices $a and $b lie on one another.");
            }
            if (! $this->sheet->polygon()->contains($p->toward($q, 0.5), -2 * $this->near)) {
                throw new BadFold("Edge $i lies off the sheet.");
            }
            foreach ($this->at as $v => $r) {
                if (
                    $v !== $a &&
                    $v !== $b &&
                    abs($line->distanceTo($r)) < $this->near &&
                    $p->distanceTo($r) + $r->distanceTo($q) - $p->distanceTo($q) < $this->near
                ) {
                    throw new BadFold("Vertex $v lies inside edge $i; divide the edge there.");
                }
            }
            for ($j = $i + 1; $j < count($edges); $j++) {
                [$c, $d] = $edges[$j];
                if (count(array_unique([$a, $b, $c, $d])) === 2) {
                    throw new BadFold("Edges $i and $j join the same two vertices.");
                }
                if (in_array($c, [$a, $b], true) || in_array($d, [$a, $b], true)) {
                    continue;
                }
                $dc = $line->distanceTo($this->at[$c]);
                $dd = $line->distanceTo($this->at[$d]);
                if ($dc * $dd < 0) {
                    $along = $this->at[$c]->toward($this->at[$d], $dc / ($dc - $dd));
                    if ($p->distanceTo($along) + $along->distanceTo($q) - $p->distanceTo($q) < $this->near) {
                        throw new BadFold("Edges $i and $j cross one another; put a vertex where they meet.");
                    }
                }
            }
        }
    }

    private function pattern(): Pattern
    {
        $faces = $this->walkedFaces();
        if (count($faces) > Restack::MAX_FACES) {
            throw new BadFold(
                sprintf('The pattern has %d faces; at most %d are folded.', count($faces), Restack::MAX_FACES),
            );
        }
        $faces = $this->numberedAsInFile($faces);
        $of = [];
        foreach ($faces as $f => $loop) {
            foreach ($loop as $i => $v) {
                $of[Edge::key($v, $loop[($i + 1) % count($loop)])][] = $f;
            }
        }
        $edges = [];
        foreach ($this->file->edges as $i => [$a, $b, $assignment]) {
            $touching = $of[Edge::key($a, $b)] ?? [];
            if (count($touching) !== ($assignment === Assignment::Boundary ? 1 : 2)) {
                throw new BadFold(
                    "Edge $i ".
                        ($assignment === Assignment::Boundary
                            ? 'is marked as rim (B) but lies inside the sheet.'
                            : 'is a crease but has not a face on both sides.'),
                );
            }
            $edges[Edge::key($a, $b)] = new Edge(
                a: min($a, $b),
                b: max($a, $b),
                faces: $touching,
                assignment: $assignment,
                origin: $assignment === Assignment::Boundary ? null : '1',
            );
        }

        return new Pattern($this->at, $faces, $edges);
    }

    /** @return list<list<int>> counterclockwise */
    private function walkedFaces(): array
    {
        $around = array_fill(0, count($this->at), []);
        foreach ($this->file->edges as [$a, $b]) {
            $around[$a][] = $b;
            $around[$b][] = $a;
        }
        foreach ($around as $v => $to) {
            if (count($to) < 2) {
                throw new BadFold(
                    "Vertex $v ".
                        ($to === []
                            ? 'belongs to no edge.'
                            : 'is a loose end: a crease must run on to another crease or to the rim.'),
                );
            }
            usort($around[$v], fn (int $p, int $q): int => $this->angle($v, $p) <=> $this->angle($v, $q));
        }
        $faces = [];
        $walked = [];
        foreach ($this->file->edges as [$a, $b]) {
            foreach ([[$a, $b], [$b, $a]] as [$from, $to]) {
                $loop = [];
                while (! isset($walked["$from>$to"])) {
                    $walked["$from>$to"] = true;
                    $loop[] = $from;
                    $turn = array_search($from, $around[$to], true);
                    [$from, $to] = [$to, $around[$to][((int) $turn + count($around[$to]) - 1) % count($around[$to])]];
                }
                if ($loop !== [] && $this->area($loop) > 0) {
                    $faces[] = $this->convex($loop);
                }
            }
        }

        return $faces;
    }

    private function angle(int $from, int $to): float
    {
        $d = $this->at[$to]->minus($this->at[$from]);

        return atan2($d->y, $d->x);
    }

    /** @param  list<int>  $loop */
    private function area(array $loop): float
    {
        $twice = 0.0;
        foreach ($loop as $i => $v) {
            $twice += $this->at[$v]->cross($this->at[$loop[($i + 1) % count($loop)]]);
        }

        return $twice / 2;
    }

    /**
     * @param  list<int>  $loop
     * @return list<int>
     */
    private function convex(array $loop): array
    {
        $n = count($loop);
        foreach ($loop as $i => $v) {
            $in = $this->at[$v]->minus($this->at[$loop[($i + $n - 1) % $n]]);
            $out = $this->at[$loop[($i + 1) % $n]]->minus($this->at[$v]);
            if ($in->unit()->cross($out->unit()) < -1e-7) {
                throw new BadFold(
                    'The face with the vertices '.
                        implode(', ', $loop).
                        " has a notch at vertex $v, which no fold makes; a crease is missing there (perhaps a flat "
                            .'one, F).',
                );
            }
        }

        return $loop;
    }

    /**
     * Faces in the order of the file, where it lists them, so that messages and faceOrders mean the same ones.
     *
     * @param  list<list<int>>  $faces
     * @return list<list<int>>
     */
    private function numberedAsInFile(array $faces): array
    {
        $name = static function (array $loop): string {
            sort($loop);

            return implode(' ', $loop);
        };
        $known = array_flip(array_map($name, $faces));
        $ordered = [];
        foreach ($this->file->faces as $f => $loop) {
            $at =
                $known[$name($loop)] ??
                throw new BadFold(
                    "Face $f is not bounded by edges: no edges run round the vertices ".implode(', ', $loop).'.',
                );
            $ordered[] = $faces[$at];
        }
        if ($ordered !== [] && count($ordered) !== count($faces)) {
            throw new BadFold(
                sprintf('"faces_vertices" lists %d faces, but the edges make %d.', count($ordered), count($faces)),
            );
        }

        return $ordered === [] ? $faces : $ordered;
    }
}
