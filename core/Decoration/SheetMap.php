<?php

declare(strict_types=1);

namespace Cathedra\Core\Decoration;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;

/**
 * Where the flat sheet ends up: which places of its two sides are seen of the folded model from the front and from
 * behind, and which way up they stand then. All from the layers of the flat state.
 */
final readonly class SheetMap
{
    /** @param  list<SeenPart>  $parts */
    private function __construct(public array $parts, private float $near)
    {
    }

    public static function of(FoldedState $state): self
    {
        $near = $state->tolerance->aside;
        $parts = [];
        foreach (View::cases() as $view) {
            $seen = $view === View::Front ? $state : $state->turnedOver();
            $found = [];
            foreach (Stacks::of($seen)->cells as ['polygon' => $polygon, 'faces' => $faces]) {
                $found[] = ['at' => $polygon, 'face' => $faces[0]];
            }
            $parts = [...$parts, ...self::parts(
                seen: $seen,
                view: $view,
                found: $found,
                first: count($parts),
                near: $near,
            )];
        }

        return new self($parts, $near);
    }

    /** mm2 of one side of the sheet that are seen in a view. */
    public function area(View $view, Side $side): float
    {
        return array_sum(array_map(
            static fn (SeenPart $p): float => $p->view === $view && $p->side === $side ? $p->onSheet->area() : 0.0,
            $this->parts,
        ));
    }

    /**
     * The lines round what hangs together, on the sheet.
     *
     * @return list<array{view: View, side: Side, at: Segment, place: Isometry}> mm; place: from the sheet to the model
     */
    public function outlines(): array
    {
        $lines = [];
        foreach ($this->groups() as $parts) {
            $sides = [];
            foreach ($parts as $part) {
                foreach (self::sides($part->onSheet) as $side) {
                    $sides[] = $side;
                }
            }
            foreach ($sides as $i => $side) {
                foreach (self::alone($side, array_diff_key($sides, [$i => true]), $this->near) as $piece) {
                    $lines[] = [
                        'view' => $parts[0]->view,
                        'side' => $parts[0]->side,
                        'at' => $piece,
                        'place' => $parts[0]->place,
                    ];
                }
            }
        }

        return $lines;
    }

    /** @return list<non-empty-list<SeenPart>> */
    public function groups(): array
    {
        $groups = [];
        foreach ($this->parts as $part) {
            $groups[$part->group][] = $part;
        }

        return array_values($groups);
    }

    /**
     * @param  list<array{at: Polygon, face: int}>  $found
     * @return list<SeenPart>
     */
    private static function parts(FoldedState $seen, View $view, array $found, int $first, float $near): array
    {
        $group = array_keys($found);
        $onSheet = [];
        foreach ($found as $i => ['at' => $polygon, 'face' => $face]) {
            $back = $seen->placements[$face]->inverse();
            $onSheet[] = Polygon::of(array_map($back->of(...), $polygon->points));
            for ($j = 0; $j < $i; $j++) {
                if (
                    self::lieAlike($seen, $face, $found[$j]['face']) &&
                    self::touch($onSheet[$i], $onSheet[$j], $near)
                ) {
                    $group = array_map(static fn (int $g): int => $g === $group[$j] ? $group[$i] : $g, $group);
                }
            }
        }
        $parts = [];
        foreach ($found as $i => ['at' => $polygon, 'face' => $face]) {
            $back = $seen->placements[$face]->inverse();
            $parts[] = new SeenPart(
                view: $view,
                side: $seen->frontUp[$face] ? Side::Front : Side::Back,
                onSheet: $onSheet[$i],
                onModel: $polygon,
                place: $seen->placements[$face],
                up: self::up($back),
                group: $first + $group[$i],
            );
        }

        return $parts;
    }

    private static function lieAlike(FoldedState $state, int $face, int $other): bool
    {
        return $face === $other || $state->placements[$face]->equals(
            $state->placements[$other],
            $state->tolerance,
            $state->sheet->diagonal(),
        );
    }

    private static function touch(Polygon $one, Polygon $other, float $near): bool
    {
        foreach (self::sides($one) as $side) {
            foreach (self::sides($other) as $against) {
                if (($side->sharedWith($against, $near)?->length() ?? 0.0) > $near) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Segment> */
    private static function sides(Polygon $polygon): array
    {
        $n = count($polygon->points);
        $sides = [];
        foreach ($polygon->points as $i => $p) {
            $sides[] = new Segment($p, $polygon->points[($i + 1) % $n]);
        }

        return $sides;
    }

    /**
     * What of a side no other side lies on.
     *
     * @param  array<int, Segment>  $others
     * @return list<Segment>
     */
    private static function alone(Segment $side, array $others, float $near): array
    {
        $length = $side->length();
        $left = $length > $near ? [[0.0, 1.0]] : [];
        foreach ($others as $other) {
            $shared = $side->sharedWith($other, $near);
            if ($shared === null) {
                continue;
            }
            [$from, $to] = [$side->shareOf($shared->a), $side->shareOf($shared->b)];
            [$from, $to] = [min($from, $to), max($from, $to)];
            $rest = [];
            foreach ($left as [$a, $b]) {
                if ($from > $a) {
                    $rest[] = [$a, min($b, $from)];
                }
                if ($to < $b) {
                    $rest[] = [max($a, $to), $b];
                }
            }
            $left = array_values(array_filter(
                $rest,
                static fn (array $r): bool => ($r[1] - $r[0]) * $length > $near,
            ));
        }

        return array_values(array_map(
            static fn (array $r): Segment => new Segment($side->at($r[0]), $side->at($r[1])),
            $left,
        ));
    }

    private static function up(Isometry $back): Point
    {
        return $back->of(new Point(0, 1))->minus($back->of(new Point(0, 0)));
    }
}
