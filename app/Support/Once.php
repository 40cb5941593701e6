<?php

declare(strict_types=1);

namespace App\Support;

use Closure;

/** Something that is asked for often and stays as it is while one request is answered. */
final class Once
{
    /**
     * @template T
     *
     * @param  Closure(): T  $make
     * @return T
     */
    public static function aRequest(string $key, Closure $make): mixed
    {
        $kept = request()->attributes;
        if (! $kept->has($key)) {
            $kept->set($key, $make());
        }

        /** @var T */
        return $kept->get($key);
    }
}
