<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Turn;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Numeric\Union;
use Cathedra\Core\Space\Transition;

/**
 * The motion of a simple fold: every part that moves is mirrored in a line of creases beside paper that stays, and
 * turns about it by half a turn.
 *
 * @phpstan-type Part array{cells: array<int, int>, axis: Line}
 */
final readonly class HalfTurn
{
    /**
     * @param  array<int, Part>  $parts  axis: its positive side lifts
     * @param  array<int, int>  $turns  by part: in which round it turns; those of a round turn together
     */
    private function __construct(private Transition $transition, public array $parts, private array $turns)
    {
    }

    /** Null when it is no simple fold: paper slides, or turns about more than one line. */
    public static function of(Transition $transition): ?self
    {
        if ($transition->isRigid()) {
            return null;
        }
        foreach (array_slice($transition->motions, 1) as $motion) {
            if ($motion->keepsOrientation()) {
                return null;
            }
        }
        $union = new Union();
        foreach ($transition->mesh->hinges as $hinge) {
            if ($hinge['start'] === $hinge['end']) {
                $union->join($hinge['left'], $hinge['right']);
            }
        }
        $parts = [];
        foreach (array_keys($transition->mesh->cells) as $cell) {
            if (! $transition->isStill($cell)) {
                $parts[$union->root($cell)][] = $cell;
            }
        }
        $turns = [];
        foreach ($parts as $cells) {
            $axis = self::axis($transition, $cells);
            if ($axis === null) {
                return null;
            }
            // layers that turn about one line to one side go as one stack
            $lifts = Rounds::liftsUp($transition, ['cells' => $cells, 'axis' => $axis]) ? 'up' : 'down';
            $key = $transition->motionOf[$cells[0]].$lifts;
            $axis = $turns[$key]['axis'] ?? $axis;
            $turns[$key] = ['cells' => [...$turns[$key]['cells'] ?? [], ...$cells], 'axis' => $axis];
        }
        $turns = array_values($turns);

        $rounds = Rounds::of($transition, $turns);

        return $rounds === null ? null : new self($transition, $turns, $rounds);
    }

    /** How many rounds there are, one after the other. */
    public function rounds(): int
    {
        return max([0, ...$this->turns]) + 1;
    }

    /**
     * Where the vertices are at a share of the way, without the slide.
     *
     * @return array<int, array{float, float, float}> mm
     */
    public function at(float $t): array
    {
        if ($t >= 1.0) {
            return $this->transition->end;
        }
        $at = $this->transition->start;
        foreach ($this->parts as $part => ['cells' => $cells, 'axis' => $axis]) {
            $share = min(1.0, max(0.0, $t * $this->rounds() - $this->turns[$part]));
            $own = [];
            foreach ($cells as $cell) {
                foreach ($this->transition->mesh->cells[$cell] as $vertex) {
                    $own[$vertex] = $this->transition->start[$vertex];
                }
            }
            $at = RigidTurn::about($own, $axis, M_PI * $share) + $at;
        }
        ksort($at);

        return array_values($at);
    }

    /**
     * Paper that stays and lies where a part leaves or lands: it cannot turn as it is.
     *
     * @return array<int, int> cells
     */
    public function blockedBy(): array
    {
        $blocking = [];
        $moving = array_merge(...array_column($this->parts, 'cells'));
        $layers = [$this->transition->layers(false), $this->transition->layers(true)];
        foreach ($this->parts as $part) {
            $up = Rounds::liftsUp($this->transition, $part);
            foreach ($layers as $over) {
                foreach ($part['cells'] as $cell) {
                    foreach ($over[$cell] ?? [] as $other => $isOver) {
                        if ($isOver !== $up && ! in_array($other, $moving, true)) {
                            $blocking[$other] = $other;
                        }
                    }
                }
            }
        }

        return array_values($blocking);
    }

    /** The longest way a vertex goes in a round, mm. */
    public function reach(): float
    {
        $far = 0.0;
        foreach ($this->parts as ['cells' => $cells, 'axis' => $axis]) {
            foreach ($cells as $cell) {
                foreach ($this->transition->mesh->cells[$cell] as $vertex) {
                    [$x, $y] = $this->transition->start[$vertex];
                    $far = max($far, M_PI * abs($axis->distanceTo(new Point($x, $y))));
                }
            }
        }

        return $far;
    }

    /**
     * The line a part turns about, its positive side the one that is lifted; null where it has none.
     *
     * @param  array<int, int>  $cells
     */
    private static function axis(Transition $transition, array $cells): ?Line
    {
        $mesh = $transition->mesh;
        $inside = array_fill_keys($cells, true);
        $motion = $transition->motionOf[$cells[0]];
        $line = Slide::axisOf($transition->motions[$motion]);
        $near = $transition->before->tolerance->aside;
        $up = null;
        foreach ($mesh->hinges as $hinge) {
            $isIn = [isset($inside[$hinge['left']]), isset($inside[$hinge['right']])];
            if ($isIn[0] === $isIn[1]) {
                continue;
            }
            $still = $isIn[0] ? $hinge['right'] : $hinge['left'];
            foreach ([$hinge['a'], $hinge['b']] as $vertex) {
                [$x, $y] = $transition->start[$vertex];
                $off = $line?->distanceTo(new Point($x, $y)) ?? INF;
                if (abs($off) > $near || ! $transition->isStill($still)) {
                    return null;
                }
            }
            $way = $transition->showsFront($still, false) === $hinge['start'] + $hinge['end'] > 0;
            if ($up !== null && $up !== $way) {
                return null;
            }
            $up = $way;
        }
        if ($line === null || $up === null) {
            return null;
        }
        $first = $mesh->cells[$cells[0]];
        $out = 0.0;
        foreach ($first as $vertex) {
            [$x, $y] = $transition->start[$vertex];
            $distance = $line->distanceTo(new Point($x, $y));
            $out = abs($distance) > abs($out) ? $distance : $out;
        }

        return $out > 0 === $up ? $line : $line->reversed();
    }
}
