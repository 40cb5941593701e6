<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\Lesson;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What leads saw go wrong: kept once a lesson, step and kind. */
final class SightingRows
{
    private const TABLE = 'fault_sightings';

    /** @param  array{model: string, step: int, kind: string}  $fault */
    public function tick(Lesson $lesson, array $fault, bool $seen): void
    {
        $of = ['lesson_id' => $lesson->id, ...$fault];
        $seen
            ? DB::table(self::TABLE)->insertOrIgnore([...$of, 'organisation_id' => $lesson->organisation_id])
            : DB::table(self::TABLE)->where($of)->delete();
    }

    /** @return Collection<int, object> model, step and kind, as they were ticked */
    public function of(Lesson $lesson): Collection
    {
        return DB::table(self::TABLE)->where('lesson_id', $lesson->id)->orderBy('id')->get(['model', 'step', 'kind']);
    }

    /** @return array<string, int> by kind, in all lessons of a place */
    public function counts(int $organisation): array
    {
        /** @var array<string, int|string> $counts */
        $counts = DB::table(self::TABLE)
            ->where('organisation_id', $organisation)
            ->groupBy('kind')
            ->selectRaw('kind, count(*) as seen')
            ->pluck('seen', 'kind')
            ->all();

        return array_map(intval(...), $counts);
    }
}
