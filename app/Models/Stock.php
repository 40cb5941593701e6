<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * @property int $id
 * @property int $organisation_id
 * @property string $name
 * @property float $width_mm
 * @property float $height_mm
 * @property int|null $grammage
 * @property int|null $count
 * @property string $kind
 * @property string $sides
 * @property float $trim_mm
 * @property int $version
 * @property float|null $price of one sheet, in the organisation's own currency
 * @property list<string>|null $tags
 * @property bool $scrap to be used up first
 * @property \Carbon\CarbonImmutable|null $deleted_at since when it lies in the bin
 */
final class Stock extends Model
{
    use SoftDeletes;

    protected $guarded = [];

    protected $attributes = ['kind' => 'office', 'sides' => 'alike', 'trim_mm' => 0, 'version' => 1, 'scrap' => false];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'width_mm' => 'float',
            'height_mm' => 'float',
            'grammage' => 'integer',
            'count' => 'integer',
            'trim_mm' => 'float',
            'version' => 'integer',
            'price' => 'float',
            'tags' => 'array',
            'scrap' => 'boolean',
        ];
    }
}
