<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;

/**
 * Inside and outside reverse fold: the tip of a flap of two like halves goes over the line, inside between the halves
 * or outside round both. Every layer is reflected, as in a simple fold; the order tells the three apart. Within a half
 * the layers end up in turned order, the front half's tip stays before the back half's, and so the ridge turns over.
 */
final class Reverse
{
    /** @var array<int, bool> whether a face of the flap belongs to the half nearer the folder */
    private array $isFront = [];

    private Sketch $sketch;

    /** @param  list<int>  $flap faces of the state */
    private function __construct(
        private readonly FoldedState $state,
        private readonly array $flap,
        private readonly bool $inside,
        string $origin,
    ) {
        $this->sketch = new Sketch($state, $origin);
    }

    /**
     * @param  Line  $line  in the folded plane, its positive side moves
     * @param  list<int>  $flap  faces of the flap beyond the line, both halves, as Flaps gives them
     *
     * @throws CannotFold when the flap has no two like halves, or paper would tear or pass through paper
     */
    public static function apply(FoldedState $state, Line $line, array $flap, bool $inside, string $origin): FoldedState
    {
        if ($flap === []) {
            throw CannotFold::nothingBeyond();
        }

        return (new self($state, $flap, $inside, $origin))->run($line);
    }

    private function run(Line $line): FoldedState
    {
        [$moved, $rest] = $this->sketch->split($this->flap, $line);
        $this->isFront = $this->sketch->halves($moved);
        foreach ($rest as $face) {
            foreach ($moved as $m) {
                if ($this->sketch->parentOf($m) === $this->sketch->parentOf($face)) {
                    $this->isFront[$face] = $this->isFront[$m];
                }
            }
        }
        $this->sketch->move($moved, Isometry::reflection($line));

        return $this->sketch->finish($this->pin(...), $this->wish(...));
    }

    private function pin(int $i, int $j): ?bool
    {
        $iMoved = $this->sketch->hasMoved($i);
        if ($iMoved && $this->sketch->hasMoved($j)) {
            $above = $this->sketch->above($i, $j);

            return $above === null ? null : ($this->isFront[$i] === $this->isFront[$j] ? ! $above : $above);
        }
        [$moved, $still] = $iMoved ? [$i, $j] : [$j, $i];
        if (! isset($this->isFront[$still])) {
            return null;
        }
        $movedAbove = $this->inside ? ! $this->isFront[$still] : $this->isFront[$moved];

        return $movedAbove === $iMoved;
    }

    /**
     * Paper that is not of this flap stays outside the halves if it was, and the tip goes past it if it was between.
     */
    private function wish(int $i, int $j): ?bool
    {
        $iMoved = $this->sketch->hasMoved($i);
        if ($iMoved === $this->sketch->hasMoved($j)) {
            return null;
        }
        [$moved, $still] = $iMoved ? [$i, $j] : [$j, $i];
        if (! $this->inside) {
            return $this->isFront[$moved] === $iMoved;
        }
        foreach ($this->flap as $face) {
            $above = $this->state->order->above($this->sketch->parentOf($still), $face);
            $half = $this->isFront[$face] ?? null;
            if ($above !== null && $half !== null && $above === $half) {
                return $above !== $iMoved; // outside the half it lies against: above the front, or under the back
            }
        }

        return $this->isFront[$moved] === $iMoved;
    }
}
