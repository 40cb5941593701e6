<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\CathedraException;
use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Format\Parser;

/** A landmark that a step may name where it stands, with the place it means there; for authors. */
final readonly class Nameable
{
    /**
     * @param  int  $number  counted from 1, as in the picture
     * @param  string  $text  as a sequence writes it
     * @param  Point|Segment  $at  in the folded plane, mm
     */
    private function __construct(public int $number, public string $text, public Point|Segment $at)
    {
    }

    /**
     * Everything that has a name of its own before a step; points between them and crossings can be made of these.
     *
     * @return list<self> points first, then lines
     */
    public static function all(Setting $setting): array
    {
        $directions = array_map(static fn (Direction $d): string => $d->value, Direction::cases());
        $points = [
            ...array_map(static fn (string $d): string => "corner $d", $directions),
            ...array_map(static fn (string $d): string => "middle of edge $d", $directions),
            'A',
            'B',
            'C',
            'D',
            'centre',
            ...array_map(static fn (string $name): string => "mark $name", array_keys($setting->marks)),
        ];
        $lines = [
            ...array_map(static fn (string $d): string => "edge $d", $directions),
            ...array_map(static fn (int|string $name): string => "crease $name", array_keys($setting->creases)),
        ];
        $found = [];
        foreach ([...$points, ...$lines] as $text) {
            try {
                $ref = Parser::pointOrLine($text);
                $at = $ref instanceof LineRef ? $ref->trace($setting) : $ref->locate($setting);
                $found[] = new self(count($found) + 1, $text, $at);
            } catch (CathedraException) {
                // there is no such landmark here, or it is not clear which
            }
        }

        return $found;
    }

    /** Where its number stands in the picture. */
    public function place(): Point
    {
        return $this->at instanceof Segment ? $this->at->middle() : $this->at;
    }
}
