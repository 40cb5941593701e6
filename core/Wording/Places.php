<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Folding\Anatomy;
use Cathedra\Core\Folding\Direction;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Stacks;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Geometry\Tolerance;
use Cathedra\Core\Sequence\Called;

/**
 * Says points and lines of a state in a folder's words, from where they lie, whatever the sequence called them. Only
 * what can be seen from above has a name; of the rest this says null, and the sentence points at the picture.
 */
final readonly class Places
{
    private Anatomy $anatomy;

    private float $near;

    /** @param  Called  $called  parts that have a name, which goes before every other */
    public function __construct(
        private FoldedState $state,
        private Phrasebook $words,
        private Called $called = new Called(),
    ) {
        $this->anatomy = Anatomy::of($state);
        $this->near = $state->tolerance->aside;
    }

    /** The point in words; "the dot" where nothing names it. */
    public function point(Point $p): string
    {
        return $this->named($p) ?? $this->words->say('points', 'place');
    }

    /** A corner or tip that a hand can take, in words; null where it is none of those, or has no name. */
    public function grip(Point $p): ?string
    {
        $part = $this->part($p);
        if ($part !== null) {
            return $part;
        }
        $corner = $this->anatomy->outline->cornerAt($p);
        if ($corner !== null) {
            return $this->anatomy->compass->nameOfCorner($corner) === null ? null : $this->named($p);
        }

        return $this->isFreeCorner($p) ? $this->words->say('points', 'tip') : null;
    }

    /** The point in words; null where only the picture can show it. */
    public function named(Point $p): ?string
    {
        return $this->landmark($p) ?? ($this->edgeThrough($p) === null ? $this->inside($p) : $this->creaseEnd($p));
    }

    /** The point by what it is of the outline: a called part, a corner, the middle of an edge. */
    public function landmark(Point $p): ?string
    {
        $part = $this->part($p);
        if ($part !== null) {
            return $part;
        }
        $outline = $this->anatomy->outline;
        $corner = $outline->cornerAt($p);
        if ($corner !== null && ($name = $this->anatomy->compass->nameOfCorner($corner)) !== null) {
            return $this->words->say('points', 'corner', [
                'direction' => $this->words->say('directions', $name->value),
            ]);
        }
        $edge = $this->edgeThrough($p);

        return $edge !== null && $edge[0]->middle()->distanceTo($p) < $this->near
            ? $this->words->say('points', 'middle-of-edge', ['direction' => $edge[1]])
            : null;
    }

    /** The called part that lies here on top; a hyphen in its name stands for a space. */
    private function part(Point $p): ?string
    {
        $part = $this->called->at($this->state, $p);

        return $part === null ? null : $this->words->say('points', 'called', ['part' => strtr($part, '-', ' ')]);
    }

    /** The point as the end of a crease on an edge that has a name. */
    private function creaseEnd(Point $p): ?string
    {
        $edge = $this->edgeThrough($p);
        $step = $edge === null ? null : $this->stepOf($this->creasesThrough($p));

        return $edge === null || $step === null || $this->endsOn($edge[0], $step) > 1
            ? null
            : $this->words->say('points', 'crease-end', ['step' => $step, 'direction' => $edge[1]]);
    }

    /** How many creases of a step can be seen to end on an edge of the outline. */
    private function endsOn(Segment $side, string $step): int
    {
        $lines = Creases::of($this->state, $step, fn (Edge $edge): bool => ! $edge->isHidden() &&
            $this->isSeen($edge, $this->state->segment($edge)->middle()));
        $ends = 0;
        foreach ($lines as $line) {
            $on = $line->liesOn($side->straight(), $this->near);
            $ends += ! $on && ($side->passes($line->a, $this->near) || $side->passes($line->b, $this->near)) ? 1 : 0;
        }

        return $ends;
    }

    /** The edge of the outline beside which the line runs, the nearest one; null where none is parallel. */
    public function besideEdge(Segment $line): ?string
    {
        $best = null;
        foreach ($this->anatomy->outline->sides() as $i => $side) {
            $name = $this->anatomy->compass->nameOfSide($i);
            $far = $side->straight()->distanceTo($line->middle());
            if (
                $name !== null &&
                abs($side->direction()->cross($line->direction())) < Tolerance::ANGLE &&
                ($best === null || abs($far) < $best[0])
            ) {
                $best = [abs($far), $name];
            }
        }

        return $best === null ? null : $this->words->say('lines', 'edge', [
            'direction' => $this->words->say('directions', $best[1]->value),
        ]);
    }

    /** A crease of a step: of several, the outermost one that way; null where its side does not tell it apart. */
    private function creaseOf(string $step, Segment $segment): ?string
    {
        $others = array_values(array_filter(
            Creases::of($this->state, $step, fn (Edge $edge): bool => ! $edge->isHidden() &&
                $this->isSeen($edge, $this->state->segment($edge)->middle())),
            fn (Segment $line): bool => ! $segment->liesOn($line->straight(), $this->near),
        ));
        if ($others === []) {
            return $this->words->say('lines', 'crease-of', ['step' => $step]);
        }
        $middle = $segment->middle();
        foreach ([Direction::Left, Direction::Right, Direction::Top, Direction::Bottom] as $way) {
            $ahead = array_filter(
                $others,
                fn (Segment $line): bool => self::further($way, $middle, $line) > $this->near,
            );
            if (count($ahead) === count($others)) {
                return $this->words->say('lines', 'crease-of-which', [
                    'direction' => $this->words->say('directions', $way->value),
                    'step' => $step,
                ]);
            }
        }

        return null;
    }

    /** How much further that way the point lies than every point of the line. */
    private static function further(Direction $way, Point $p, Segment $line): float
    {
        $of = static fn (Point $q): float => match ($way) {
            Direction::Left => -$q->x,
            Direction::Right => $q->x,
            Direction::Bottom => -$q->y,
            default => $q->y,
        };

        return $of($p) - max($of($line->a), $of($line->b));
    }

    /** @return array{Segment, string}|null the edge of the outline through the point and its direction in words */
    private function edgeThrough(Point $p): ?array
    {
        $side = $this->anatomy->outline->sideThrough($p);
        $name = $side === null ? null : $this->anatomy->compass->nameOfSide($side);

        return $side === null || $name === null
            ? null
            : [$this->anatomy->outline->sides()[$side], $this->words->say('directions', $name->value)];
    }

    /** The line in words where an edge or a crease lies there, else null. */
    public function line(Segment $segment): ?string
    {
        $line = $segment->straight();
        foreach ($this->anatomy->outline->sides() as $i => $side) {
            $name = $this->anatomy->compass->nameOfSide($i);
            if ($name !== null && $segment->isPartOf($side, $this->near)) {
                return $this->words->say('lines', 'edge', [
                    'direction' => $this->words->say('directions', $name->value),
                ]);
            }
        }
        $there = $this->edgesOn($segment);
        $middle = $this->middleLine($line);
        $step = $this->stepOf($there);

        return match (true) {
            $there !== [] && $middle !== null => $this->words->say('lines', $middle),
            $step !== null => $this->creaseOf($step, $segment),
            default => $this->cornerToCorner($segment) ?? $this->betweenEnds($segment),
        };
    }

    /** "upright-middle" or "level-middle" when the line runs through the middle of what is seen that way. */
    private function middleLine(Line $line): ?string
    {
        if (
            abs($line->distanceTo($this->state->box()->centre())) >= $this->near ||
            min(abs($line->normal->x), abs($line->normal->y)) >= Tolerance::ANGLE
        ) {
            return null;
        }

        return abs($line->normal->y) < Tolerance::ANGLE ? 'upright-middle' : 'level-middle';
    }

    private function cornerToCorner(Segment $segment): ?string
    {
        $names = [];
        foreach ([$segment->a, $segment->b] as $end) {
            $corner = $this->anatomy->outline->cornerAt($end);
            $name = $corner === null ? null : $this->anatomy->compass->nameOfCorner($corner);
            if ($name === null) {
                return null;
            }
            $names[] = $this->words->say('directions', $name->value);
        }

        return $this->words->say('lines', 'corners', ['from' => $names[0], 'to' => $names[1]]);
    }

    /** Between the ends of two creases of one step, at edges where they can be seen. */
    private function betweenEnds(Segment $segment): ?string
    {
        $steps = [];
        foreach ([$segment->a, $segment->b] as $end) {
            $side = $this->anatomy->outline->sideThrough($end);
            $open = array_filter(
                $this->creasesThrough($end),
                static fn (Edge $edge): bool => ! $edge->assignment->isFolded(),
            );
            $steps[] = $side === null || $open === [] ? null : $this->stepOf(array_values($open));
        }

        return $steps[0] !== null && $steps[0] === $steps[1]
            ? $this->words->say('lines', 'between-ends', ['step' => $steps[0]])
            : null;
    }

    private function inside(Point $p): ?string
    {
        if ($p->distanceTo($this->state->box()->centre()) < $this->near) {
            return $this->words->say('points', 'centre');
        }
        if ($this->isFreeCorner($p)) {
            return $this->words->say('points', 'tip');
        }
        $through = $this->creasesThrough($p);
        if ($this->cross($through)) {
            return $this->words->say('points', 'crossing');
        }

        return null;
    }

    /** Whether a corner of the sheet lies here on top of everything else. */
    private function isFreeCorner(Point $p): bool
    {
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as [$u, $v]) {
            $corner = $this->state->sheet->at($u, $v);
            $face = $this->state->pattern->faceAt($corner, $this->state->tolerance->length);
            if (
                $face !== null &&
                $this->state->placements[$face]->of($corner)->distanceTo($p) < $this->near &&
                $this->isOnTop($face, $p)
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Edge> creases and folds that can be seen to run through the point or to end there */
    private function creasesThrough(Point $p): array
    {
        return array_values(array_filter(
            $this->state->pattern->creases(),
            fn (Edge $edge): bool => ! $edge->isHidden() &&
                $this->state->segment($edge)->passes($p, $this->near) &&
                $this->isSeen($edge, $p),
        ));
    }

    /** @return list<Edge> creases, folds and raw edges that can be seen to cover the middle of the segment */
    private function edgesOn(Segment $segment): array
    {
        $line = $segment->straight();
        $middle = $segment->middle();

        return array_values(array_filter(
            $this->state->pattern->edges,
            fn (Edge $edge): bool => ! $edge->isHidden() &&
                $this->state->segment($edge)->liesOn($line, $this->near) &&
                $this->state->segment($edge)->passes($middle, $this->near) &&
                $this->isSeen($edge, $middle),
        ));
    }

    /** @param  list<Edge>  $edges */
    private function cross(array $edges): bool
    {
        foreach ($edges as $i => $one) {
            foreach (array_slice($edges, $i + 1) as $other) {
                $turn = $this->state->segment($one)->direction()->cross($this->state->segment($other)->direction());
                if (abs($turn) > Tolerance::ANGLE) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The step all these creases were made by, as it is numbered; null when it is none, or more than one.
     *
     * @param  list<Edge>  $edges
     */
    private function stepOf(array $edges): ?string
    {
        $steps = array_unique(array_map(static fn (Edge $edge): ?string => $edge->origin, $edges));

        return count($steps) === 1 && $steps[array_key_first($steps)] !== null &&
            ctype_digit($steps[array_key_first($steps)])
            ? $steps[array_key_first($steps)]
            : null;
    }

    private function isSeen(Edge $edge, Point $p): bool
    {
        foreach ($edge->faces as $face) {
            if ($this->isOnTop($face, $p)) {
                return true;
            }
        }

        return false;
    }

    private function isOnTop(int $face, Point $p): bool
    {
        $beside = $p->toward($this->state->polygons[$face]->centroid(), 0.01);

        return (Stacks::facesAt($this->state, $beside)[0] ?? null) === $face;
    }
}
