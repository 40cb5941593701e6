<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Hands;

use Cathedra\Core\Folding\Reading\Flaps;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Run\Action;

/**
 * What hands do in a movement, from the geometry alone: where they take hold, of how many layers, where that place
 * goes, and along which line the paper bends. Words, dots and arrows all come from here, so that they cannot differ.
 * The place taken hold of is on the moving paper and travels furthest, whatever the sequence called it; mm in the plane
 * of the state before.
 */
final readonly class Handling
{
    /** Of the sheet's shorter side: journeys that differ by less are equally far. */
    private const AS_FAR = 0.01;

    /** How far inside the moving paper the layers are counted, as a share of the way to the middle of a face. */
    private const INWARD = 0.02;

    /** Where along an edge that is taken the layers are counted, as shares of it; its ends are corners. */
    private const ALONG = [0.1, 0.3, 0.5, 0.7, 0.9];

    /**
     * @param  Point  $at  the place taken hold of
     * @param  Point  $to  where it comes to lie
     * @param  Segment|null  $edge  the edge or fold taken, where it is one; $at lies on it
     * @param  Segment|null  $target  the line on which that edge or point is laid, where it is one
     * @param  Segment|null  $line  the fold line on the moving paper; null where there is no one line
     * @param  int  $layers  that move, at the place taken hold of; of an edge along most of it
     * @param  int  $of  layers there in all
     * @param  int  $flaps  there that could be moved apart: more than one is a choice
     * @param  bool  $fromTop  whether the layers that move are the uppermost
     */
    private function __construct(
        public Point $at,
        public Point $to,
        public ?Segment $edge,
        public ?Segment $target,
        public ?Segment $line,
        public int $layers,
        public int $of,
        public int $flaps,
        public bool $fromTop,
        public Way $way,
    ) {
    }

    /** @return self|null null where no paper moves against other paper: turning, unfolding, cutting */
    public static function of(Action $action): ?self
    {
        $named = $action->crease->grip ?? $action->grip;
        if ($action->kind === FoldKind::Hold && $named !== null && $action->landing !== null) {
            return self::held($action, $named, $action->landing);
        }
        $journeys = self::journeys($action);
        if ($named === null || $journeys === [] || $action->cuts !== []) {
            return null;
        }
        $sheet = $action->state->sheet;
        $far = max(array_map(static fn (Segment $s): float => $s->length(), $journeys));
        $least = $far - self::AS_FAR * min($sheet->width, $sheet->height);
        $taken = $action->crease->taken ?? $action->taken ?? self::farEdge($action, $journeys);
        $ends = $taken === null ? [] : [$taken->middle(), $taken->a, $taken->b];
        $journey = null;
        foreach ([...$ends, $named] as $place) {
            $own = self::journeyFrom($action, $place);
            if ($own !== null && $own->length() >= $least && ($journey?->length() ?? 0.0) < $own->length()) {
                $journey = $own;
            }
        }
        if ($journey === null) {
            $taken = null;
            $furthest = array_filter($journeys, static fn (Segment $s): bool => $s->length() >= $least);
            usort(
                $furthest,
                static fn (Segment $s, Segment $t): int => $s->a->distanceTo($named) <=> $t->a->distanceTo($named),
            );
            $journey = $furthest[0];
        }
        $edge = $taken !== null && $taken->passes($journey->a, $action->state->tolerance->sight) ? $taken : null;
        [$stack, $moving, $flaps] = self::layers($action, $journey, $edge);

        return new self(
            at: $journey->a,
            to: $journey->b,
            edge: $edge,
            target: self::target($action, $journey->b),
            line: self::line($action),
            layers: count($moving),
            of: count($stack),
            flaps: $flaps,
            fromTop: $moving === [] || $moving[0] === $stack[0],
            way: Way::of($journey->a, $journey->b),
        );
    }

    /** What is held goes as a whole and comes back; no flap is chosen, and nothing bends along a line. */
    private static function held(Action $action, Point $at, Point $to): self
    {
        $all = count(Stacks::facesAt($action->state, $at));

        return new self(
            at: $at,
            to: $to,
            edge: null,
            target: null,
            line: null,
            layers: $all,
            of: $all,
            flaps: 1,
            fromTop: true,
            way: Way::of($at, $to),
        );
    }

    /**
     * Where a whole part of the paper goes equally far, as in a pleat, a hand takes its edge farthest from the line.
     *
     * @param  non-empty-list<Segment>  $journeys
     * @return Segment|null null where it does not, or where that edge is not beside the line
     */
    private static function farEdge(Action $action, array $journeys): ?Segment
    {
        if ($action->line === null || $action->change === null) {
            return null;
        }
        $near = $action->state->tolerance->sight;
        $most = max(array_map(static fn (Segment $s): float => $s->length(), $journeys));
        $furthest = array_filter($journeys, static fn (Segment $s): bool => $s->length() > $most - $near);
        $out = static fn (Segment $s): float => abs($action->line->distanceTo($s->a));
        $far = max([0.0, ...array_map($out, array_values($furthest))]);
        $there = array_values(array_map(
            static fn (Segment $s): Point => $s->a,
            array_filter($furthest, static fn (Segment $s): bool => $far - $out($s) <= $near),
        ));
        $edge = Segment::spanning($action->line, $there);

        return $edge === null || $edge->length() <= $near ? null : $edge;
    }

    /** Whether the paper bends toward the folder, away, or both ways at once. */
    public static function turn(Action $action): string
    {
        $valleys = array_map(static fn (array $fold): bool => $fold['valley'], $action->change->folds ?? []);

        return match (true) {
            $action->crease !== null => $action->valley ? 'valley' : 'mountain',
            in_array(true, $valleys, true) && in_array(false, $valleys, true) => 'both',
            default => in_array(false, $valleys, true) ? 'mountain' : 'valley',
        };
    }

    /** @return list<Segment> from where every corner of the moving paper is to where it comes to lie */
    private static function journeys(Action $action): array
    {
        $journeys = [];
        foreach ($action->moving as $i => $part) {
            $motion = self::motion($action, $i);
            foreach ($part->points as $p) {
                $journeys[] = new Segment($p, $motion->of($p));
            }
        }

        return $journeys;
    }

    /** The line that was named to be reached, where the place taken does reach it. */
    private static function target(Action $action, Point $landing): ?Segment
    {
        $target = $action->crease?->target;
        $near = $action->state->tolerance->aside;

        return $target !== null && abs($target->straight()->distanceTo($landing)) <= $near ? $target : null;
    }

    private static function motion(Action $action, int $part): Isometry
    {
        return $action->crease === null
            ? $action->change->motions[$part] ?? Isometry::identity()
            : Isometry::reflection($action->crease->line);
    }

    /** The furthest that a place of the moving paper goes; null when nothing that moves lies there. */
    private static function journeyFrom(Action $action, Point $place): ?Segment
    {
        $best = null;
        foreach ($action->moving as $i => $part) {
            $journey = new Segment($place, self::motion($action, $i)->of($place));
            if (
                $part->contains($place, -$action->state->tolerance->sight) &&
                $journey->length() > ($best?->length() ?? -1.0)
            ) {
                $best = $journey;
            }
        }

        return $best;
    }

    /**
     * Only what goes where the hand goes counts; other paper may swing along. A hand that takes a whole edge takes what
     * lies along most of it, not what meets at its corner.
     *
     * @return array{list<int>, list<int>, int} faces at the place, those taken, and flaps to choose from
     */
    private static function layers(Action $action, Segment $journey, ?Segment $edge): array
    {
        $sight = $action->state->tolerance->sight;
        $along = [];
        foreach ($action->moving as $i => $part) {
            if (self::motion($action, $i)->of($journey->a)->distanceTo($journey->b) <= $sight) {
                $along[$i] = $action->faces[$i];
            }
        }
        $found = [];
        $places = $edge === null ? [] : array_map($edge->at(...), self::ALONG);
        foreach ($places as $place) {
            $at = self::layersAt($action, $along, $place);
            if ($at[1] !== []) {
                $found[count($at[1])][] = $at;
            }
        }
        if ($found === []) {
            return self::layersAt($action, $along, $journey->a);
        }
        ksort($found); // of equally many places, the fewer layers
        uasort($found, static fn (array $a, array $b): int => count($b) <=> count($a));

        return array_values($found)[0][0];
    }

    /**
     * @param  array<int, int>  $along  face by part, of the parts that go where the hand goes
     * @return array{list<int>, list<int>, int}
     */
    private static function layersAt(Action $action, array $along, Point $place): array
    {
        $best = [[], [], 1];
        foreach (array_keys($along) as $i) {
            if (! $action->moving[$i]->contains($place, -$action->state->tolerance->sight)) {
                continue;
            }
            $probe = $place->toward($action->moving[$i]->centroid(), self::INWARD);
            $stack = Stacks::facesAt($action->state, $probe);
            $there = array_filter($along, static fn (int $f, int $k): bool => $action->moving[$k]->contains($probe),
                ARRAY_FILTER_USE_BOTH);
            $taken = array_values(array_intersect($stack, $there));
            if (count($taken) > count($best[1])) {
                $flaps = $action->crease === null
                    ? 1
                    : Flaps::beyond($action->state, $action->crease->line)->reachingCount($probe);
                $best = [$stack, $taken, $flaps];
            }
        }

        return $best;
    }

    private static function line(Action $action): ?Segment
    {
        $near = $action->state->tolerance->aside;
        $line = $action->crease->line ?? $action->line;
        if ($line === null || $action->pinch !== null) {
            return $action->pinch;
        }
        $on = static fn (Point $p): bool => abs($line->distanceTo($p)) < $near;
        $points = [];
        if ($action->crease !== null) {
            $points = array_merge(...array_map(static fn (Polygon $part): array => $part->points, $action->moving));
        } else {
            foreach ($action->change->folds ?? [] as ['at' => $fold]) {
                $points = $fold->liesOn($line, $near) ? [...$points, $fold->a, $fold->b] : $points;
            }
        }

        return Segment::spanning($line, array_values(array_filter($points, $on)));
    }
}
