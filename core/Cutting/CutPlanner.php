<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
use Closure;

/**
 * Which sheets to cut into which squares, by what the lead puts first (Prefer), in four stages: Listing all guillotine
 * patterns, or Making good ones where there are too many; Mixing them at the least cost; Tidying the mix. A plan is
 * Proven only when every stage looked at all there is. The work is counted, not timed, so the same question gets the
 * same plan at any load; a clock is only the last fence, and a plan it cut short says so.
 */
final readonly class CutPlanner
{
    /** Steps done in about a second (measured with bin/bench on two cores of 2026); 4 seconds unless said otherwise. */
    public const STEPS_A_SECOND = 8_000_000;

    private const STEPS = 4 * self::STEPS_A_SECOND;

    /** Shares of the work by which listing, and making patterns, have to end. */
    private const LISTED = 0.4;

    private const MADE = 0.7;

    /** Steps given to making patterns fewer, once the plan itself is there. */
    private const TIDYING = 2_000_000;

    /** mm2: areas closer than this are the same. */
    private const SAME = 1e-3;

    /**
     * @param  Closure(float, string): void|null  $progress  told now and then the share of the work that is done, and
     *     what
     *     is being done: list, search, tidy
     */
    public static function plan(CutRequest $request, ?Budget $budget = null, ?Closure $progress = null): CutPlan
    {
        $plain = OneByOne::plan($request);
        $sizes = count($request->sizes());
        if ($sizes === 0 || ($sizes === 1 && $request->prefer === Prefer::Least)) {
            return $plain;
        }
        $budget ??= Budget::steps(self::STEPS);
        $plan = self::better($plain, new Question($request, $budget, $progress ?? static fn () => null));

        return $budget->isCutByClock() ? $plan->judged($plan->bound, Verdict::CutShort) : $plan;
    }

    private static function better(CutPlan $plain, Question $question): CutPlan
    {
        $columns = self::columns($question);
        $unmet = $plain->isFeasible()
            ? array_fill(0, count($question->need), 0)
            : Mixing::unmet($question, $columns, $question->budget);
        $need = array_map(static fn (int $n, int $u): int => $n - $u, $question->need, $unmet);
        $mix = Mixing::of($question, $columns, $need, $question->budget);
        if ($mix->uses === null) {
            return $plain;
        }
        $bound = $columns->complete ? $mix->bound : min($mix->cost, $question->squaresArea($need));
        $least = $question->request->prefer !== Prefer::Scrap;
        $asMany = $plain->missing() === array_sum($unmet);
        if (
            $plain->missing() < array_sum($unmet) ||
            ($least && $asMany && $plain->area < $mix->cost - self::SAME)
        ) {
            return $plain->judged($bound, $plain->isProven() ? Verdict::Proven : Verdict::Open);
        }
        ($question->tell)(0.9, 'tidy');
        $tidy = Tidying::fewer(
            question: $question,
            columns: $columns,
            uses: $mix->uses,
            need: $need,
            budget: Budget::steps(self::TIDYING),
        );
        // Where not all patterns were listed nobody knows what the others would give, unless nothing at all is wasted.
        $isFull = $plain->isFeasible() && $least && $mix->cost <= $bound + self::SAME;
        $proven =
            ($columns->complete ? $mix->proven : $isFull) &&
            ($tidy['proven'] || $question->request->prefer !== Prefer::Fewest);

        return CutPlan::of(
            request: $question->request,
            sheets: Tidying::sheets($question, $columns, $tidy['uses'], $need),
            unmet: $unmet,
            bound: $bound,
            verdict: $proven ? Verdict::Proven : Verdict::Open,
        );
    }

    private static function columns(Question $question): Columns
    {
        $budget = $question->budget;
        $whole = $budget->left();
        $listing = $budget->part((int) ($whole * self::LISTED));
        $listed = Listing::of($question, $listing);
        if ($listed !== null) {
            return Columns::complete($listed);
        }
        $spent = $whole - $budget->left();

        return Columns::some(Making::of($question, $budget->part((int) ($whole * self::MADE) - $spent)));
    }
}
