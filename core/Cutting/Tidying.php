<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;

/** Last stage: fewer different patterns, since people cut in stacks; then the squares that each sheet really gives. */
final readonly class Tidying
{
    /** How much more area a plan of fewer patterns may take, as a share; chosen: an extra sheet for every ten. */
    public const FEWEST_EXTRA = 0.1;

    private function __construct(private Question $question, private Columns $columns)
    {
    }

    /**
     * With the same sheets, or, where the lead prefers few patterns, with a little more area.
     *
     * @param  array<int, int>  $uses  times by column
     * @param  array<int, int>  $need
     * @return array{uses: array<int, int>, proven: bool} proven: there is none with fewer patterns
     */
    public static function fewer(Question $question, Columns $columns, array $uses, array $need, Budget $budget): array
    {
        $cost = $columns->cost($uses);
        if ($question->request->prefer === Prefer::Fewest) {
            $most = $cost * (1 + self::FEWEST_EXTRA);

            return FewestPatterns::of(
                columns: $columns->all,
                need: $need,
                limits: $question->limits,
                mostCost: $most,
                uses: $uses,
                budget: $budget,
            );
        }
        $same = array_fill_keys(array_keys($question->limits), 0);
        foreach ($uses as $c => $times) {
            $same[$columns->all[$c]->group] += $times;
        }

        return FewestPatterns::of(
            columns: $columns->all,
            need: $need,
            limits: $same,
            mostCost: $cost,
            uses: $uses,
            budget: $budget,
        );
    }

    /**
     * One entry for each pattern. Sheets of one pattern are all cut alike, since they lie in stacks: squares beyond
     * what is wanted are left out where all sheets of a pattern can do without them, and are cut as spares where not.
     *
     * @param  array<int, int>  $uses
     * @param  array<int, int>  $need
     * @return list<CutSheet>
     */
    public static function sheets(Question $question, Columns $columns, array $uses, array $need): array
    {
        return (new self($question, $columns))->laid(array_filter($uses), $need);
    }

    /**
     * @param  array<int, int>  $uses
     * @param  array<int, int>  $need
     * @return list<CutSheet>
     */
    private function laid(array $uses, array $need): array
    {
        $surplus = array_map(static fn (int $n): int => -$n, $need);
        foreach ($uses as $c => $times) {
            foreach (($this->columns->all[$c]->squares)() as ['size' => $size]) { // its counts stop at what is wanted
                $surplus[$size] += $times;
            }
        }
        asort($uses);
        $sheets = [];
        foreach ($uses as $c => $times) {
            $squares = [];
            foreach (array_reverse(($this->columns->all[$c]->squares)()) as ['x' => $x, 'y' => $y, 'size' => $size]) {
                if ($surplus[$size] >= $times) {
                    $surplus[$size] -= $times;

                    continue;
                }
                $squares[] = new Square($x, $y, $this->question->sides[$size], $size);
            }
            $sheets[] = new CutSheet($this->columns->all[$c]->group, $times, array_reverse($squares));
        }

        return array_reverse($sheets);
    }
}
