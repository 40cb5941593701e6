<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Order;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Folding\Pattern\FaceGraph;
use Cathedra\Core\Folding\Pattern\PatternBuilder;
use Cathedra\Core\Geometry\Point;

/** Takes back an earlier fold and leaves its creases as marks; whatever was creased since stays. */
final class Unfolding
{
    /** @var array<int, int> component of each face once the unfolded creases are taken away */
    private array $part = [];

    private function __construct(
        private readonly FoldedState $state,
        private readonly FoldedState $before,
        private readonly FoldedState $after,
    ) {
    }

    /**
     * @param  FoldedState  $before  the state before the fold that is taken back
     * @param  FoldedState  $after  the state after it; $state may have come further
     *
     * @throws CannotFold when nothing of it is folded any more, or what came since holds it
     */
    public static function of(FoldedState $state, FoldedState $before, FoldedState $after): FoldedState
    {
        return (new self($state, $before, $after))->run();
    }

    private function run(): FoldedState
    {
        $builder = new PatternBuilder($this->state->pattern, $this->state->tolerance);
        $opened = [];
        foreach ($this->state->pattern->edges as $key => $edge) {
            $was = $edge->isCrease() ? $this->assignmentAt($this->before, $edge) : $edge->assignment;
            if (
                $edge->isCrease() &&
                $edge->assignment !== $was &&
                $edge->assignment === $this->assignmentAt($this->after, $edge)
            ) {
                $builder->assign($key, $was);
                $opened[$key] = true;
            }
        }
        if ($opened === []) {
            throw CannotFold::notFound('Nothing of that step is folded any more, so there is nothing to unfold.');
        }
        $pattern = $builder->build();
        $this->part = $this->parts($pattern, $opened);
        $base = $this->base();
        $turned = $this->state->frontUp[$base] !== $this->before->frontUp[$this->former($base)];

        return Refold::apply(
            state: $this->state,
            pattern: $pattern,
            base: $base,
            basePlacement: $this->state->placements[$base],
            wish: fn (int $i, int $j): ?bool => $this->wish($i, $j, $base, $turned),
        );
    }

    private function assignmentAt(FoldedState $state, Edge $edge): Assignment
    {
        $middle = $this->state->pattern->segment($edge)->middle();

        return $state->pattern->edgeAt($middle, $state->tolerance->meeting)->assignment ?? Assignment::Flat;
    }

    /**
     * @param  array<string, true>  $opened
     * @return array<int, int>
     */
    private function parts(Pattern $pattern, array $opened): array
    {
        $closed = static fn (Edge $edge): bool => ! isset($opened[Edge::key($edge->a, $edge->b)]);
        $part = [];
        foreach (FaceGraph::of($pattern, $closed)->parts() as $faces) {
            $part += array_fill_keys($faces, $faces[0]);
        }

        return $part;
    }

    /** The largest face of the largest part stays on the table. */
    private function base(): int
    {
        $areas = [];
        foreach ($this->part as $face => $part) {
            $areas[$part] = ($areas[$part] ?? 0.0) + $this->state->polygons[$face]->area();
        }
        arsort($areas);
        $largest = array_key_first($areas);
        $faces = array_keys($this->part, $largest, true);
        usort(
            $faces,
            fn (int $a, int $b): int => $this->state->polygons[$b]->area() <=> $this->state->polygons[$a]->area(),
        );

        return $faces[0];
    }

    /** The face of the earlier state that a face was part of. */
    private function former(int $face): int
    {
        return $this->before->pattern->faceAt($this->centre($face), $this->state->tolerance->length) ??
            throw CannotFold::notFound('Paper was cut away since that step, so it cannot be unfolded as it was.');
    }

    private function centre(int $face): Point
    {
        return $this->state->pattern->polygon($face)->centroid();
    }

    /** Layers that move together keep their order; for the others the order before the fold is wanted. */
    private function wish(int $i, int $j, int $base, bool $turned): ?bool
    {
        if ($this->part[$i] === $this->part[$j]) {
            $above = $this->state->order->above($i, $j);
            $stays = $this->part[$i] === $this->part[$base];

            return $above === null || $stays ? $above : ! $above;
        }
        $above = $this->before->order->above($this->former($i), $this->former($j));

        return $above === null ? null : $above !== $turned;
    }
}
