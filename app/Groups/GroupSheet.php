<?php

declare(strict_types=1);

namespace App\Groups;

use App\Models\Group;
use App\Models\Learner;
use App\Support\LibraryFiles;
use Cathedra\Core\Progress\NextModels;

/** A group with its learners, as screens read it. */
final readonly class GroupSheet
{
    public function __construct(private LibraryFiles $files)
    {
    }

    public function of(Group $group): GroupData
    {
        $group->loadMissing('learners');
        $learners = array_map(
            static fn (Learner $l): LearnerData => new LearnerData($l->id, $l->name, (int) $l->seat),
            array_values($group->learners->all()),
        );

        return new GroupData(
            id: $group->id,
            name: $group->name,
            age_band: $group->age_band,
            age_label: $this->files->times()->ages[$group->age_band]['label'] ?? $group->age_band,
            oldest: NextModels::OLDEST[$group->age_band] ?? null,
            helpers: $group->helpers,
            table_size: $group->table_size ?? $this->files->paperRules()->seats,
            learners: $learners,
            version: $group->version,
        );
    }
}
