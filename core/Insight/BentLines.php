<?php

declare(strict_types=1);

namespace Cathedra\Core\Insight;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\Action;

/**
 * The straight lines along which a movement bends the paper; pieces that lie on one line, in whichever layer, are one.
 */
final readonly class BentLines
{
    /**
     * @param  list<float>  $lengths  mm
     * @param  list<Point>|null  $main  ends of the line folded about, where there is one
     */
    private function __construct(public array $lengths, public ?array $main)
    {
    }

    public static function of(Action $action): self
    {
        if ($action->crease !== null) {
            $points = [];
            foreach ($action->moving as $polygon) {
                foreach ($polygon->points as $p) {
                    if (abs($action->crease->line->distanceTo($p)) < 100 * $action->state->tolerance->length) {
                        $points[] = $p;
                    }
                }
            }
            $ends = self::ends($action->crease->line, $points);

            return new self($ends === null ? [] : [$ends[0]->distanceTo($ends[1])], $ends);
        }
        /** @var list<array{Line, list<Point>}> $lines */
        $lines = [];
        foreach ($action->change->folds ?? [] as ['from' => $from, 'to' => $to]) {
            foreach ($lines as $i => [$line]) {
                if (
                    max(abs($line->distanceTo($from)), abs($line->distanceTo($to))) <
                    100 * $action->state->tolerance->length
                ) {
                    $lines[$i][1] = [...$lines[$i][1], $from, $to];

                    continue 2;
                }
            }
            $line = Line::through($from, $to);
            if ($line !== null) {
                $lines[] = [$line, [$from, $to]];
            }
        }
        $spans = array_values(array_filter(array_map(static fn (array $l): ?array => self::ends(...$l), $lines)));

        return new self(array_map(static fn (array $s): float => $s[0]->distanceTo($s[1]), $spans), null);
    }

    public function count(): int
    {
        return count($this->lengths);
    }

    /**
     * @param  list<Point>  $points
     * @return array{Point, Point}|null
     */
    private static function ends(Line $line, array $points): ?array
    {
        $along = $line->direction();
        usort($points, static fn (Point $p, Point $q): int => $p->dot($along) <=> $q->dot($along));

        return count($points) < 2 ? null : [$points[0], $points[count($points) - 1]];
    }
}
