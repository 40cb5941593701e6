<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What takes long to work out goes in few lanes, so that some of the server's processes are always free for the marks
 * of a running lesson. Who finds all lanes taken is told to come back in a moment, at once and with nothing begun; the
 * front end does so by itself. A lane is a file that is locked, so that a process that dies gives it back.
 */
final class HeavyLane
{
    /** On an answer that says "in a moment": nothing was done, the same may be asked again. */
    public const BUSY = 'Cathedra-Busy';

    public function handle(Request $request, Closure $next): Response
    {
        $lanes = (int) config('cathedra.lanes');
        $lane = $lanes > 0 ? self::free($lanes) : null;
        if ($lanes > 0 && $lane === null) {
            return response()->json(
                ['message' => 'Much is being worked out just now. Ask again in a moment.', 'errors' => []],
                503,
                ['Retry-After' => '1', self::BUSY => '1'],
            );
        }
        try {
            return $next($request);
        } finally {
            $lane === null || fclose($lane);
        }
    }

    /** @return resource|null a lane of one's own until it is closed */
    private static function free(int $lanes): mixed
    {
        $folder = storage_path('framework/lanes');
        is_dir($folder) || @mkdir($folder, 0700, true);
        for ($n = 0; $n < $lanes; $n++) {
            $lane = fopen("$folder/$n", 'c');
            if ($lane === false) {
                return null;
            }
            if (flock($lane, LOCK_EX | LOCK_NB)) {
                return $lane;
            }
            fclose($lane);
        }

        return null;
    }
}
