<?php

declare(strict_types=1);

namespace App\Groups;

use App\Bin\Bin;
use App\Bin\Holdings;
use App\Models\Group;
use App\Models\Learner;
use App\Support\Conflict;
use App\Support\Transaction;
use App\Support\Versions;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Validation\ValidationException;

/**
 * Saves a group with its list of learners. Learners are known by their number, never by their name, so that a corrected
 * spelling keeps the records; who is no longer listed is put into the bin only when named for it.
 */
final readonly class SaveGroup
{
    public function __construct(private Bin $bin, private Holdings $holdings)
    {
    }

    /**
     * @param  array<string, mixed>  $given  as GroupRequest validates it
     *
     * @throws Conflict when somebody else changed the group meanwhile, or learners would go who were not named for it
     * @throws ValidationException when a learner is not of this group
     */
    public function __invoke(Group $group, array $given): Group
    {
        Transaction::run(function () use ($group, $given): void {
            /** @var list<array{id?: int|string|null, name: string}> $list */
            $list = array_values((array) $given['learners']);
            if ($group->exists) {
                $group->setRawAttributes(Transaction::locked($group)->getAttributes(), true);
                $known = $group->learners()->get();
                $this->compare($group, $known, $given, $list);
                $this->removeNamed(
                    $group,
                    $known,
                    $list,
                    array_values(array_map(intval(...), (array) ($given['remove'] ?? []))),
                );
                $group->version++;
            }
            $fields = array_intersect_key($given, ['name' => 0, 'age_band' => 0, 'helpers' => 0, 'table_size' => 0]);
            $group->fill($fields)->save();
            $this->seat($group, $list);
        });

        return $group->refresh()->unsetRelation('learners');
    }

    /**
     * @param  Collection<int, Learner>  $known
     * @param  array<string, mixed>  $given
     * @param  list<array{id?: int|string|null, name: string}>  $list
     */
    private function compare(Group $group, Collection $known, array $given, array $list): void
    {
        $seen = isset($given['version']) ? (int) $given['version'] : null;
        $of = static fn (array $of): array => [
            'name' => $of['name'],
            'age band' => $of['age_band'],
            'helpers' => (int) $of['helpers'],
        ];
        Versions::compare(
            now: $group->version,
            seen: $seen,
            what: 'this group',
            theirs: [...$of($group->getAttributes()), 'learners' => $known->pluck('name')->all()],
            mine: [...$of($given), 'learners' => array_column($list, 'name')],
        );
    }

    /**
     * @param  Collection<int, Learner>  $known
     * @param  list<array{id?: int|string|null, name: string}>  $list
     * @param  list<int>  $remove
     */
    private function removeNamed(Group $group, Collection $known, array $list, array $remove): void
    {
        $listed = array_filter(array_map(static fn (array $l): int => (int) ($l['id'] ?? 0), $list));
        $strangers = array_diff($listed, $known->modelKeys());
        if ($strangers !== []) {
            $i = array_key_first(
                array_filter($list, static fn (array $l): bool => in_array((int) ($l['id'] ?? 0), $strangers, true)),
            );
            throw ValidationException::withMessages([
                "learners.$i.id" => 'This learner is not in the group (any more). Load'.' the list again.',
            ]);
        }
        $unnamed = [];
        foreach ($known as $learner) {
            if (in_array($learner->id, $listed, true)) {
                continue;
            }
            if (in_array($learner->id, $remove, true)) {
                $this->bin->put($learner, sure: true);
            } else {
                $unnamed[] = ['id' => $learner->id, 'name' => $learner->name, 'holds' => $this->holdings->of($learner)];
            }
        }
        if ($unnamed !== []) {
            $names = implode(
                '; ',
                array_map(
                    static fn (array $l): string => $l['name'].($l['holds'] === '' ? '' : " ({$l['holds']})"),
                    $unnamed,
                ),
            );
            throw Conflict::at('/remove', "No longer on the list: $names. Nothing was saved; say that they shall go.", [
                'missing' => $unnamed,
            ]);
        }
    }

    /**
     * Seats follow the order of the list. A seat is held once: everybody stands up, then sits down in the new order.
     *
     * @param  list<array{id?: int|string|null, name: string}>  $list
     */
    private function seat(Group $group, array $list): void
    {
        $group->learners()->update(['seat' => null]);
        $known = $group->learners()->get()->keyBy('id');
        foreach ($list as $i => $learner) {
            $row = ['name' => $learner['name'], 'seat' => $i + 1];
            $present = $known->get((int) ($learner['id'] ?? 0));
            $present === null ? $group->learners()->create($row) : $present->update($row);
        }
    }
}
