<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Group;
use Illuminate\Support\Facades\DB;

/** Whether what was summed up of a group's records still holds. */
final readonly class GroupState
{
    /**
     * Changes with every line of a log of the group, when its lessons are others or lie on other days, and when a
     * learner is erased.
     */
    public static function of(Group $group): string
    {
        $row = DB::table('lessons')
            ->where('group_id', $group->id)
            ->whereNull('deleted_at')
            ->selectRaw('COUNT(*) AS n, SUM(newest) AS events')
            ->selectRaw("SUM(CRC32(CONCAT_WS('-', id, newest, starts_at))) AS mix")
            ->selectRaw('(SELECT COUNT(*) FROM learners WHERE group_id = ?) AS learners', [$group->id])
            ->first();

        return implode('-', (array) $row);
    }
}
