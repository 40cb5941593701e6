<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * The crease that a step made, by the step's number or the name it gave. In several layers it must lie along one line
 * now.
 */
final readonly class CreaseOf implements LineRef
{
    public function __construct(public string $label)
    {
    }

    public function trace(Setting $setting): Stretch
    {
        $pieces =
            $setting->creases[$this->label] ??
            throw CannotFold::because("No earlier step makes a crease called \"{$this->label}\".");
        $ends = [];
        foreach ($pieces as [$p, $q]) {
            foreach ([$p, ...self::between($setting, $p, $q), $q] as $point) {
                $ends[] = $setting->onPaper($point);
            }
        }
        usort($ends, static fn (Point $p, Point $q): int => $p->distanceTo($ends[0]) <=> $q->distanceTo($ends[0]));
        $line =
            Line::through($ends[0], $ends[count($ends) - 1]) ??
            throw CannotFold::because("The crease \"{$this->label}\" has no length.");
        foreach ($ends as $p) {
            if (abs($line->distanceTo($p)) > 100 * $setting->state->tolerance->length) {
                throw CannotFold::because(
                    "The crease \"{$this->label}\" runs through several layers that now lie apart; name a line "
                        .'through two points instead.',
                    $p,
                );
            }
        }
        $along = $line->direction();
        usort($ends, static fn (Point $p, Point $q): int => $p->dot($along) <=> $q->dot($along));

        return new Stretch($ends[0], $ends[count($ends) - 1]);
    }

    /**
     * Where the crease has been folded across since: the vertices on it.
     *
     * @return list<Point>
     */
    private static function between(Setting $setting, Point $p, Point $q): array
    {
        $length = $p->distanceTo($q);
        $margin = $setting->state->tolerance->length;

        return array_values(
            array_filter(
                $setting->state->pattern->vertices,
                static fn (Point $v): bool => $p->distanceTo($v) + $v->distanceTo($q) - $length < $margin &&
                    $v->distanceTo($p) > $margin &&
                    $v->distanceTo($q) > $margin,
            ),
        );
    }
}
