<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\SimpleFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\Alignment\Alignment;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Layers;

/** A tip or edge is rolled up in small turns, each as wide as the first, until the last lies along a line. */
final readonly class RollMove implements Movement
{
    /** Fewer is a fold, more no finger makes flat. */
    private const TURNS = [2, 6];

    /** @param  Alignment  $last  where the last turn comes to lie */
    public function __construct(
        public Alignment $last,
        public Layers $layers,
        public int $turns,
        public bool $valley,
    ) {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        return new self(
            $folds->alignment(),
            $folds->layers(),
            $in->whole('turns', self::TURNS[0], self::TURNS[1], 3),
            $in->oneOf('as', ['valley', 'mountain'], 'valley') === 'valley',
        );
    }

    public function make(Setting $setting, string $label): Made
    {
        $last = $this->last->locate($setting);
        $tip = $last->grip;
        $deep = $last->line->distanceTo($tip);
        $flap = array_fill_keys($this->layers->choose($setting, $last), true);
        $out = $last->line->normal->times($deep / $this->turns);
        $state = $setting->state;
        $between = [];
        for ($turn = $this->turns - 1; $turn >= 0; $turn--) {
            $line = self::shifted($last->line, $out->times($turn));
            $state = SimpleFold::apply(
                state: $state,
                line: $line,
                valley: $this->valley,
                moving: self::still($setting->state, $flap, $state, $line),
                origin: $label,
            );
            $between[] = $state;
        }
        $first = self::shifted($last->line, $out->times($this->turns - 1));

        return new Made(
            after: $state,
            grip: $tip,
            landing: $first->reflected($tip),
            line: $last->line,
            between: array_slice($between, 0, -1),
        );
    }

    public function says(Change $change): Saying
    {
        return new Saying(with: ['turns' => $this->turns]);
    }

    public function arrow(): ?string
    {
        return 'fold';
    }

    private static function shifted(Line $line, Point $by): Line
    {
        $on = $line->foot()->plus($by);

        return Line::along($on, $line->direction());
    }

    /**
     * The faces beyond the line that come from the flap that is rolled.
     *
     * @param  array<int, true>  $flap  faces of $before
     * @return list<int> faces of $now
     *
     * @throws CannotFold when nothing of it is left there
     */
    private static function still(FoldedState $before, array $flap, FoldedState $now, Line $line): array
    {
        $faces = [];
        foreach ($now->polygons as $face => $polygon) {
            $beyond = $polygon->clippedBy($line);
            if ($beyond->area() > $now->tolerance->area) {
                $onSheet = $now->placements[$face]->inverse()->of($beyond->centroid());
                if (isset($flap[$before->pattern->faceAt($onSheet, $before->tolerance->length) ?? -1])) {
                    $faces[] = $face;
                }
            }
        }

        return $faces === [] ? throw CannotFold::nothingBeyond() : $faces;
    }
}
