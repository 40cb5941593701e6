<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Settle;

/**
 * Leads paper from one flat state to the next: the angles are drawn on little by little, and no node goes far between
 * two moments. Where the paper snaps it is held back; at the end it is laid onto the flat state.
 *
 * @phpstan-type Target callable(float): array<int, float>
 */
final class Continuation
{
    /** The longest way of a node between two moments, as a share of the shorter side. */
    private const JUMP = 0.08;

    private const STRIDE = 1 / 12;

    private const SHORTEST = 1 / 48;

    /** Linear systems solved before it is given up: a fold that finds its way needs at most 800. */
    private const SOLVES = 1200;

    /** Moments in which a snap may be held back. */
    private const SNAPS = 80;

    /** As a share of the shorter side: near enough to be laid down exactly. */
    private const NEAR = 0.005;

    /** @var array<int, array<int, float>> by moment: three numbers a node */
    public array $frames;

    /**
     * @param  Target  $targets  angles by hinge at a share of the way
     * @param  array<int, float>  $end  three numbers a node
     * @param  array<int, array{float, float, float, float}>  $anchors  pulls that fade: by node, weight and place
     * @param  array<int, array{float, float, float, float}>  $holds  pulls that stay
     */
    public function __construct(
        private readonly BarsAndHinges $paper,
        private readonly mixed $targets,
        private readonly array $end,
        private readonly float $side,
        private readonly array $anchors = [],
        private readonly array $holds = [],
    ) {
        $this->frames = [$paper->x];
    }

    /** Whether the flat state was reached. */
    public function run(): bool
    {
        $t = 0.0;
        $stride = self::STRIDE;
        while ($t < 1.0) {
            if ($this->paper->solves > self::SOLVES) {
                return false;
            }
            $next = min(1.0, $t + $stride);
            $saved = $this->paper->state();
            $this->aim($next);
            $this->paper->settle();
            $way = $this->farthest($saved[0], $this->paper->x);
            if ($way > self::JUMP) {
                $this->paper->restore($saved);
                if ($stride > self::SHORTEST) {
                    $stride = max(self::SHORTEST, $stride / 2);

                    continue;
                }
                $this->snap();
            } else {
                $this->frames[] = $this->paper->x;
            }
            $t = $next;
            $stride = $way < self::JUMP / 2 ? $stride * 1.6 : $stride;
        }

        return $this->land();
    }

    private function aim(float $t): void
    {
        $this->paper->targets = ($this->targets)($t);
        $fade = sqrt(max(0.0, 1 - $t));
        $this->paper->pulls = $this->holds + array_map(
            static fn (array $a): array => [$a[0] * $fade, $a[1], $a[2], $a[3]],
            $this->anchors,
        );
    }

    private function snap(): void
    {
        $hold = 30.0;
        for ($i = 0; $i < self::SNAPS && $this->paper->solves <= self::SOLVES; $i++) {
            $saved = $this->paper->state();
            $this->paper->holds = $this->towards($saved[0], $hold);
            $this->paper->settle();
            $way = $this->farthest($saved[0], $this->paper->x);
            if ($way > self::JUMP) {
                $this->paper->restore($saved);
                $hold *= 4;

                continue;
            }
            $this->frames[] = $this->paper->x;
            $hold /= $way < self::JUMP / 2 ? 3 : 1;
            if ($way < 0.01) {
                break;
            }
        }
        $this->paper->holds = [];
    }

    private function land(): bool
    {
        $this->aim(1.0);
        $pull = 3.0;
        for ($i = 0; $i < self::SNAPS && $pull < 1e5 && $this->paper->solves <= self::SOLVES; $i++) {
            $saved = $this->paper->state();
            $this->paper->holds = $this->towards($this->end, $pull);
            $this->paper->settle();
            $way = $this->farthest($saved[0], $this->paper->x);
            if ($way > self::JUMP) {
                $this->paper->restore($saved);
                $pull /= 4;

                continue;
            }
            if ($way > 1e-4) {
                $this->frames[] = $this->paper->x;
            }
            $pull *= 10;
        }
        $this->paper->holds = [];
        $lands = $this->farthest($this->paper->x, $this->end) < self::NEAR;
        $this->frames[] = $this->end;

        return $lands;
    }

    /**
     * @param  array<int, float>  $places
     * @return array<int, array{float, float, float, float}>
     */
    private function towards(array $places, float $weight): array
    {
        $pulls = [];
        for ($node = 0; $node < count($places) / 3; $node++) {
            $pulls[] = [$weight, $places[3 * $node], $places[3 * $node + 1], $places[3 * $node + 2]];
        }

        return $pulls;
    }

    /**
     * @param  array<int, float>  $one
     * @param  array<int, float>  $other
     * @return float as a share of the shorter side
     */
    private function farthest(array $one, array $other): float
    {
        $most = 0.0;
        for ($i = 0; $i < count($one); $i += 3) {
            $dx = $one[$i] - $other[$i];
            $dy = $one[$i + 1] - $other[$i + 1];
            $dz = $one[$i + 2] - $other[$i + 2];
            $most = max($most, $dx * $dx + $dy * $dy + $dz * $dz);
        }

        return sqrt($most) / $this->side;
    }
}
