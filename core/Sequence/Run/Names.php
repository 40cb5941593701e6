<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Run;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Hands\NewCreases;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Step;

/** What steps have given a name to so far: points, creases, parts; all fixed to the sheet of one piece. */
final readonly class Names
{
    /**
     * @param  array<string, Point>  $marks  on the sheet, mm
     * @param  array<string, list<Segment>>  $creases  pieces on the sheet, mm, by the step's label and by name
     * @param  Called  $called  parts that have a name of the table
     */
    public function __construct(
        public array $marks = [],
        public array $creases = [],
        public Called $called = new Called(),
    ) {
    }

    /**
     * With the creases that a step has made.
     *
     * @param  array<string, list<Segment>>  $sides  of a step done on both sides, each apart, by its name
     */
    public function withCreases(Step $step, FoldedState $before, FoldedState $after, array $sides): self
    {
        $creases = $this->creases;
        $pieces = NewCreases::between($before, $after);
        if ($pieces !== []) {
            $creases[$step->label()] = $pieces;
            if ($step->name !== null) {
                $creases[$step->name] = $pieces;
            }
        }
        $made = array_filter($sides, static fn (array $side): bool => $side !== []);

        return new self($this->marks, $made + $creases, $this->called);
    }

    /** With its creases named as others have them. */
    public function withCreasesOf(self $other): self
    {
        return new self($this->marks, $other->creases, $this->called);
    }

    /**
     * With the marks of a step, and the parts it calls by a name or no longer so.
     *
     * @param  Setting  $setting  after the step
     *
     * @throws CannotFold when a mark lies beside the paper, or a part that has a name is cut away
     */
    public function withPoints(Step $step, Setting $setting): self
    {
        $marks = $this->marks;
        foreach ($step->marks as $name => $point) {
            $marks[$name] = self::onSheet($point->locate($setting), $setting->state);
        }
        $called = $this->called;
        foreach ($step->call as $name => $point) {
            $place = $point === null ? null : self::onSheet($point->locate($setting), $setting->state);
            $called = $called->with((string) $name, $place);
        }
        $called->mustBeThere($setting->state);

        return new self($marks, $this->creases, $called);
    }

    /** The place of the sheet that lies uppermost at a place of the table. */
    private static function onSheet(Point $folded, FoldedState $state): Point
    {
        $best = null;
        foreach ($state->polygons as $face => $polygon) {
            if (
                $polygon->contains($folded, -$state->tolerance->meeting) &&
                ($best === null || $state->order->above($face, $best) === true)
            ) {
                $best = $face;
            }
        }

        return $best === null
            ? throw CannotFold::notFound('The mark does not lie on the paper.', $folded)
            : $state->placements[$best]->inverse()->of($folded);
    }
}
