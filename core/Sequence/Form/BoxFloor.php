<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Form;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/**
 * Looks in the creases of a sheet for the floor and the walls of a box: the floor is a rectangle round the middle of
 * the sheet whose sides are creases, and as far beyond each as the box is high runs a crease or the edge of the sheet.
 * So a box cannot have sizes that its folds do not give.
 */
final readonly class BoxFloor
{
    /** @param  list<Segment>  $lines  creases and edges on the sheet */
    private function __construct(private array $lines, private Point $middle, private float $near)
    {
    }

    /** @return string|null why a box of these sizes (mm) is not in the creases; null when it is */
    public static function objection(FoldedState $state, float $width, float $depth, float $height): ?string
    {
        $sheet = $state->sheet;
        $self = new self(
            array_map(static fn (Edge $e): Segment => $state->pattern->segment($e), array_values(array_filter(
                $state->pattern->edges,
                static fn (Edge $e): bool => ! $e->isHidden(),
            ))),
            new Point($sheet->width / 2, $sheet->height / 2),
            $state->tolerance->sight,
        );
        $sizes = sprintf('%.1f x %.1f mm', $width, $depth);
        $ways = array_filter($self->ways(), static fn (Point $way): bool => $self->has($way, $width, $depth));

        $walled = array_filter($ways, static fn (Point $way): bool => $self->walls($way, $width, $depth, $height));

        return match (true) {
            $ways === [] => "the creases show no floor of $sizes round the middle of the sheet",
            $walled === [] => sprintf('the creases show no walls of %.1f mm beside the floor of %s', $height, $sizes),
            default => null,
        };
    }

    /** @return list<Point> directions of creases, each once */
    private function ways(): array
    {
        $ways = [];
        foreach ($this->lines as $line) {
            $way = $line->direction();
            foreach ($ways as $known) {
                if (abs($known->cross($way)) < 1e-6) {
                    continue 2;
                }
            }
            $ways[] = $way;
        }

        return $ways;
    }

    private function has(Point $way, float $width, float $depth): bool
    {
        foreach ($this->sides($way, $width, $depth, 0.0) as $side) {
            if (! $this->isDrawn($side)) {
                return false;
            }
        }

        return true;
    }

    /** Walls stand on at least two sides of the floor; what is beyond the others is folded in. */
    private function walls(Point $way, float $width, float $depth, float $height): bool
    {
        $found = array_filter(
            $this->sides($way, $width, $depth, $height),
            fn (Segment $side): bool => $this->isTouched($side),
        );

        return count($found) >= 2;
    }

    /** @return list<Segment> the sides of the floor, moved outward so far */
    private function sides(Point $way, float $width, float $depth, float $out): array
    {
        $across = $way->turnedLeft();
        $sides = [];
        $pairs = [[$way, $across, $width, $depth], [$across, $way, $depth, $width]];
        foreach ($pairs as [$along, $aside, $length, $apart]) {
            foreach ([-1, 1] as $sign) {
                $centre = $this->middle->plus($aside->times($sign * ($apart / 2 + $out)));
                $sides[] = new Segment(
                    $centre->minus($along->times($length / 2)),
                    $centre->plus($along->times($length / 2)),
                );
            }
        }

        return $sides;
    }

    /** Whether creases cover the whole side. */
    private function isDrawn(Segment $side): bool
    {
        $covered = 0.0;
        foreach ($this->lines as $line) {
            $covered += $line->sharedWith($side, $this->near)?->length() ?? 0.0;
        }

        return $covered >= $side->length() - 4 * $this->near;
    }

    private function isTouched(Segment $side): bool
    {
        foreach ($this->lines as $line) {
            if (($line->sharedWith($side, $this->near)?->length() ?? 0.0) > 4 * $this->near) {
                return true;
            }
        }

        return false;
    }
}
