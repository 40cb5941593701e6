<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Turn;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Numeric\Union;
use Cathedra\Core\Space\Passage;

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
    private function __construct(private Passage $passage, public array $parts, private array $turns)
    {
    }

    /** Null when it is no simple fold: paper slides, or turns about more than one line. */
    public static function of(Passage $passage): ?self
    {
        if ($passage->isRigid()) {
            return null;
        }
        foreach (array_slice($passage->motions, 1) as $motion) {
            if ($motion->keepsOrientation()) {
                return null;
            }
        }
        $union = new Union();
        foreach ($passage->mesh->hinges as $hinge) {
            if ($hinge['start'] === $hinge['end']) {
                $union->join($hinge['left'], $hinge['right']);
            }
        }
        $parts = [];
        foreach (array_keys($passage->mesh->cells) as $cell) {
            if (! $passage->isStill($cell)) {
                $parts[$union->root($cell)][] = $cell;
            }
        }
        $turns = [];
        foreach ($parts as $cells) {
            $axis = self::axis($passage, $cells);
            if ($axis === null) {
                return null;
            }
            // layers that turn about one line to one side go as one stack
            $lifts = Rounds::liftsUp($passage, ['cells' => $cells, 'axis' => $axis]) ? 'up' : 'down';
            $key = $passage->motionOf[$cells[0]].$lifts;
            $axis = $turns[$key]['axis'] ?? $axis;
            $turns[$key] = ['cells' => [...$turns[$key]['cells'] ?? [], ...$cells], 'axis' => $axis];
        }
        $turns = array_values($turns);

        $rounds = Rounds::of($passage, $turns);

        return $rounds === null ? null : new self($passage, $turns, $rounds);
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
            return $this->passage->end;
        }
        $at = $this->passage->start;
        foreach ($this->parts as $part => ['cells' => $cells, 'axis' => $axis]) {
            $share = min(1.0, max(0.0, $t * $this->rounds() - $this->turns[$part]));
            $own = [];
            foreach ($cells as $cell) {
                foreach ($this->passage->mesh->cells[$cell] as $vertex) {
                    $own[$vertex] = $this->passage->start[$vertex];
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
        $layers = [$this->passage->layers(false), $this->passage->layers(true)];
        foreach ($this->parts as $part) {
            $up = Rounds::liftsUp($this->passage, $part);
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
                foreach ($this->passage->mesh->cells[$cell] as $vertex) {
                    [$x, $y] = $this->passage->start[$vertex];
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
    private static function axis(Passage $passage, array $cells): ?Line
    {
        $mesh = $passage->mesh;
        $inside = array_fill_keys($cells, true);
        $motion = $passage->motionOf[$cells[0]];
        $line = Slide::axisOf($passage->motions[$motion]);
        $near = $passage->before->tolerance->aside;
        $up = null;
        foreach ($mesh->hinges as $hinge) {
            $isIn = [isset($inside[$hinge['left']]), isset($inside[$hinge['right']])];
            if ($isIn[0] === $isIn[1]) {
                continue;
            }
            $still = $isIn[0] ? $hinge['right'] : $hinge['left'];
            foreach ([$hinge['a'], $hinge['b']] as $vertex) {
                [$x, $y] = $passage->start[$vertex];
                $off = $line?->distanceTo(new Point($x, $y)) ?? INF;
                if (abs($off) > $near || ! $passage->isStill($still)) {
                    return null;
                }
            }
            $way = $passage->showsFront($still, false) === $hinge['start'] + $hinge['end'] > 0;
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
            [$x, $y] = $passage->start[$vertex];
            $distance = $line->distanceTo(new Point($x, $y));
            $out = abs($distance) > abs($out) ? $distance : $out;
        }

        return $out > 0 === $up ? $line : $line->reversed();
    }
}
