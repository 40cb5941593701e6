<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Whether the application can do its work: it asks the database. Without one the answer is 503 (ApiErrors). */
final class HealthController
{
    public function __invoke(): JsonResponse
    {
        DB::select('SELECT 1');

        return response()->json(['ok' => true]);
    }
}
