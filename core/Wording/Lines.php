<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Geometry\Tolerance;

/** Says lines of a state by what lies there and can be seen: an edge, a crease of a step, corner to corner. */
final readonly class Lines
{
    public function __construct(private Anatomy $anatomy, private Seen $seen, private Phrasebook $words)
    {
    }

    /** The line in words where an edge or a crease lies there, else null. */
    public function line(Segment $segment): ?string
    {
        $line = $segment->straight();
        foreach ($this->anatomy->outline->sides() as $i => $side) {
            $name = $this->anatomy->compass->nameOfSide($i);
            if ($name !== null && $segment->isPartOf($side, $this->seen->near)) {
                return $this->words->say('lines', 'edge', [
                    'direction' => $this->words->say('directions', $name->value),
                ]);
            }
        }
        $there = $this->seen->edgesOn($segment);
        $middle = $this->middleLine($line);
        $step = Seen::stepOf($there);

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
            abs($line->distanceTo($this->anatomy->state->box()->centre())) >= $this->seen->near ||
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
                $this->seen->creasesThrough($end),
                static fn (Edge $edge): bool => ! $edge->assignment->isFolded(),
            );
            $steps[] = $side === null || $open === [] ? null : Seen::stepOf(array_values($open));
        }

        return $steps[0] !== null && $steps[0] === $steps[1]
            ? $this->words->say('lines', 'between-ends', ['step' => $steps[0]])
            : null;
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
            $this->seen->linesOf($step),
            fn (Segment $line): bool => ! $segment->liesOn($line->straight(), $this->seen->near),
        ));
        if ($others === []) {
            return $this->words->say('lines', 'crease-of', ['step' => $step]);
        }
        $middle = $segment->middle();
        foreach ([Direction::Left, Direction::Right, Direction::Top, Direction::Bottom] as $way) {
            $ahead = array_filter(
                $others,
                fn (Segment $line): bool => self::further($way, $middle, $line) > $this->seen->near,
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
}
