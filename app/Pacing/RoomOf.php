<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Group;
use Cathedra\Core\Pacing\Room;

/** A group as the room of a lesson: who is there, and what they can fold already. */
final readonly class RoomOf
{
    public function __construct(private GroupKnows $knows, private LearnedTimes $learned)
    {
    }

    public function __invoke(Group $group, ?int $helpers = null): Room
    {
        return new Room(
            learners: max(1, $group->size()),
            helpers: $helpers ?? $group->helpers,
            ageBand: $group->age_band,
            knows: $group->exists ? $this->knows->folds($group) : [],
            pace: $group->exists ? $this->learned->of($group->organisation_id)->pace((string) $group->id) : 1.0,
        );
    }
}
