<?php

declare(strict_types=1);

namespace App\Bin;

use App\Models\Group;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Stock;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What would go with something that is removed, counted and in words. */
final class Holdings
{
    public function of(Lesson|Group|Learner|Stock $thing): string
    {
        return match (true) {
            $thing instanceof Lesson => self::said([
                'mark' => self::marks()->where('lesson_id', $thing->id),
                'record' => DB::table('finishes')->where('lesson_id', $thing->id),
            ]),
            $thing instanceof Learner => self::said([
                'mark' => self::marks()->where('learner_id', $thing->id),
                'record' => DB::table('finishes')->where('learner_id', $thing->id),
            ]),
            $thing instanceof Group => self::said([
                'learner' => DB::table('learners')->where('group_id', $thing->id),
                'lesson' => DB::table('lessons')->where('group_id', $thing->id),
                'record' => DB::table('finishes')->whereIn(
                    'lesson_id',
                    DB::table('lessons')->where('group_id', $thing->id)->select('id'),
                ),
            ]),
            $thing instanceof Stock => self::said([
                'planned lesson' => DB::table('lesson_stock')
                    ->join('lessons', 'lessons.id', '=', 'lesson_id')
                    ->where('stock_id', $thing->id)
                    ->whereNull('ended_at')
                    ->whereNull('deleted_at'),
            ]),
        };
    }

    private static function marks(): Builder
    {
        return DB::table('lesson_events')->whereNotNull('learner_id')->where('kind', '<>', 'corrected');
    }

    /** @param  array<string, Builder>  $counted  by what one is called */
    private static function said(array $counted): string
    {
        $said = [];
        foreach ($counted as $name => $query) {
            $n = $query->count();
            $n > 0 && ($said[] = $n === 1 ? "1 $name" : "$n {$name}s");
        }

        return implode(', ', $said);
    }
}
