<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Compound\Collapse;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\CreaseOf;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Landmark\SheetPoint;

/** All listed creases are folded at once; a fold without a name of its own is written like this too. */
final readonly class CollapseMove implements Movement
{
    /**
     * @param  list<LineRef>  $valley  as the folder sees them now
     * @param  list<LineRef>  $mountain
     * @param  list<LineRef>  $flat  creases that open
     * @param  SheetPoint|null  $stays  on a face that stays where it is
     * @param  bool  $onTop  what moves is wanted on top
     */
    public function __construct(
        public array $valley,
        public array $mountain,
        public array $flat,
        public ?SheetPoint $stays,
        public bool $onTop,
    ) {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        $stays = $in->has('stays') ? $folds->point('stays') : null;
        if ($stays !== null && ! ($stays instanceof SheetPoint)) {
            throw $in->bad('stays', '"stays" must be a point of the sheet: A to D, centre or "paper SHARE SHARE".');
        }
        $move = new self(
            valley: $folds->lines('valley'),
            mountain: $folds->lines('mountain'),
            flat: $folds->lines('flat'),
            stays: $stays,
            onTop: $in->oneOf('moves', ['on top', 'under'], 'on top') === 'on top',
        );

        return $move->valley !== [] || $move->mountain !== []
            ? $move
            : throw $in->bad(null, 'A collapse lists its creases: valley, mountain, or both.');
    }

    public function make(Setting $setting, string $label): Made
    {
        $creases = [];
        foreach (
            [
                [$this->valley, Assignment::Valley],
                [$this->mountain, Assignment::Mountain],
                [$this->flat, Assignment::Flat],
            ] as [$lines, $wanted]
        ) {
            foreach ($lines as $line) {
                foreach (self::onSheet($line, $setting) as $segment) {
                    $creases[] = [$segment, $wanted];
                }
            }
        }
        $after = Collapse::apply(
            state: $setting->state,
            creases: $creases,
            stays: $this->stays?->onSheet($setting),
            onTop: $this->onTop,
            origin: $label,
        );
        [$grip, $landing] = self::furthest($setting, $after->positionOf(...));

        return new Made($after, $grip, $landing);
    }

    public function says(Change $change): Saying
    {
        $valleys = count(array_filter($change->folds, static fn (array $fold): bool => $fold['valley']));

        return new Saying(more: $valleys > 0 && $valleys < count($change->folds) ? ['collapse-creases'] : []);
    }

    public function arrow(): ?string
    {
        return 'fold';
    }

    /** @return list<Segment> the pieces of the sheet along a line */
    private static function onSheet(LineRef $line, Setting $setting): array
    {
        if ($line instanceof CreaseOf) {
            return $setting->creases[$line->label] ??
                throw CannotFold::notFound("No earlier step makes a crease called \"{$line->label}\".");
        }
        $stretch = $line->trace($setting);
        $pieces = [];
        foreach ($setting->state->polygons as $face => $polygon) {
            $span = $polygon->spanInside($stretch->a, $stretch->b, -$setting->state->tolerance->length);
            if (
                $span !== null &&
                ($span[1] - $span[0]) * $stretch->length() > $setting->state->tolerance->sight
            ) {
                $piece = new Segment($stretch->at($span[0]), $stretch->at($span[1]));
                $pieces[] = $piece->placed($setting->state->placements[$face]->inverse());
            }
        }

        return $pieces;
    }

    /**
     * The corner of the sheet that travels furthest: where hands take hold.
     *
     * @param  callable(Point): ?Point  $after
     * @return array{Point, Point}
     */
    private static function furthest(Setting $setting, callable $after): array
    {
        $best = null;
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as [$u, $v]) {
            $corner = $setting->state->sheet->at($u, $v);
            $from = $setting->state->positionOf($corner);
            $to = $after($corner);
            if (
                $from !== null &&
                $to !== null &&
                ($best === null || $from->distanceTo($to) > $best[0]->distanceTo($best[1]))
            ) {
                $best = [$from, $to];
            }
        }

        return $best ?? [$setting->state->box()->centre(), $setting->state->box()->centre()];
    }
}
