<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Stock;
use App\Support\Conflict;
use App\Support\Transaction;
use App\Support\Versions;

/** Saves paper, and only over what its lead has seen. */
final class SaveStock
{
    private const SAID = [
        'name' => 'name',
        'width_mm' => 'width in mm',
        'height_mm' => 'height in mm',
        'grammage' => 'grammage',
        'count' => 'sheets',
        'kind' => 'kind',
        'sides' => 'sides',
        'trim_mm' => 'lost all round in mm',
        'price' => 'price',
        'tags' => 'tags',
        'scrap' => 'use up first',
    ];

    /**
     * @param  array<string, mixed>  $given  as StockRequest validates it
     *
     * @throws Conflict
     */
    public function __invoke(Stock $stock, array $given): Stock
    {
        return Transaction::run(function () use ($stock, $given): Stock {
            $locked = Transaction::locked($stock);
            $theirs = $mine = [];
            foreach (array_intersect_key(self::SAID, $given) as $column => $said) {
                $theirs[$said] = $locked->getAttribute($column);
                $mine[$said] = $given[$column];
            }
            $seen = isset($given['version']) ? (int) $given['version'] : null;
            Versions::compare(now: $locked->version, seen: $seen, what: 'this paper', theirs: $theirs, mine: $mine);
            $locked->fill(array_diff_key($given, ['version' => 0]));
            $locked->version++;
            $locked->save();

            return $locked;
        });
    }
}
