<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Groups\FoldStanding;
use App\Groups\FoldStandingData;
use App\Models\Group;
use App\Support\Once;
use Cathedra\Core\Pacing\Room;

/** A group as the room of a lesson: who is there, and what they can fold already. */
final readonly class RoomOf
{
    public function __construct(private FoldStanding $standing, private LearnedTimes $learned)
    {
    }

    public function __invoke(Group $group, ?int $helpers = null): Room
    {
        return new Room(
            max(1, $group->size()),
            $helpers ?? $group->helpers,
            $group->age_band,
            $group->exists ? Once::aRequest("knows:{$group->id}", fn (): array => $this->known($group)) : [],
            $group->exists ? $this->learned->of($group->organisation_id)->pace((string) $group->id) : 1.0,
        );
    }

    /** @return list<string> */
    private function known(Group $group): array
    {
        $known = array_filter(($this->standing)($group), static fn (FoldStandingData $of): bool => $of->known);

        return array_values(array_map(static fn (FoldStandingData $of): string => $of->kind, $known));
    }
}
