<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Mesh\Vector;

/**
 * Even pleats held together at one end and spread at the other. K pleats of width w, each crease turned on by the
 * same angle t from the one before: at the distance r from the held end a pleat leans by a, sin a = 2 r sin(t/2) /
 * w, so crease k lies at r in its direction k t and at w/2 cos a to one side or the other, by turns. The paper is
 * exact across and nearly so along (0.64 % at 70 degrees on a sheet of 297 x 210): pleats twist a little.
 */
final readonly class SpreadFan implements FormByFormula
{
    /** A pleat is cut into so many pieces along its length. */
    private const PIECES = 12;

    /**
     * @param  int  $pleats  K
     * @param  float  $width  w, mm
     * @param  float  $length  of a pleat, mm
     * @param  float  $spread  radians between the first and the last crease
     * @param  array{Point, Point, Point}  $frame  on the table: the held end's middle, the direction along the pleats,
     *     that across
     * @param  float  $side  1 where the last pleat goes up, -1 where it goes down
     */
    private function __construct(
        private int $pleats,
        private float $width,
        private float $length,
        private float $spread,
        private array $frame,
        private float $side,
    ) {
    }

    /**
     * Pleats run from the lower to the upper edge of the sheet; the lower one is held.
     *
     * @param  float  $spread  degrees
     */
    public static function of(FoldedState $flat, float $spread): ?self
    {
        $sheet = $flat->sheet;
        $faces = [];
        for ($x = 0.5e-3; $x < 1; $x += 1e-3) {
            $face = $flat->pattern->faceAt(new Point($x * $sheet->width, 0.501 * $sheet->height), 0.0);
            if ($face !== null && ! in_array($face, $faces, true)) {
                $faces[] = $face;
            }
        }
        $pleats = count($faces);
        if ($pleats < 2) {
            return null;
        }
        $place = $flat->placements[$faces[0]];
        $width = $sheet->width / $pleats;
        $end = $place->of(new Point($width / 2, 0));
        $along = $place->of(new Point($width / 2, 1))->minus($end);
        $across = $place->of(new Point($width / 2 + 1, 0))->minus($end);
        $isOver = $flat->order->above($faces[$pleats - 1], $faces[0]) ?? true;

        return new self(
            pleats: $pleats,
            width: $width,
            length: $sheet->height,
            spread: deg2rad($spread),
            frame: [$end, $along, $across],
            side: $isOver ? 1.0 : -1.0,
        );
    }

    public function bends(int $face): array
    {
        $lines = [];
        for ($i = 1; $i < self::PIECES; $i++) {
            $lines[] = Line::along(new Point(0, $i / self::PIECES * $this->length), new Point(1, 0));
        }

        return $lines;
    }

    public function stages(): int
    {
        return 1;
    }

    public function at(Spot $spot, float $progress): array
    {
        $pleat = min($this->pleats - 1, (int) floor($spot->middle->x / $this->width));
        $share = $spot->sheet->x / $this->width - $pleat;
        $one = $this->crease($pleat, $spot->sheet->y, $progress);
        $next = $this->crease($pleat + 1, $spot->sheet->y, $progress);
        [$along, $across, $up] = Vector::plus($one, $share, Vector::minus($next, $one));
        $on = $this->frame[0]->plus($this->frame[1]->times($along))->plus($this->frame[2]->times($across));

        return [$on->x, $on->y, $this->side * $up];
    }

    public function sizes(): array
    {
        $half = $this->spread / 2;

        return ['width' => 2 * $this->length * sin(min(M_PI_2, $half)), 'height' => $this->length];
    }

    /** @return array{float, float, float} along the first pleat from the held end, across it, and up */
    private function crease(int $k, float $r, float $progress): array
    {
        $turn = $this->spread * $progress / $this->pleats;
        $lean = min(1.0, 2 * $r * sin($turn / 2) / $this->width);
        $angle = ($k - $this->pleats / 2) * $turn;
        $aside = $this->width / 2 * sqrt(1 - $lean ** 2);

        return [$r * cos($angle), $k % 2 === 0 ? -$aside : $aside, $r * sin($angle)];
    }
}
