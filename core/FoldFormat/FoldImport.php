<?php

declare(strict_types=1);

namespace Cathedra\Core\FoldFormat;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\Refold;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;

/** A crease pattern with assignments, read from a FOLD document and folded. */
final readonly class FoldImport
{
    private function __construct(public string $title, public FoldedState $flat, public FoldedState $folded)
    {
    }

    /**
     * @param  string  $json  the document; lengths in its "frame_unit", or scaled to a shorter side of 150 mm without
     *     one
     *
     * @throws BadFold when the file is no usable pattern, or paper could not be folded like this; names vertex, edge or
     *     face
     */
    public static function fold(string $json): self
    {
        $file = FoldFile::read($json);
        try {
            [$sheet, $pattern] = CreaseGraph::of($file);
            $wish = self::wish($file);
            $state = Refold::apply(
                state: FoldedState::flat($sheet, Side::Front),
                pattern: $pattern,
                base: 0,
                basePlacement: Isometry::identity(),
                wish: $wish,
            );
        } catch (CannotFold $e) {
            throw new BadFold(
                $e->getMessage().(isset($sheet, $pattern) ? self::faces($sheet, $pattern, $e->place) : ''),
                0,
                $e,
            );
        }

        return new self($file->title, FoldedState::flat($sheet, Side::Front), $state);
    }

    /**
     * @return callable(int, int): ?bool as the file orders its faces, where it does: "s is 1 when the first lies on the
     *     side to which the second's front looks"
     */
    private static function wish(FoldFile $file): callable
    {
        $order = [];
        foreach ($file->orders as [$f, $g, $s]) {
            $order["$f $g"] = $s;
        }
        $front = self::frontUp($file);

        return static function (int $i, int $j) use ($order, $front): ?bool {
            return match (true) {
                isset($order["$i $j"], $front[$j]) => ($order["$i $j"] === 1) === $front[$j],
                isset($order["$j $i"], $front[$i]) => ($order["$j $i"] === 1) !== $front[$i],
                default => null,
            };
        };
    }

    /**
     * Which faces show their front when face 0 stays: every folded crease turns the paper over.
     *
     * @return array<int, bool>
     */
    private static function frontUp(FoldFile $file): array
    {
        if ($file->faces === [] || $file->orders === []) {
            return [];
        }
        $sides = [];
        foreach ($file->faces as $f => $loop) {
            foreach ($loop as $i => $v) {
                $w = $loop[($i + 1) % count($loop)];
                $sides[min($v, $w).'-'.max($v, $w)][] = $f;
            }
        }
        $next = [];
        foreach ($file->edges as [$a, $b, $assignment]) {
            $of = $sides[min($a, $b).'-'.max($a, $b)] ?? [];
            if (count($of) === 2) {
                $next[$of[0]][] = [$of[1], $assignment->isFolded()];
                $next[$of[1]][] = [$of[0], $assignment->isFolded()];
            }
        }
        $front = [0 => true];
        $queue = [0];
        while ($queue !== []) {
            $f = array_shift($queue);
            foreach ($next[$f] ?? [] as [$g, $turned]) {
                if (! isset($front[$g])) {
                    $front[$g] = $front[$f] !== $turned;
                    $queue[] = $g;
                }
            }
        }

        return $front;
    }

    /** Which faces lie at the place where it fails, by number and vertices. */
    private static function faces(Sheet $sheet, Pattern $pattern, ?Point $place): string
    {
        if ($place === null) {
            return '';
        }
        try {
            $placements = Refold::placements($pattern, 0, Isometry::identity(), FoldedState::flat($sheet, Side::Front));
        } catch (CannotFold) {
            $placements = null;
        }
        $names = [];
        foreach (array_keys($pattern->faces) as $f) {
            $polygon = $placements === null ? $pattern->polygon($f) : $pattern->polygon($f)->placed($placements[$f]);
            if ($polygon->contains($place, -1e-6 * $sheet->diagonal())) {
                $names[] = "$f (vertices ".implode(', ', $pattern->faces[$f]).')';
            }
        }

        return $names === []
            ? ''
            : ' Faces at this place: '.
                    implode('; ', array_slice($names, 0, 6)).
                    (count($names) > 6 ? ' and others' : '').
                    '.';
    }
}
