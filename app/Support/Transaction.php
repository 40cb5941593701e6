<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** All or nothing; tried again when the database chose it as the victim of a deadlock. The one place that opens one. */
final class Transaction
{
    private const TRIES = 3;

    /**
     * @template T
     *
     * @param  Closure(): T  $work  reads whatever it changes inside, so that a second try sees what is there then
     * @return T
     */
    public static function run(Closure $work): mixed
    {
        return DB::transaction($work, self::TRIES);
    }

    /**
     * The row as it is now, locked until the transaction ends.
     *
     * @template M of Model
     *
     * @param  M  $row
     * @return M
     */
    public static function locked(Model $row): Model
    {
        /** @var M $fresh */
        $fresh = $row->newQuery()->whereKey($row->getKey())->lockForUpdate()->firstOrFail();

        return $fresh;
    }
}
