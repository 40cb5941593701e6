<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Tolerance;
use Cathedra\Core\Latest;

/** What can be said about a folded state by looking at it; computed from geometry, once, when asked. */
final class Anatomy
{
    /** States whose anatomy is kept: those of a long model. */
    private const KEPT = 64;

    public readonly Outline $outline;

    public readonly Compass $compass;

    private ?Stacks $stacks = null;

    private function __construct(public readonly FoldedState $state)
    {
        $this->outline = Outline::of($state);
        $this->compass = new Compass($this->outline, $state->sheet->diagonal());
    }

    public static function of(FoldedState $state): self
    {
        /** @var Latest<self>|null $known a state is asked about from many places */
        static $known = null;
        $known ??= new Latest(self::KEPT);

        return $known->of([$state], static fn (): self => new self($state));
    }

    public function stacks(): Stacks
    {
        return $this->stacks ??= Stacks::of($this->state);
    }

    /**
     * How many points at an outline corner can be moved apart, and the layers there. One loose point of several layers
     * is closed: its layers hang together.
     *
     * @return array{loose: int, layers: int}
     */
    public function cornerAt(int $corner): array
    {
        $points = $this->outline->corners;
        $n = count($points);
        $tip = $points[$corner];
        $before = $points[($corner + $n - 1) % $n];
        $after = $points[($corner + 1) % $n];
        $near = 0.02 * min($tip->distanceTo($before), $tip->distanceTo($after));
        $inward = $before->minus($tip)->unit()->plus($after->minus($tip)->unit());
        if ($inward->length() < Tolerance::ANGLE) {
            return ['loose' => 1, 'layers' => 1];
        }
        $cut = Line::along($tip->plus($inward->unit()->times($near)), $inward->turnedLeft());
        $cut = $cut->distanceTo($tip) > 0 ? $cut : $cut->reversed();
        $flaps = Flaps::beyond($this->state, $cut)->reachingCount($tip);
        $probe = $tip->plus($inward->unit()->times($near / 2));

        return ['loose' => $flaps, 'layers' => count(Stacks::facesAt($this->state, $probe))];
    }

    /**
     * Whether the paper is open (only raw edges), closed (only folds) or both along a side of the outline.
     *
     * @return 'open'|'closed'|'mixed'
     */
    public function sideKind(int $side): string
    {
        $line = $this->outline->sides()[$side]->straight();
        $tolerance = $this->state->tolerance->sight;
        $raw = 0.0;
        $folded = 0.0;
        foreach ($this->state->pattern->edges as $edge) {
            $segment = $this->state->segment($edge);
            if (! $segment->liesOn($line, $tolerance)) {
                continue;
            }
            if ($edge->assignment->isRaw()) {
                $raw += $segment->length();
            } elseif ($edge->assignment->isFolded()) {
                $folded += $segment->length();
            }
        }

        return match (true) {
            $folded < $tolerance => 'open',
            $raw < $tolerance => 'closed',
            default => 'mixed',
        };
    }

    /** Share of the silhouette, 0 to 1, that shows the sheet's front to the folder (or, from below, to the table). */
    public function frontShare(bool $fromAbove = true): float
    {
        $front = 0.0;
        $all = 0.0;
        foreach ($this->stacks()->cells as $cell) {
            $area = $cell['polygon']->area();
            $face = $fromAbove ? $cell['faces'][0] : $cell['faces'][count($cell['faces']) - 1];
            $all += $area;
            $front += $this->state->frontUp[$face] === $fromAbove ? $area : 0.0;
        }

        return $all > 0 ? $front / $all : 0.0;
    }

    public function mostLayers(): int
    {
        return $this->stacks()->mostLayers();
    }

    /** The plain name of the outline. */
    public function shape(): OutlineName
    {
        return OutlineName::of($this->outline->corners, $this->state->sheet->diagonal());
    }

    /** Whether the outline is its own mirror image about the upright line through the middle. */
    public function isSymmetric(): bool
    {
        $x = $this->state->box()->centre()->x;
        foreach ($this->outline->corners as $p) {
            if ($this->outline->cornerAt(new Point(2 * $x - $p->x, $p->y)) === null) {
                return false;
            }
        }

        return true;
    }
}
