<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

use Cathedra\Core\Numeric\Cholesky;
use Cathedra\Core\Rules\BaseTimes;

/**
 * What taught lessons say of times: for each kind of fold and each group a factor on the estimate, by the conjugate
 * normal update on log time.
 *
 *   ln(seconds / expected) = beta of the fold + gamma of the group + lambda of the lesson + theta of the learner + eps
 *
 * with theta ~ N(0, spread^2), eps ~ N(0, own_spread^2) as in the rehearsal. Before anything was seen, beta ~
 * N(0, (spread^2 + own_spread^2) / prior_marks), gamma ~ N(0, group_spread^2), and lambda, what one lesson has of its
 * own (a loud room, paper, a lead who taps late), ~ N(0, prior_lessons group_spread^2 (1 + full_marks / m)) for m
 * marks: however many marks a lesson has, the expected pace of the group is worth prior_lessons of them, and a few
 * marks of a lesson move next to nothing (library/base-times.yaml). All are solved together (normal equations; learners
 * and lessons are taken out in closed form by Woodbury's identity), so that a slow group does not make a fold slow.
 * Source: the textbook result for normal data of known variance.
 */
final readonly class Learned
{
    /**
     * @param  array<string, Factor>  $folds  by kind of fold, of those that were marked
     * @param  array<string, Factor>  $groups  by group
     */
    private function __construct(public array $folds, public array $groups, public int $marks)
    {
    }

    /** @param  list<Mark>  $marks */
    public static function of(array $marks, BaseTimes $times): self
    {
        [$between, $within] = [$times->spread ** 2, max(1e-6, $times->ownSpread ** 2)];
        $index = $seen = $lessons = [];
        foreach ($marks as $mark) {
            foreach (["f:$mark->fold", "g:$mark->group"] as $name) {
                $index[$name] ??= count($index);
                $seen[$name] = ($seen[$name] ?? 0) + 1;
            }
            $lessons[$mark->lesson][$mark->learner][] = $mark;
        }
        $n = count($index);
        $matrix = [];
        foreach ($index as $name => $i) {
            $matrix[$i] = array_fill(0, $n, 0.0);
            $matrix[$i][$i] = str_starts_with($name, 'f:')
                ? $times->priorMarks / ($between + $within)
                : 1 / $times->groupSpread ** 2;
        }
        $right = array_fill(0, $n, 0.0);
        foreach ($lessons as $learners) {
            $shares = array_fill(0, $n, 0.0); // X^T V^-1 1 of the lesson, V without what the lesson has of its own
            [$worth, $total] = [0.0, 0.0]; // 1^T V^-1 1 and 1^T V^-1 y
            foreach ($learners as $own) {
                $spread = array_sum(array_map(static fn (Mark $mark): float => $mark->spread, $own)) / count($own);
                [$between, $within] = [$spread * $times->spread ** 2, $spread * max(1e-6, $times->ownSpread ** 2)];
                // inverse covariance of one learner's marks: (I - rho 1 1^T) / within
                $rho = $between / ($within + count($own) * $between);
                $sum = array_fill(0, $n, 0.0);
                $of = 0.0;
                foreach ($own as $mark) {
                    [$a, $b] = [$index["f:$mark->fold"], $index["g:$mark->group"]];
                    foreach ([[$a, $a], [$b, $b], [$a, $b], [$b, $a]] as [$i, $j]) {
                        $matrix[$i][$j] += 1 / $within;
                    }
                    $right[$a] += $mark->ln / $within;
                    $right[$b] += $mark->ln / $within;
                    $sum[$a]++;
                    $sum[$b]++;
                    $of += $mark->ln;
                }
                $some = array_keys(array_filter($sum));
                $left = (1 - $rho * count($own)) / $within;
                foreach ($some as $i) {
                    foreach ($some as $j) {
                        $matrix[$i][$j] -= $rho * $sum[$i] * $sum[$j] / $within;
                    }
                    $right[$i] -= $rho * $sum[$i] * $of / $within;
                    $shares[$i] += $sum[$i] * $left;
                }
                $worth += count($own) * $left;
                $total += $of * $left;
            }
            $own = self::ownOfALesson($times, array_sum(array_map(
                static fn (Mark $mark): int => $mark->worth,
                array_merge(...array_values($learners)),
            )));
            $out = $own / (1 + $own * $worth);
            foreach (array_keys(array_filter($shares)) as $i) {
                foreach ($shares as $j => $share) {
                    $matrix[$i][$j] -= $out * $shares[$i] * $share;
                }
                $right[$i] -= $out * $shares[$i] * $total;
            }
        }

        return self::solved($matrix, $right, $index, $seen);
    }

    /**
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, float>  $right
     * @param  array<string, int>  $index  of a fold ("f:") or group ("g:") among the unknowns
     * @param  array<string, int>  $seen  marks, by the same
     */
    private static function solved(array $matrix, array $right, array $index, array $seen): self
    {
        $n = count($index);
        [$folds, $groups] = [[], []];
        $mean = $n === 0 ? [] : Cholesky::solve($matrix, $right, 0.0) ?? array_fill(0, $n, 0.0);
        foreach ($index as $name => $i) {
            $unit = array_fill(0, $n, 0.0);
            $unit[$i] = 1.0;
            $variance = (Cholesky::solve($matrix, $unit, 0.0) ?? $unit)[$i];
            $factor = Factor::normal($mean[$i], $variance, $seen[$name]);
            str_starts_with($name, 'f:')
                ? $folds[substr($name, 2)] = $factor
                : $groups[substr($name, 2)] = $factor;
        }

        $ofFolds = array_filter($seen, static fn (string $of): bool => $of[0] === 'f', ARRAY_FILTER_USE_KEY);

        return new self($folds, $groups, array_sum($ofFolds));
    }

    /** Variance of what a lesson of so many marks has of its own, in ln(seconds). */
    private static function ownOfALesson(BaseTimes $times, int $marks): float
    {
        return $times->priorLessons * $times->groupSpread ** 2 * (1 + $times->fullMarks / $marks);
    }

    /** Between which factors eight of ten times of a fold lie before anything was seen. */
    public static function before(BaseTimes $times): Factor
    {
        return Factor::normal(0.0, ($times->spread ** 2 + $times->ownSpread ** 2) / $times->priorMarks, 0);
    }

    /** @return array<string, float> by kind of fold */
    public function factors(): array
    {
        return array_map(static fn (Factor $factor): float => $factor->middle, $this->folds);
    }

    public function pace(string $group): float
    {
        return $this->ofGroup($group)->middle ?? 1.0;
    }

    /** What was learned of the pace of a group; null where nothing was. */
    public function ofGroup(string $group): ?Factor
    {
        return $this->groups[$group] ?? null;
    }
}
