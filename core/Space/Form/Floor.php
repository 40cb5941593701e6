<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;

/** The frame of a form whose middle stays on the table: the sheet's middle, two axes on the sheet, and height. mm. */
final readonly class Floor
{
    private function __construct(private Point $origin, private Point $u, private Point $v, private Isometry $place)
    {
    }

    /**
     * @param  Point  $along  first axis, on the sheet; the second stands a quarter to its left
     * @param  Point|null  $stays  a place on the face that stays; the sheet's middle, a little aside
     */
    public static function of(FoldedState $flat, Point $along, ?Point $stays = null): ?self
    {
        $middle = self::middle($flat);
        $u = $along->unit();
        $v = $u->turnedLeft();
        $aside = 1e-3 * $flat->sheet->diagonal();
        $on = $stays ?? $middle->plus($u->times($aside))->plus($v->times($aside / 2));
        $face = $flat->pattern->faceAt($on, 0.0);

        return $face === null ? null : new self($middle, $u, $v, $flat->placements[$face]);
    }

    public static function middle(FoldedState $flat): Point
    {
        return new Point($flat->sheet->width / 2, $flat->sheet->height / 2);
    }

    /** @return array{float, float} a place of the sheet along the two axes */
    public function local(Point $sheet): array
    {
        $from = $sheet->minus($this->origin);

        return [$from->dot($this->u), $from->dot($this->v)];
    }

    /** @return array{float, float} a place of the table along the two axes */
    public function localOfTable(Point $flat): array
    {
        return $this->local($this->place->inverse()->of($flat));
    }

    /** The place of the sheet at these lengths along the axes. */
    public function onSheet(float $a, float $b): Point
    {
        return $this->origin->plus($this->u->times($a))->plus($this->v->times($b));
    }

    /**
     * @param  array{float, float, float}  $p  along the axes and up
     * @return array{float, float, float} in the folder's frame
     */
    public function onTable(array $p): array
    {
        $on = $this->place->of($this->onSheet($p[0], $p[1]));

        return [$on->x, $on->y, $p[2]];
    }
}
