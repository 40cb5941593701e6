<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Lesson;
use App\Models\Stock;
use App\Models\StockChange;
use App\Support\Transaction;
use Carbon\CarbonImmutable;

/**
 * Changes the count of a stock and keeps why, so that it can be taken back. A stock of which there is plenty is not
 * counted.
 */
final class CountPaper
{
    /**
     * @param  int  $stock  id
     * @param  int  $sheets  added; negative: taken, but never more than there are
     */
    public function __invoke(int $stock, int $sheets, string $why, ?Lesson $lesson = null): ?StockChange
    {
        return Transaction::run(function () use ($stock, $sheets, $why, $lesson): ?StockChange {
            /** @var Stock|null $locked */
            $locked = Stock::query()->whereKey($stock)->lockForUpdate()->first();
            if ($locked === null || $locked->count === null) {
                return null;
            }
            $real = max($sheets, -$locked->count);
            $locked->update(['count' => $locked->count + $real, 'version' => $locked->version + 1]);

            return $real === 0
                ? null
                : StockChange::query()->create([
                    'stock_id' => $locked->id,
                    'lesson_id' => $lesson?->id,
                    'sheets' => $real,
                    'why' => mb_substr($why, 0, 160),
                    'at' => CarbonImmutable::now(),
                ]);
        });
    }

    /**
     * Takes the named change back, once however often it is asked; null when this stock has no such change. The stock
     * is locked first, as above.
     */
    public function undo(Stock $stock, int $change): ?StockChange
    {
        return Transaction::run(function () use ($stock, $change): ?StockChange {
            /** @var Stock|null $locked */
            $locked = Stock::query()->whereKey($stock->id)->lockForUpdate()->first();
            /** @var StockChange|null $named */
            $named = StockChange::query()
                ->where('stock_id', $stock->id)
                ->find($change);
            if ($named === null || $locked === null || $locked->count === null) {
                return null;
            }
            if ($named->undone_at !== null) {
                return $named;
            }
            $locked->update(['count' => max(0, $locked->count - $named->sheets), 'version' => $locked->version + 1]);
            $named->update(['undone_at' => CarbonImmutable::now()]);

            return $named;
        });
    }
}
