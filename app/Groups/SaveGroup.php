<?php

declare(strict_types=1);

namespace App\Groups;

use App\Models\Group;
use Illuminate\Support\Facades\DB;

/**
 * Saves a group with its list of learners: seats follow the order of the list, learners no longer listed are erased.
 */
final readonly class SaveGroup
{
    /** @param  array<string, mixed>  $given as GroupRequest validates it */
    public function __invoke(Group $group, array $given): Group
    {
        DB::transaction(function () use ($group, $given): void {
            $group
                ->fill(
                    ['name' => $given['name'], 'age_band' => $given['age_band'], 'helpers' => $given['helpers']] +
                        array_intersect_key($given, ['table_size' => 0]),
                )
                ->save();
            /** @var list<array{id?: int|null, name: string}> $learners */
            $learners = $given['learners'];
            $group->learners()->whereNotIn('id', array_filter(array_column($learners, 'id')))->delete();
            // A seat is held once: everybody stands up (no seat), then sits down in the new order.
            $group->learners()->update(['seat' => null]);
            $known = $group->learners()->get()->keyBy('id');
            foreach ($learners as $i => $learner) {
                $row = ['name' => $learner['name'], 'seat' => $i + 1];
                $present = $known->get($learner['id'] ?? 0);
                $present === null ? $group->learners()->create($row) : $present->update($row);
            }
        });

        return $group->unsetRelation('learners');
    }
}
