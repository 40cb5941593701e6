<?php

declare(strict_types=1);

namespace App\Bin;

use App\Models\Group;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Stock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** What can lie in the bin. */
enum BinKind: string
{
    /** Entries of a kind that are listed. */
    public const SHOWN = 100;

    case Lesson = 'lesson';
    case Group = 'group';
    case Learner = 'learner';
    case Stock = 'stock';

    public static function of(Lesson|Group|Learner|Stock $thing): self
    {
        return match (true) {
            $thing instanceof Lesson => self::Lesson,
            $thing instanceof Group => self::Group,
            $thing instanceof Learner => self::Learner,
            $thing instanceof Stock => self::Stock,
        };
    }

    /**
     * What of this kind an organisation has in the bin, the latest first.
     *
     * @return Collection<int, covariant Lesson|Group|Learner|Stock>
     */
    public function inBin(int $organisation, ?int $id = null): Collection
    {
        /** @var Builder<covariant Lesson|Group|Learner|Stock> $query */
        $query = match ($this) {
            self::Lesson => Lesson::onlyTrashed()->with('models')->where('organisation_id', $organisation),
            self::Group => Group::onlyTrashed()->where('organisation_id', $organisation),
            self::Learner => Learner::onlyTrashed()
                ->whereIn('group_id', Group::withTrashed()->where('organisation_id', $organisation)->select('id')),
            self::Stock => Stock::onlyTrashed()->where('organisation_id', $organisation),
        };
        if ($id !== null) {
            $query->whereKey($id);
        }

        $query->getQuery()->orderByDesc('deleted_at')->limit(self::SHOWN);

        return $query->get();
    }
}
