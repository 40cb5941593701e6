<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/**
 * The crease that a step made, by the step's number or the name it gave. In several layers it must lie along one line
 * now.
 */
final readonly class CreaseOf implements LineRef
{
    public function __construct(public string $label)
    {
    }

    public function trace(Setting $setting): Segment
    {
        $pieces =
            $setting->creases[$this->label] ??
            throw CannotFold::notFound("No earlier step makes a crease called \"{$this->label}\".");
        $ends = [];
        foreach ($pieces as $piece) {
            foreach ([$piece->a, ...self::between($setting, $piece), $piece->b] as $point) {
                $ends[] = $setting->onPaper($point);
            }
        }
        usort($ends, static fn (Point $p, Point $q): int => $p->distanceTo($ends[0]) <=> $q->distanceTo($ends[0]));
        $line =
            Line::through($ends[0], $ends[count($ends) - 1]) ??
            throw CannotFold::notFound("The crease \"{$this->label}\" has no length.");
        foreach ($ends as $p) {
            if (abs($line->distanceTo($p)) > $setting->state->tolerance->sight) {
                throw CannotFold::notFound(
                    "The crease \"{$this->label}\" runs through several layers that now lie apart; name a line "
                        .'through two points instead.',
                    $p,
                );
            }
        }

        return Segment::spanning($line, $ends) ?? throw new \LogicException('A crease has two ends.');
    }

    /**
     * Where the crease has been folded across since: the vertices on it.
     *
     * @return list<Point>
     */
    private static function between(Setting $setting, Segment $piece): array
    {
        $margin = $setting->state->tolerance->length;
        $inside = static fn (Point $v): bool => $piece->passes($v, $margin) &&
            $v->distanceTo($piece->a) > $margin &&
            $v->distanceTo($piece->b) > $margin;

        return array_values(array_filter($setting->state->pattern->vertices, $inside));
    }
}
