<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Groups\FoldStanding;
use App\Groups\FoldStandingData;
use App\Models\Group;
use Cathedra\Core\Pacing\Room;

/** A group as the room of a lesson: who is there, and what they can fold already. */
final class RoomOf
{
    /** @var array<int, list<string>> kinds of fold by group, of this request */
    private array $knows = [];

    public function __construct(private readonly FoldStanding $standing)
    {
    }

    public function __invoke(Group $group, ?int $helpers = null): Room
    {
        return new Room(
            max(1, $group->size()),
            $helpers ?? $group->helpers,
            $group->age_band,
            $group->exists ? $this->knows[$group->id] ??= $this->known($group) : [],
        );
    }

    /** @return list<string> */
    private function known(Group $group): array
    {
        $known = array_filter(($this->standing)($group), static fn (FoldStandingData $of): bool => $of->known);

        return array_values(array_map(static fn (FoldStandingData $of): string => $of->kind, $known));
    }
}
