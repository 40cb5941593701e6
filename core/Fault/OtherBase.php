<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Landmark\SheetPoint;
use Cathedra\Core\Sequence\Movement\CollapseMove;
use Cathedra\Core\Sequence\Run\FoldedStep;

/**
 * The other base: a collapse bends two lines one way and a third one the other way, all through one crossing, where a
 * fourth crease runs, too. With the roles of the pairs exchanged the same creases make the other of the two bases.
 */
final class OtherBase
{
    /** Where the paper may lie still, as shares of the sheet. */
    private const STAYS = [[0.5, 0.125], [0.125, 0.125], [0.875, 0.875], [0.5, 0.875], [0.125, 0.5], [0.875, 0.5]];

    /** @return list<Variant> those that may be; which of them can be folded is seen when they are tried */
    public static function of(FoldedStep $right): array
    {
        [$mountains, $valleys] = $right->step->movement instanceof CollapseMove ? self::lines($right) : [[], []];
        $two = count($valleys) === 2;
        [$pair, $single] = $two ? [$valleys, $mountains] : [$mountains, $valleys];
        if (count($pair) !== 2 || count($single) !== 1) {
            return [];
        }
        $fourth = $single[0]->placed(Isometry::reflection($pair[0]->straight()));
        if (! self::isCreased($right->before, $fourth)) {
            return [];
        }
        $diagonals = [new GivenLine($single[0]), new GivenLine($fourth)];
        $variants = [];
        foreach ($pair as $line) {
            foreach (self::STAYS as [$across, $up]) {
                $stays = new SheetPoint($across, $up);
                $variants[] = new Variant(FaultKind::OtherBase, [$right->step->with([
                    'movement' => new CollapseMove(
                        valley: $two ? $diagonals : [new GivenLine($line)],
                        mountain: $two ? [new GivenLine($line)] : $diagonals,
                        flat: [],
                        stays: $stays,
                        onTop: true,
                    ),
                    'marks' => [],
                    'call' => [],
                ])]);
            }
        }

        return $variants;
    }

    /** @return array{list<Segment>, list<Segment>} mountains and valleys, each from end to end */
    private static function lines(FoldedStep $right): array
    {
        $lines = [0 => [], 1 => []];
        foreach ($right->actions[0]->change->folds ?? [] as ['valley' => $valley, 'at' => $at]) {
            foreach ($lines[(int) $valley] as $i => $known) {
                if ($at->liesOn($known->straight(), $right->before->tolerance->sight)) {
                    $ends = [$known->a, $known->b, $at->a, $at->b];
                    $lines[(int) $valley][$i] = Segment::spanning($known->straight(), $ends) ?? $known;

                    continue 2;
                }
            }
            $lines[(int) $valley][] = $at;
        }

        return [array_values($lines[0]), array_values($lines[1])];
    }

    /** Whether a crease runs along the whole line. */
    private static function isCreased(FoldedState $state, Segment $line): bool
    {
        $length = 0.0;
        foreach ($state->pattern->creases() as $edge) {
            $at = $state->segment($edge);
            $length += $at->liesOn($line->straight(), $state->tolerance->sight) ? $at->length() : 0.0;
        }

        return $length > 0.99 * $line->length();
    }
}
