<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Space\Settle\Cholesky;

/**
 * What taught lessons say of times: for each kind of fold and each group a factor on the estimate, by the conjugate
 * normal update on log time.
 *
 *   ln(seconds / expected) = beta of the fold + gamma of the group + theta of the learner + eps
 *
 * with theta ~ N(0, spread^2), eps ~ N(0, own_spread^2) as in the rehearsal, and beta, gamma ~ N(0, s^2) before
 * anything was seen; s^2 = (spread^2 + own_spread^2) / w, so that the estimate is worth as much as w marks
 * (library/base-times.yaml). All of them are solved together (normal equations; learners are taken out in closed form,
 * since each is seen at several steps), so that a slow group does not make a fold slow. Source: the textbook result for
 * normal data of known variance.
 */
final readonly class Learned
{
    /** z of 0.9: eight of ten truths lie between the bands. */
    private const BAND = 1.2815515655446004;

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
        $prior = $times->priorMarks / ($between + $within);
        $index = [];
        $seen = [];
        $learners = [];
        foreach ($marks as $mark) {
            foreach (["f:$mark->fold", "g:$mark->group"] as $name) {
                $index[$name] ??= count($index);
                $seen[$name] = ($seen[$name] ?? 0) + 1;
            }
            $learners[$mark->learner][] = $mark;
        }
        $n = count($index);
        $matrix = [];
        for ($i = 0; $i < $n; $i++) {
            $matrix[] = array_fill(0, $n, 0.0);
            $matrix[$i][$i] = $prior;
        }
        $right = array_fill(0, $n, 0.0);
        foreach ($learners as $own) {
            // inverse covariance of one learner's marks: (I - rho 1 1^T) / within
            $rho = $between / ($within + count($own) * $between);
            $sum = array_fill(0, $n, 0.0);
            $total = 0.0;
            foreach ($own as $mark) {
                [$a, $b] = [$index["f:$mark->fold"], $index["g:$mark->group"]];
                foreach ([[$a, $a], [$b, $b], [$a, $b], [$b, $a]] as [$i, $j]) {
                    $matrix[$i][$j] += 1 / $within;
                }
                $right[$a] += $mark->ln / $within;
                $right[$b] += $mark->ln / $within;
                $sum[$a]++;
                $sum[$b]++;
                $total += $mark->ln;
            }
            $some = array_keys(array_filter($sum));
            foreach ($some as $i) {
                foreach ($some as $j) {
                    $matrix[$i][$j] -= $rho * $sum[$i] * $sum[$j] / $within;
                }
                $right[$i] -= $rho * $sum[$i] * $total / $within;
            }
        }
        [$folds, $groups] = [[], []];
        $mean = $n === 0 ? [] : Cholesky::solve($matrix, $right, 0.0) ?? array_fill(0, $n, 0.0);
        foreach ($index as $name => $i) {
            $unit = array_fill(0, $n, 0.0);
            $unit[$i] = 1.0;
            $variance = (Cholesky::solve($matrix, $unit, 0.0) ?? $unit)[$i];
            $factor = new Factor(
                exp($mean[$i]),
                exp($mean[$i] - self::BAND * sqrt($variance)),
                exp($mean[$i] + self::BAND * sqrt($variance)),
                $seen[$name],
            );
            str_starts_with($name, 'f:')
                ? $folds[substr($name, 2)] = $factor
                : $groups[substr($name, 2)] = $factor;
        }

        return new self($folds, $groups, count($marks));
    }

    /** Between which factors eight of ten lie before anything was seen. */
    public static function before(BaseTimes $times): Factor
    {
        $s = sqrt(($times->spread ** 2 + $times->ownSpread ** 2) / $times->priorMarks);

        return new Factor(1.0, exp(-self::BAND * $s), exp(self::BAND * $s), 0);
    }

    /** @return array<string, float> by kind of fold */
    public function factors(): array
    {
        return array_map(static fn (Factor $factor): float => $factor->middle, $this->folds);
    }

    public function pace(string $group): float
    {
        return ($this->groups[$group] ?? null)->middle ?? 1.0;
    }
}
