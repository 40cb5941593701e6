<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Folding\Order\LayerOrder;
use Cathedra\Core\Folding\Order\Overlaps;
use Cathedra\Core\Folding\Pattern\Division;
use Cathedra\Core\Folding\Pattern\PatternBuilder;
use Cathedra\Core\Folding\Reading\Flaps;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;

/** A fold along one line: some flaps beyond it are turned about it, through half a turn, toward the folder or away. */
final class SimpleFold
{
    /** Far above what a model for beginners has (a crane: about 60); keeps a fold under a second or two. */
    private const MAX_FACES = 220;

    /** @var array<int, true> faces of the new pattern that moved */
    private array $moved = [];

    private readonly Division $division;

    private Pattern $pattern;

    /**
     * @param  Line  $line  in the folded plane, its positive side moves
     * @param  list<int>  $moving  faces: whole flaps (Flaps) beyond the line
     */
    private function __construct(
        private readonly FoldedState $state,
        private readonly Line $line,
        private readonly bool $valley,
        private readonly array $moving,
        private readonly Landing $landing,
        string $origin,
    ) {
        $this->division = new Division($state, $origin);
    }

    /**
     * @param  Line  $line  in the folded plane, its positive side moves
     * @param  bool  $valley  true: toward the folder; false: away (mountain)
     * @param  list<int>  $moving  faces of the flaps that move, as Flaps gives them
     * @param  string  $origin  label kept on the creases that are made
     *
     * @throws CannotFold when nothing would move, paper would tear, or paper would pass through paper
     */
    public static function apply(
        FoldedState $state,
        Line $line,
        bool $valley,
        array $moving,
        string $origin,
        ?Landing $landing = null,
    ): FoldedState {
        return (new self(
            state: $state,
            line: $line,
            valley: $valley,
            moving: $moving,
            landing: $landing ?? Landing::outside(),
            origin: $origin,
        ))->run();
    }

    /**
     * Folds and unfolds: the same creases as apply() would make, left flat.
     *
     * @param  list<int>  $moving
     *
     * @throws CannotFold when the fold itself could not be done
     */
    public static function crease(
        FoldedState $state,
        Line $line,
        bool $valley,
        array $moving,
        string $origin,
    ): FoldedState {
        $fold = new self(
            state: $state,
            line: $line,
            valley: $valley,
            moving: $moving,
            landing: Landing::outside(),
            origin: $origin,
        );
        $fold->run();
        $parent = $fold->division->parents();
        $builder = new PatternBuilder($fold->pattern, $state->tolerance);
        foreach ($fold->pattern->edges as $key => $edge) {
            if ($edge->isCrease()) {
                $bent = $state->frontUp[$parent[$edge->faces[0]]] !== $state->frontUp[$parent[$edge->faces[1]]];
                $builder->assign(
                    $key,
                    $bent
                        ? ($edge->assignment->isFolded()
                            ? $edge->assignment
                            : $fold->formerly($edge))
                        : Assignment::Flat,
                );
            }
        }

        return $state->divided($builder->build(), $parent);
    }

    private function run(): FoldedState
    {
        $this->refuse();
        $this->divide();
        $placements = $this->placements();
        $this->bendCreases();
        $polygons = array_map(
            fn (int $f) => $this->pattern->polygon($f)->placed($placements[$f]),
            array_keys($this->pattern->faces),
        );
        $overlaps = Overlaps::among($polygons, $this->state->tolerance);
        $order = LayerOrder::of(count($polygons), $this->bits($overlaps));

        return FoldedState::assembled(
            sheet: $this->state->sheet,
            pattern: $this->pattern,
            placements: $placements,
            order: $order,
            removedArea: $this->state->removedArea,
            overlaps: $overlaps,
        );
    }

    private function refuse(): void
    {
        if ($this->moving === []) {
            throw CannotFold::nothingBeyond();
        }
        $flaps = Flaps::beyond($this->state, $this->line);
        if (
            count($this->moving) === $this->state->faceCount() &&
            Flaps::beyond($this->state, $this->line->reversed())->count() === 0
        ) {
            throw CannotFold::nothingBeyond();
        }
        $isMoving = array_fill_keys($this->moving, true);
        foreach ($this->state->pattern->creases() as $edge) {
            $segment = $this->state->segment($edge);
            [$f, $g] = $edge->faces;
            if (
                isset($isMoving[$f]) !== isset($isMoving[$g]) &&
                $segment->reachesBeyond($this->line, $this->state->tolerance->length)
            ) {
                throw CannotFold::joined($segment->middle());
            }
        }
        if ($this->landing->isOutside() && ($place = $flaps->blockedAt($this->moving, $this->valley)) !== null) {
            throw CannotFold::covered($place);
        }
    }

    private function divide(): void
    {
        foreach ($this->moving as $face) {
            $this->moved[$this->division->split($face, $this->line) ?? $face] = true;
        }
        $this->pattern = $this->division->pattern();
        if ($this->pattern->faceCount() > self::MAX_FACES) {
            throw CannotFold::notFound(
                sprintf('This would divide the sheet into more than %d faces; no hand folds that.', self::MAX_FACES),
            );
        }
    }

    /** @return list<Isometry> */
    private function placements(): array
    {
        $reflection = Isometry::reflection($this->line);

        return array_map(
            fn (int $face): Isometry => isset($this->moved[$face])
                ? $this->division->placement($face)->then($reflection)
                : $this->division->placement($face),
            array_keys($this->pattern->faces),
        );
    }

    private function bendCreases(): void
    {
        $builder = new PatternBuilder($this->pattern, $this->state->tolerance);
        foreach ($this->pattern->edges as $key => $edge) {
            if (! $edge->isCrease() || isset($this->moved[$edge->faces[0]]) === isset($this->moved[$edge->faces[1]])) {
                continue;
            }
            if ($edge->assignment->isFolded()) {
                $builder->assign($key, Assignment::Flat); // turned like a page: the crease opens

                continue;
            }
            $stays = isset($this->moved[$edge->faces[0]]) ? $edge->faces[1] : $edge->faces[0];
            $frontUp = $this->state->frontUp[$this->division->parentOf($stays)];
            $builder->assign($key, $frontUp === $this->valley ? Assignment::Valley : Assignment::Mountain);
        }
        $this->pattern = $builder->build();
    }

    /** What a crease was before the fold opened it. */
    private function formerly(Edge $edge): Assignment
    {
        [$f, $g] = $edge->faces;
        $upper = $this->division->above($f, $g) === true ? $f : $g;

        return $this->state->frontUp[$this->division->parentOf($upper)] ? Assignment::Mountain : Assignment::Valley;
    }

    /** @return array<int, bool> */
    private function bits(Overlaps $overlaps): array
    {
        $n = $this->pattern->faceCount();
        $depth = $this->landing->under > 0 ? $this->depths($overlaps) : [];
        $bits = [];
        foreach (array_keys($overlaps->common) as $key) {
            [$i, $j] = [intdiv($key, $n), $key % $n];
            $iMoved = isset($this->moved[$i]);
            if ($iMoved !== isset($this->moved[$j])) {
                $bits[$key] = $iMoved ? $this->landsAbove($j, $depth) : ! $this->landsAbove($i, $depth);

                continue;
            }
            $above = $this->division->above($i, $j);
            if ($above === null) {
                throw CannotFold::tooClose($overlaps->common[$key]->centroid());
            }
            $bits[$key] = $iMoved ? ! $above : $above;
        }

        return $bits;
    }

    /**
     * Whether the moved layers come to lie above a face that stays.
     *
     * @param  array<int, int>  $depth
     */
    private function landsAbove(int $stays, array $depth): bool
    {
        if ($this->landing->under > 0) {
            return $this->valley === ($depth[$stays] ?? 0) >= $this->landing->under;
        }
        if (! $this->landing->inside) {
            return $this->valley;
        }
        $root = $this->division->parentOf($stays);
        if (in_array($root, $this->moving, true)) {
            return $this->valley;
        }
        $beyond = false;
        foreach ($this->moving as $face) {
            $above = $this->state->order->above($face, $root);
            $beyond = $beyond || $above === $this->valley;
            if ($above !== null && $above !== $this->valley) {
                $covers = true;
            }
        }

        return $beyond || ! isset($covers) ? $this->valley : ! $this->valley;
    }

    /**
     * How many layers that stay lie further out than each of them where the moved paper lands: the longest chain.
     *
     * @return array<int, int>
     */
    private function depths(Overlaps $overlaps): array
    {
        $n = $this->pattern->faceCount();
        $landing = [];
        foreach (array_keys($overlaps->common) as $key) {
            [$i, $j] = [intdiv($key, $n), $key % $n];
            if (isset($this->moved[$i]) !== isset($this->moved[$j])) {
                $landing[isset($this->moved[$i]) ? $j : $i] = true;
            }
        }
        $faces = array_keys($landing);
        $depth = array_fill_keys($faces, 0);
        foreach ($faces as $_) {
            // as many rounds as a chain can be long
            $changed = false;
            foreach ($faces as $f) {
                foreach ($faces as $g) {
                    if (
                        $f !== $g &&
                        $this->division->above($g, $f) === $this->valley &&
                        $depth[$f] < $depth[$g] + 1
                    ) {
                        $depth[$f] = $depth[$g] + 1;
                        $changed = true;
                    }
                }
            }
            if (! $changed) {
                break;
            }
        }

        return $depth;
    }
}
