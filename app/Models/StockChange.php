<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A change of a stock's count: by a lesson taught, an offcut put back, or taken back again.
 *
 * @property int $id
 * @property int $stock_id
 * @property int|null $lesson_id
 * @property int $sheets added; negative: taken
 * @property string $why
 * @property CarbonImmutable $at
 * @property CarbonImmutable|null $undone_at
 */
final class StockChange extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sheets' => 'integer', 'at' => 'immutable_datetime', 'undone_at' => 'immutable_datetime'];
    }
}
