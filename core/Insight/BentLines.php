<?php

declare(strict_types=1);

namespace Cathedra\Core\Insight;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Run\Action;

/**
 * The straight lines along which a movement bends the paper; pieces that lie on one line, in whichever layer, are one.
 */
final readonly class BentLines
{
    /**
     * @param  list<float>  $lengths  mm
     * @param  Segment|null  $main  the line folded about, where there is one
     */
    private function __construct(public array $lengths, public ?Segment $main)
    {
    }

    public static function of(Action $action): self
    {
        $sight = $action->state->tolerance->sight;
        if ($action->crease !== null) {
            $line = $action->crease->line;
            $points = array_merge(...array_map(static fn (Polygon $part): array => $part->points, $action->moving));
            $on = array_filter($points, static fn (Point $p): bool => abs($line->distanceTo($p)) < $sight);
            $main = Segment::spanning($line, array_values($on));

            return new self($main === null ? [] : [$main->length()], $main);
        }
        /** @var list<array{Line, list<Point>}> $lines */
        $lines = [];
        foreach ($action->change->folds ?? [] as ['at' => $segment]) {
            foreach ($lines as $i => [$line]) {
                if ($segment->liesOn($line, $sight)) {
                    array_push($lines[$i][1], $segment->a, $segment->b);

                    continue 2;
                }
            }
            $line = $segment->line();
            if ($line !== null) {
                $lines[] = [$line, [$segment->a, $segment->b]];
            }
        }
        $lengths = array_map(static fn (array $l): float => Segment::spanning(...$l)?->length() ?? 0.0, $lines);

        return new self($lengths, null);
    }

    public function count(): int
    {
        return count($this->lengths);
    }
}
