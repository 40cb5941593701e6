<?php

declare(strict_types=1);

namespace App\Programme;

use App\Models\Lesson;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\Relation;

/** What a lesson brings along with its models, so that nothing is loaded one by one. */
final class Loaded
{
    /** Relations of a lesson that is looked at whole. */
    public const WITH = ['group.learners', 'chosen', 'models'];

    public static function one(Lesson $lesson): Lesson
    {
        return $lesson->loadMissing(self::WITH);
    }

    /**
     * What a list reads of its lessons: learners are counted and numbered, not read, and a lesson that was taught has
     * its papers with it.
     *
     * @param  list<Lesson>  $lessons
     */
    public static function listed(array $lessons): void
    {
        (new Collection($lessons))->loadMissing([
            'group' => static fn (Relation $group) => $group->withCount('learners'),
            'models',
        ]);
        // by number alone: how many of them can do a fold is asked of every group
        (new Collection($lessons))->loadMissing([
            'group.learners' => static fn (Relation $learners) => $learners->select(['id', 'group_id', 'seat']),
        ]);
        $untaught = array_filter($lessons, static fn (Lesson $lesson): bool => $lesson->used_paper === null);
        (new Collection($untaught))->loadMissing('chosen');
    }
}
