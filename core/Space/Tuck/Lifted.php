<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Tuck;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Transition;
use Cathedra\Core\Space\Turn\HalfTurn;
use Cathedra\Core\Space\Turn\RigidTurn;

/**
 * A tuck: a part that turns by half a turn and comes to lie between layers. What is in its way is opened like a leaf,
 * or the part is lifted out with the leaf it hangs on, after the leaves that lie over that one; then it turns, and the
 * leaves are closed.
 */
final readonly class Lifted
{
    /** Degrees by which a leaf is opened, tried in this order: the least that lets the part through is taken. */
    private const ANGLES = [40, 60, 75, 90, 110, 130, 150];

    /** Degrees by which leaves that lie over it are opened more. */
    private const MORE = [20, 50, 80];

    /**
     * @param  list<Leaf>  $over  leaves that lie over the leaf, opened before it and closed after it
     * @param  float  $angle  by which the leaf is opened, radians
     * @param  float  $more  by which those over it are opened, radians
     */
    private function __construct(
        private Transition $transition,
        private HalfTurn $turn,
        private Leaf $leaf,
        private array $over,
        private float $angle,
        private float $more,
    ) {
    }

    /**
     * @param  Line|null  $bend  a line along which the mesh is cut, too; then only leaves that bend there are opened
     * @return iterable<self>
     */
    public static function ways(Transition $transition, HalfTurn $turn, ?Line $bend = null): iterable
    {
        $moving = array_merge(...array_column($turn->parts, 'cells'));
        $blocking = $turn->blockedBy();
        $leaves = Leaf::all($transition, $moving, $bend);
        foreach ($leaves as $leaf) {
            $hangs = array_intersect($moving, $leaf->cells);
            // all that moves hangs on it, or nothing does and it holds all that is in the way
            if ($hangs === [] ? array_diff($blocking, $leaf->cells) !== [] : count($hangs) < count($moving)) {
                continue;
            }
            if ($bend !== null && abs($leaf->axis->normal->dot($bend->normal)) < 1 - 1e-9) {
                continue;
            }
            $over = self::leavesOver($leaf, $leaves, $moving);
            if ($over === null || ! self::isInOrder(
                transition: $transition,
                leaf: $leaf,
                over: $over,
                moving: $moving,
                blocking: $blocking,
            )) {
                continue;
            }
            foreach (self::ANGLES as $degrees) {
                foreach ($over === [] ? [0] : self::MORE as $more) {
                    $further = min(150, $degrees + $more);
                    yield new self(
                        transition: $transition,
                        turn: $turn,
                        leaf: $leaf,
                        over: $over,
                        angle: deg2rad($degrees),
                        more: deg2rad($further),
                    );
                }
            }
        }
    }

    /**
     * @param  list<Leaf>  $leaves
     * @param  array<int, int>  $moving
     * @return list<Leaf>|null  that hold all that lies over it, and have nothing over them but one another; null: none
     */
    private static function leavesOver(Leaf $leaf, array $leaves, array $moving): ?array
    {
        $left = $leaf->under;
        $over = [];
        while ($left !== []) {
            $next = null;
            foreach ($leaves as $one) {
                $apart = array_intersect($one->cells, [...$leaf->cells, ...$moving]) === [];
                if ($apart && $one->up === $leaf->up && in_array($left[0], $one->cells, true) && $one->under === []) {
                    $next = $one;
                    break;
                }
            }
            if ($next === null || count($over) > 2) {
                return null;
            }
            $over[] = $next;
            $left = array_values(array_diff($left, $next->cells));
        }

        return $over;
    }

    /**
     * Whether what opens leaves and comes back where it belongs: paper that opens lies over the part before and after,
     * paper that stays lies under it, and within the leaf on which it hangs nothing is in its way.
     *
     * @param  list<Leaf>  $over
     * @param  array<int, int>  $moving
     * @param  array<int, int>  $blocking
     */
    private static function isInOrder(
        Transition $transition,
        Leaf $leaf,
        array $over,
        array $moving,
        array $blocking,
    ): bool {
        $carries = array_intersect($moving, $leaf->cells) !== [];
        if ($carries && array_intersect($blocking, $leaf->cells) !== []) {
            return false;
        }
        $opens = array_fill_keys(array_merge($carries ? [] : $leaf->cells, ...array_column($over, 'cells')), true);
        $own = array_fill_keys([...$moving, ...($carries ? $leaf->cells : [])], true);
        foreach ([$transition->layers(false), $transition->layers(true)] as $layers) {
            foreach ($moving as $cell) {
                foreach ($layers[$cell] ?? [] as $other => $isOver) {
                    // over it toward the side to which the leaf opens
                    $lies = $isOver !== $leaf->up;
                    $isAsked = ! isset($own[$other]) && ($carries || isset($opens[$other]));
                    if ($isAsked && $lies !== isset($opens[$other])) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    /**
     * Moments, without the slide.
     *
     * @param  float  $stride  mm, the farthest a place goes from one to the next
     * @return array<int, array<int, array{float, float, float}>>
     */
    public function frames(float $stride): array
    {
        [$angle, $more] = [$this->angle, $this->more];
        $moments = fn (Leaf $leaf, float $by): int => max(2, (int) ceil($this->reach($leaf) * $by / $stride));
        $first = $this->over === [] ? 0 : max(array_map(static fn (Leaf $l): int => $moments($l, $more), $this->over));
        $opening = $moments($this->leaf, $angle);
        $turning = max(2, (int) ceil($this->turn->reach() / $stride)) * $this->turn->rounds();
        $frames = [];
        for ($i = 0; $i < $first; $i++) {
            $frames[] = $this->at(0.0, 0.0, $more * $i / $first);
        }
        for ($i = 0; $i < $opening; $i++) {
            $frames[] = $this->at(0.0, $angle * $i / $opening, $more);
        }
        for ($i = 0; $i < $turning; $i++) {
            $frames[] = $this->at($i / $turning, $angle, $more);
        }
        for ($i = 0; $i < $opening; $i++) {
            $frames[] = $this->at(1.0, $angle * (1 - $i / $opening), $more);
        }
        for ($i = 0; $i < $first; $i++) {
            $frames[] = $this->at(1.0, 0.0, $more * (1 - $i / $first));
        }
        $frames[] = $this->at(1.0, 0.0, 0.0);

        return $frames;
    }

    /** mm from the axis to the farthest corner. */
    private function reach(Leaf $leaf): float
    {
        return max(0.0, ...array_map(function (int $vertex) use ($leaf): float {
            [$x, $y] = $this->transition->start[$vertex];

            return abs($leaf->axis->distanceTo(new Point($x, $y)));
        }, $leaf->vertices));
    }

    /**
     * @param  float  $share  of the half turn
     * @param  float  $open  radians
     * @param  float  $over  radians by which what lies over it is open
     * @return array<int, array{float, float, float}>
     */
    private function at(float $share, float $open, float $over): array
    {
        $at = $this->turn->at($share);
        $turns = [[$this->leaf, $open], ...array_map(static fn (Leaf $l): array => [$l, $over], $this->over)];
        foreach ($turns as [$leaf, $angle]) {
            $own = [];
            foreach ($leaf->vertices as $vertex) {
                $own[$vertex] = $at[$vertex];
            }
            $at = RigidTurn::about($own, $leaf->axis, $angle) + $at;
        }
        ksort($at);

        return array_values($at);
    }
}
