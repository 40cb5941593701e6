<?php

declare(strict_types=1);

namespace App\Accounts;

use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * So many requests a minute for each account (or address, before anybody is signed in); more are answered 429. What
 * takes long to work out and the log of a running lesson are counted for themselves: who asks for dear answers without
 * end is slowed by that alone, and no mark of a lesson is ever refused for it. A file
 * for each account and minute grows by a byte a request: one write, which is whole however many come at once. The
 * framework's own limiter takes eight reads and writes of a file for the same, a sixth of a short answer's time.
 */
final readonly class Quota
{
    /** Requests a minute: far above what eight devices of one account send in a lesson. */
    public const PER_MINUTE = 3000;

    /** Of what goes in a heavy lane (`HeavyLane`): ten screens a second open no more. */
    public const HEAVY_PER_MINUTE = 600;

    public function __construct(public string $folder)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $now = CarbonImmutable::now()->getTimestamp();
        $whose = hash('xxh128', (string) ($request->user()?->getAuthIdentifier() ?? $request->ip()));
        $isHeavy = in_array('heavy', $request->route()?->middleware() ?? [], true);
        $kind = $isHeavy ? '.heavy' : ($request->is('api/lessons/*/events') ? '.marks' : '');
        if ($this->count($whose.$kind, intdiv($now, 60)) > ($isHeavy ? self::HEAVY_PER_MINUTE : self::PER_MINUTE)) {
            throw new ThrottleRequestsException('Too many requests.', headers: ['Retry-After' => 60 - $now % 60]);
        }

        /** @var Response */
        return $next($request);
    }

    /** Requests of this minute, this one included. */
    private function count(string $whose, int $minute): int
    {
        $file = "{$this->folder}/$whose-$minute";
        if (! is_dir($this->folder)) {
            @mkdir($this->folder, 0700, true);
        }
        if (! is_file($file)) {
            // Several workers tidy up at the turn of a minute; whoever comes second finds nothing left to remove.
            foreach (array_diff(glob("{$this->folder}/$whose-*") ?: [], [$file]) as $past) {
                @unlink($past);
            }
        }
        if (@file_put_contents($file, '.', FILE_APPEND) === false) {
            return 0; // a full disk stops no lesson
        }
        clearstatcache(true, $file);

        return (int) @filesize($file); // 0 when the minute has just turned for another worker
    }
}
