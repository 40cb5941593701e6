<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Hands\Handling;
use Cathedra\Core\Sequence\Run\Called;
use Cathedra\Core\Sequence\Run\CalledPart;

/**
 * Says points and lines of a state in a folder's words, from where they lie, whatever the sequence called them. Only
 * what can be seen from above has a name; of the rest this says null, and the sentence points at the picture.
 */
final readonly class Places
{
    /** Of the length of the paper that carries a called part: what is folded over of its tip at most. */
    private const TIP = 1 / 3;

    private Anatomy $anatomy;

    private Seen $seen;

    private Lines $lines;

    /** @param  Called  $called  parts that have a name, which goes before every other */
    public function __construct(
        private FoldedState $state,
        private Phrasebook $words,
        private Called $called = new Called(),
    ) {
        $this->anatomy = Anatomy::of($state);
        $this->seen = new Seen($state);
        $this->lines = new Lines($this->anatomy, $this->seen, $words);
    }

    /** The point in words; "the dot" where nothing names it. */
    public function point(Point $p): string
    {
        return $this->named($p) ?? $this->words->say('points', 'place');
    }

    /** The line in words where an edge or a crease lies there, else null. */
    public function line(Segment $segment): ?string
    {
        return $this->lines->line($segment);
    }

    /** The edge of the outline beside which the line runs, the nearest one; null where none is parallel. */
    public function besideEdge(Segment $line): ?string
    {
        return $this->lines->besideEdge($line);
    }

    /**
     * The corner or tip that a hand takes, in words; null where it is none of those, or has no name. Of a called part
     * of which only a little is folded over, the tip is taken.
     */
    public function grip(Handling $hands): ?string
    {
        $p = $hands->at;
        $part = $this->called->at($this->state, $p);
        if ($part !== null) {
            return $this->words->say('points', self::isTip($hands, $part) ? 'called-tip' : 'called', [
                'part' => strtr($part->name, '-', ' '),
            ]);
        }
        $corner = $this->anatomy->outline->cornerAt($p);
        if ($corner !== null) {
            return $this->anatomy->compass->nameOfCorner($corner) === null ? null : $this->named($p);
        }

        return $this->seen->freeCorners($p) > 0 ? $this->words->say('points', 'tip') : null;
    }

    /** The point in words; null where only the picture can show it. */
    public function named(Point $p): ?string
    {
        return $this->landmark($p)
            ?? $this->pinch($p)
            ?? ($this->edgeThrough($p) === null ? $this->inside($p) : $this->creaseEnd($p));
    }

    /** The point by what it is of the outline: a called part, a corner, the middle of an edge. */
    public function landmark(Point $p): ?string
    {
        $part = $this->part($p);
        if ($part !== null) {
            return $part;
        }
        $outline = $this->anatomy->outline;
        $corner = $outline->cornerAt($p);
        if ($corner !== null && ($name = $this->anatomy->compass->nameOfCorner($corner)) !== null) {
            return $this->words->say('points', 'corner', [
                'direction' => $this->words->say('directions', $name->value),
            ]);
        }
        $edge = $this->edgeThrough($p);

        return $edge !== null && $edge[0]->middle()->distanceTo($p) < $this->seen->near
            ? $this->words->say('points', 'middle-of-edge', ['direction' => $edge[1]])
            : null;
    }

    /** The called part that lies here on top; a hyphen in its name stands for a space. */
    private function part(Point $p): ?string
    {
        $part = $this->called->at($this->state, $p);

        return $part === null ? null : $this->words->say('points', 'called', ['part' => strtr($part->name, '-', ' ')]);
    }

    /** Whether the fold line lies near the point: heads fold below 0.25 of the length, whole wings above 0.45. */
    private static function isTip(Handling $hands, CalledPart $part): bool
    {
        $line = $hands->line === null ? null : Line::through($hands->line->a, $hands->line->b);

        return $line !== null && abs($line->distanceTo($hands->at)) < self::TIP * $part->length;
    }

    private function pinch(Point $p): ?string
    {
        $step = $this->seen->pinchAt($p);

        return $step === null ? null : $this->words->say('points', 'pinch', ['step' => $step]);
    }

    /** The point as the end of a crease on an edge that has a name. */
    private function creaseEnd(Point $p): ?string
    {
        $edge = $this->edgeThrough($p);
        $step = $edge === null ? null : Seen::stepOf($this->seen->creasesThrough($p));

        return $edge === null || $step === null || $this->seen->endsOn($edge[0], $step) > 1
            ? null
            : $this->words->say('points', 'crease-end', ['step' => $step, 'direction' => $edge[1]]);
    }

    /** @return array{Segment, string}|null the edge of the outline through the point and its direction in words */
    private function edgeThrough(Point $p): ?array
    {
        $side = $this->anatomy->outline->sideThrough($p);
        $name = $side === null ? null : $this->anatomy->compass->nameOfSide($side);

        return $side === null || $name === null
            ? null
            : [$this->anatomy->outline->sides()[$side], $this->words->say('directions', $name->value)];
    }

    private function inside(Point $p): ?string
    {
        if ($p->distanceTo($this->state->box()->centre()) < $this->seen->near) {
            return $this->words->say('points', 'centre');
        }
        $tips = $this->seen->freeCorners($p);
        if ($tips > 0) {
            return $this->words->say('points', $tips > 1 ? 'tips' : 'tip');
        }

        return $this->seen->isCrossing($p) ? $this->words->say('points', 'crossing') : null;
    }
}
