<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;

/** First stage: all guillotine patterns of every stock, where they can be listed with the work allowed. */
final readonly class Listing
{
    private function __construct(private Question $question, private Budget $budget)
    {
    }

    /** @return list<Column>|null null when there are too many; what it spends is gone from the budget */
    public static function of(Question $question, Budget $budget): ?array
    {
        if (count($question->sides) > GuillotinePatterns::MOST_SIZES) {
            return null;
        }

        return (new self($question, $budget))->run();
    }

    /** @return list<Column>|null */
    private function run(): ?array
    {
        $request = $this->question->request;
        $whole = max(1, $this->budget->left());
        $tell = fn () => ($this->question->tell)(0.3 * (1 - $this->budget->left() / $whole), 'list');
        $tell();
        $columns = [];
        foreach ($request->stock as $group => $stock) {
            if ($stock->count === 0) {
                continue;
            }
            $patterns = GuillotinePatterns::of(
                width: $stock->width,
                height: $stock->height,
                sides: $this->question->sides,
                caps: $this->question->need,
                kerf: $request->kerf,
                trim: $request->trimOf($stock),
                budget: $this->budget,
                still: $tell,
            );
            if ($patterns === null) {
                return null;
            }
            foreach ($patterns as ['counts' => $counts, 'squares' => $squares]) {
                $columns[] = new Column($counts, $group, $request->areaOf($group), static fn (): array => $squares);
            }
        }

        return $columns;
    }
}
