<?php

declare(strict_types=1);

namespace App\Bin;

use App\Models\Group;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Stock;
use App\Shelf\ModelShelf;
use App\Support\Conflict;
use App\Support\Transaction;
use Carbon\CarbonImmutable;
use Cathedra\Core\Rules\Bounds;
use Illuminate\Database\UniqueConstraintViolationException;

/** What is removed lies here for a while and can be put back; erasing for good is an act of its own. */
final readonly class Bin
{
    public function __construct(private ModelShelf $shelf, private Holdings $holdings)
    {
    }

    /**
     * @param  bool  $sure  what it holds was named and removing was asked for again
     *
     * @throws Conflict naming what it holds
     */
    public function put(Lesson|Group|Learner|Stock $thing, bool $sure): BinEntry
    {
        $holds = $this->holdings->of($thing);
        if ($holds !== '' && ! $sure) {
            throw Conflict::at(
                '/sure',
                "{$this->title($thing)}: $holds. It would all lie in the bin for ".Bounds::BIN_DAYS.' days.',
                ['holds' => $holds],
            );
        }
        Transaction::run(function () use ($thing): void {
            $thing->delete();
            if ($thing instanceof Group) {
                // With the very time of the group, so that putting it back puts back just these.
                $thing
                    ->lessons()
                    ->toBase()
                    ->update(['deleted_at' => $thing->deleted_at]);
            }
            if ($thing instanceof Learner) {
                $thing->update(['seat' => null]);
                Group::withTrashed()->whereKey($thing->group_id)->increment('version');
            }
        });

        return $this->entry($thing);
    }

    /** @return list<BinEntry> the latest first */
    public function entries(int $organisation): array
    {
        $entries = [];
        foreach (BinKind::cases() as $kind) {
            foreach ($kind->inBin($organisation) as $thing) {
                $entries[] = $this->entry($thing);
            }
        }
        usort($entries, static fn (BinEntry $a, BinEntry $b): int => [$b->removed, $b->id] <=> [$a->removed, $a->id]);

        return $entries;
    }

    /** @throws Conflict when its place is taken, or what it belongs to lies in the bin too */
    public function restore(Lesson|Group|Learner|Stock $thing): void
    {
        try {
            Transaction::run(function () use ($thing): void {
                $since = $thing->deleted_at;
                if ($thing instanceof Lesson || $thing instanceof Learner) {
                    $this->groupMustBeThere($thing->group_id);
                }
                if ($thing instanceof Learner) {
                    $this->sitDown($thing);
                }
                $thing->restore();
                if ($thing instanceof Learner) {
                    event(new PutBack($thing, CarbonImmutable::parse($since)));
                }
                if ($thing instanceof Group) {
                    Lesson::onlyTrashed()
                        ->where('group_id', $thing->id)
                        ->where('deleted_at', $since)
                        ->update(['deleted_at' => null]);
                }
            });
        } catch (UniqueConstraintViolationException) {
            throw Conflict::at(
                '/name',
                "Something else is called {$this->title($thing)} now. Give that another name first.",
            );
        }
    }

    public function erase(Lesson|Group|Learner|Stock $thing): void
    {
        Transaction::run(static fn () => $thing->forceDelete());
    }

    /** Erases for good what has lain there too long. */
    public function purge(): int
    {
        $until = CarbonImmutable::now()->subDays(Bounds::BIN_DAYS);
        $erased = 0;
        foreach ([Lesson::class, Learner::class, Stock::class, Group::class] as $class) {
            foreach ($class::onlyTrashed()->where('deleted_at', '<', $until)->get() as $thing) {
                $this->erase($thing);
                $erased++;
            }
        }

        return $erased;
    }

    private function entry(Lesson|Group|Learner|Stock $thing): BinEntry
    {
        $removed = CarbonImmutable::parse($thing->deleted_at);

        return new BinEntry(
            kind: BinKind::of($thing)->value,
            id: $thing->id,
            title: $this->title($thing),
            holds: $this->holdings->of($thing),
            removed: $removed->format('Y-m-d\TH:i'),
            until: $removed->addDays(Bounds::BIN_DAYS)->format('Y-m-d'),
        );
    }

    private function title(Lesson|Group|Learner|Stock $thing): string
    {
        if (! ($thing instanceof Lesson)) {
            return $thing->name;
        }
        $models = $thing->models->map(fn ($m): string => $this->shelf->title($m->model))->implode(', ');
        $group = Group::withTrashed()->findOrFail($thing->group_id)->name;

        return "$models with $group, {$thing->starts_at->format('j M Y')}";
    }

    private function groupMustBeThere(int $group): void
    {
        if (Group::query()->whereKey($group)->doesntExist()) {
            throw Conflict::at('/group', 'Its group lies in the bin too. Put the group back first.');
        }
    }

    /** The first free seat; nobody is moved. */
    private function sitDown(Learner $learner): void
    {
        $taken = Learner::query()->where('group_id', $learner->group_id)->lockForUpdate()->pluck('seat')->all();
        $free = array_values(array_diff(range(1, Bounds::MAX_LEARNERS), $taken));
        if ($free === []) {
            throw Conflict::at('/seat', 'All '.Bounds::MAX_LEARNERS.' seats of the group are taken.');
        }
        $learner->seat = $free[0];
        Group::query()->whereKey($learner->group_id)->increment('version');
    }
}
