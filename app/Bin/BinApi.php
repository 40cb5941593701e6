<?php

declare(strict_types=1);

namespace App\Bin;

use App\Support\Api\Posts;
use App\Support\Api\Reads;
use App\Support\Api\Removes;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[Reads('/bin', 'bin', 'the latest first', '#BinEntry[]')]
#[Posts('/bin/{kind}/{id}/restore', 'restore', 'put back')]
#[Removes('/bin/{kind}/{id}', 'erase', 'erased for good')]
final class BinApi
{
}
