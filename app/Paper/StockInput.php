<?php

declare(strict_types=1);

namespace App\Paper;

use App\Support\Api\JsonShape;

// A kind of paper as it is sent; StockRequest checks it.
#[JsonShape('StockInput', [
    'name' => 'string',
    'width_mm' => 'length',
    'height_mm' => 'length',
    'grammage' => '?integer',
    'count' => '?integer',
    'kind?' => 'string',
    'sides?' => 'string',
    'trim_mm?' => 'length',
    'price?' => '?number',
    'tags?' => 'string[]',
    'scrap?' => 'boolean',
    'version?' => 'integer',
], ['version' => 'the one that was changed; another answers 409'])]
final class StockInput
{
}
