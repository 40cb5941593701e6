<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Hands;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;

/**
 * What a movement of several creases did, drawn on the state before it: the creases that bend, and the paper that
 * moves.
 */
final readonly class Change
{
    /**
     * @param  list<array{valley: bool, at: Segment, seen: bool}>  $folds  as the folder sees them before;
     *     seen: not under another layer
     * @param  list<Polygon>  $moving
     * @param  list<int>  $faces  of the state before, one for each of $moving
     * @param  list<Isometry>  $motions  one for each of $moving: from where it is to where it comes to lie
     */
    private function __construct(
        public array $folds,
        public array $moving,
        public array $faces,
        public array $motions,
    ) {
    }

    public static function between(FoldedState $before, FoldedState $after): self
    {
        $parent = [];
        $moving = [];
        $faces = [];
        $motions = [];
        foreach (array_keys($after->pattern->faces) as $face) {
            $onSheet = $after->pattern->polygon($face);
            $parent[$face] = $before->pattern->faceAt($onSheet->centroid(), $before->tolerance->length) ?? 0;
            $was = $before->placements[$parent[$face]];
            if (! $after->placements[$face]->equals($was, $before->tolerance, $before->sheet->diagonal())) {
                $moving[] = $onSheet->placed($was);
                $faces[] = $parent[$face];
                $motions[] = $was->inverse()->then($after->placements[$face]);
            }
        }

        return new self(self::folds($before, $after, $parent), $moving, $faces, $motions);
    }

    /**
     * @param  array<int, int>  $parent
     * @return list<array{valley: bool, at: Segment, seen: bool}>
     */
    private static function folds(FoldedState $before, FoldedState $after, array $parent): array
    {
        $folds = [];
        foreach ($after->pattern->creases() as $edge) {
            $segment = $after->pattern->segment($edge);
            if (
                ! $edge->assignment->isFolded() ||
                $before->pattern->edgeAt($segment->middle(), $before->tolerance->meeting)?->assignment ===
                    $edge->assignment
            ) {
                continue;
            }
            $face = $parent[$edge->faces[0]];
            $place = $before->placements[$face];
            $inside = $place->of(
                $segment->middle()->toward($after->pattern->polygon($edge->faces[0])->centroid(), 0.02),
            );
            $folds[] = [
                'valley' => ($edge->assignment === Assignment::Valley) === $before->frontUp[$face],
                'at' => $segment->placed($place),
                'seen' => (Stacks::facesAt($before, $inside)[0] ?? $face) === $face,
            ];
        }

        return $folds;
    }

    /**
     * The creases that bend, as text: the raw form of a named fold.
     *
     * @return list<string> "valley (12.50, 50.00) to (50.00, 50.00)", mm of the folded plane before the fold
     */
    public function printed(): array
    {
        return array_map(
            static fn (array $f): string => sprintf(
                '%s (%.2f, %.2f) to (%.2f, %.2f)',
                $f['valley'] ? 'valley' : 'mountain',
                $f['at']->a->x,
                $f['at']->a->y,
                $f['at']->b->x,
                $f['at']->b->y,
            ),
            $this->folds,
        );
    }
}
