<?php

declare(strict_types=1);

namespace Cathedra\Core\Progress;

use Cathedra\Core\Lesson\Finish;

/**
 * What finished models prove of folds: whoever finished a model alone has made every fold of the way that was taught
 * alone; whoever finished it with help has made them with help. A model that was not finished proves nothing, since
 * nobody saw which folds were made. Who was not marked otherwise is presumed to have finished: that counts, and is told
 * apart from what somebody saw.
 */
final readonly class FoldEvidence
{
    /**
     * @param  array<string, array<int, Finish>>  $best  by kind of fold and learner: the best end with it
     * @param  array<string, array<int, true>>  $seen  who was seen to finish a model with it
     */
    private function __construct(private array $best, private array $seen)
    {
    }

    /**
     * @param  iterable<array{learner: int, finish: Finish, seen: bool, kinds: list<string>}>  $records  a finish,
     *     whether somebody saw it, and the kinds of fold in the model by the way that was taught
     */
    public static function of(iterable $records): self
    {
        $best = $looked = [];
        foreach ($records as ['learner' => $learner, 'finish' => $finish, 'seen' => $seen, 'kinds' => $kinds]) {
            foreach ($finish->isFinished() ? $kinds : [] as $kind) {
                $known = $best[$kind][$learner] ?? $finish;
                $best[$kind][$learner] = $known->rank() > $finish->rank() ? $known : $finish;
                if ($seen) {
                    $looked[$kind][$learner] = true;
                }
            }
        }

        return new self($best, $looked);
    }

    /** Whether a group knows a fold or has finished a model: at least half have, and somebody is there. */
    public static function isKnown(int $made, int $learners): bool
    {
        return 2 * $made >= max(1, $learners);
    }

    /**
     * How many of these learners have made a fold.
     *
     * @param  list<int>  $learners
     * @return array{alone: int, helped: int, unseen: int} each learner counts once, by the best end; of these two
     *     together those whom nobody saw finish
     */
    public function standing(string $kind, array $learners): array
    {
        $own = array_intersect_key($this->best[$kind] ?? [], array_flip($learners));
        $alone = count(array_filter($own, static fn (Finish $finish): bool => $finish === Finish::Alone));

        return [
            'alone' => $alone,
            'helped' => count($own) - $alone,
            'unseen' => count(array_diff_key($own, $this->seen[$kind] ?? [])),
        ];
    }
}
