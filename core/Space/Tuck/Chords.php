<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Tuck;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Space\Transition;
use Cathedra\Core\Space\Turn\HalfTurn;

/**
 * A bend that a tuck may need: across the paper beside the part that moves, from an end of its crease to another corner
 * of that paper. Nobody creases there; the flap only gives way.
 */
final readonly class Chords
{
    private function __construct(private Transition $flat, private Segment $at, public Line $line)
    {
    }

    /** @return list<self> */
    public static function of(Transition $transition, HalfTurn $turn): array
    {
        $moving = array_fill_keys(array_merge(...array_column($turn->parts, 'cells')), true);
        $chords = [];
        foreach ($transition->mesh->hinges as $hinge) {
            if (isset($moving[$hinge['left']]) === isset($moving[$hinge['right']])) {
                continue;
            }
            $beside = isset($moving[$hinge['left']]) ? $hinge['right'] : $hinge['left'];
            foreach ([$hinge['a'], $hinge['b']] as $end) {
                foreach ($transition->mesh->cells[$beside] as $corner) {
                    $chord = self::between($transition, $end, $corner, $hinge);
                    if ($chord !== null) {
                        $normal = $chord->line->normal;
                        $key = sprintf('%.3f %.3f %.3f', $normal->x, $normal->y, $chord->line->offset);
                        $chords[$key] ??= $chord;
                    }
                }
            }
        }

        return array_values($chords);
    }

    /** The transition with all paper under the chord cut along it. */
    public function transition(): Transition
    {
        $before = $this->flat->before;
        $middle = $this->at->middle();

        return Transition::between($before, $this->flat->after, function (int $face) use ($before, $middle): array {
            if (! $before->polygons[$face]->contains($middle)) {
                return [];
            }
            $back = $before->placements[$face]->inverse();
            $line = Line::through($back->of($this->at->a), $back->of($this->at->b));

            return $line === null ? [] : [$line];
        });
    }

    /** @param  array{a: int, b: int, left: int, right: int, start: float, end: float}  $hinge  of the part */
    private static function between(Transition $transition, int $end, int $corner, array $hinge): ?self
    {
        if (in_array($corner, [$hinge['a'], $hinge['b']], true)) {
            return null;
        }
        [$a, $b] = array_map(
            static fn (int $v): Point => new Point($transition->start[$v][0], $transition->start[$v][1]),
            [$end, $corner],
        );
        $line = Line::through($a, $b);

        return $line === null ? null : new self($transition, new Segment($a, $b), $line);
    }
}
