<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Order;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Polygon;

/** The second half of every fold of several creases at once: the faces lie where they must; find their order. */
final readonly class Restack
{
    /** Faces; far above what a model for beginners has, and what keeps an imported pattern within a second or two. */
    public const MAX_FACES = 260;

    /** Threes of faces over one another: some 97 layers, below two seconds; the crane has 6,400. */
    public const MAX_TRIPLES = 150_000;

    /**
     * @param  list<Isometry>  $placements  of the faces of $pattern
     * @param  array<string, true>  $open  edges (Edge::key) that are folded, but mountain or valley as the order turns
     *     out
     * @param  callable(int, int): ?bool  $pin  whether the first face must lie above the second; null: not fixed
     * @param  callable(int, int): ?bool  $wish  the same, to be followed where the paper allows
     *
     * @throws CannotFold when no order of layers exists
     */
    public static function apply(
        FoldedState $state,
        Pattern $pattern,
        array $placements,
        array $open,
        callable $pin,
        callable $wish,
    ): FoldedState {
        $n = $pattern->faceCount();
        if ($n > self::MAX_FACES) {
            throw CannotFold::because(
                sprintf('The sheet would be divided into %d faces; at most %d are worked out.', $n, self::MAX_FACES),
            );
        }
        $polygons = array_map(
            static fn (int $f): Polygon => $pattern->polygon($f)->placed($placements[$f]),
            array_keys($pattern->faces),
        );
        $overlaps = Overlaps::among($polygons, $state->tolerance);
        if ($overlaps->crowded(self::MAX_TRIPLES)) {
            throw CannotFold::because(
                'So many layers lie over one another that their order is not worked out; no hand folds that. Use '
                    .'fewer creases.',
                (array_values($overlaps->common)[0] ?? null)?->centroid(),
            );
        }
        $frontUp = array_map(static fn (Isometry $p): bool => $p->keepsOrientation(), $placements);
        $corner = static fn (int $face, int $vertex) => $placements[$face]->of($pattern->vertices[$vertex]);
        $conditions = Conditions::of(
            pattern: $pattern,
            polygons: $polygons,
            corner: $corner,
            frontUp: $frontUp,
            overlaps: $overlaps,
            tolerance: $state->tolerance,
            open: $open,
        );
        // An edge that may bend either way is assigned as the order turns out, so its mountain or valley always agrees.
        $known = $conditions;
        $preferred = [];
        foreach ($overlaps->common as $key => $shared) {
            [$i, $j] = [intdiv($key, $n), $key % $n];
            $fixed = $pin($i, $j);
            if ($fixed !== null) {
                $conditions[] = Condition::on(
                    faceCount: $n,
                    ordered: [[$i, $j]],
                    sum: $fixed ? 1 : 0,
                    what: 'layers that must keep their places would change them',
                    place: $shared->centroid(),
                );
            } elseif (($bit = $wish($i, $j)) !== null) {
                $preferred[$key] = $bit;
            }
        }
        $order = LayerOrder::of($n, OrderSolver::solve($n, $overlaps, $conditions, $preferred));

        return FoldedState::assembled(
            sheet: $state->sheet,
            pattern: self::assigned($pattern, $open, $order, $frontUp),
            placements: $placements,
            order: $order,
            removedArea: $state->removedArea,
            overlaps: $overlaps,
            conditions: $known,
        );
    }

    /**
     * Valley where the face that shows its back lies above the one that shows its front.
     *
     * @param  array<string, true>  $open
     * @param  list<bool>  $frontUp
     */
    private static function assigned(Pattern $pattern, array $open, LayerOrder $order, array $frontUp): Pattern
    {
        $edges = $pattern->edges;
        foreach (array_keys($open) as $key) {
            [$f, $g] = $edges[$key]->faces;
            $upper = $order->above($f, $g) === true ? $f : $g;
            $edges[$key] = $edges[$key]->assigned($frontUp[$upper] ? Assignment::Mountain : Assignment::Valley);
        }

        return new Pattern($pattern->vertices, $pattern->faces, $edges);
    }
}
