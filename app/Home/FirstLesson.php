<?php

declare(strict_types=1);

namespace App\Home;

use App\Groups\SaveGroup;
use App\Lessons\SaveLesson;
use App\Models\Group;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Organisation;
use App\Models\Stock;
use App\Pacing\ModelFit;
use App\Pacing\ModelMinutes;
use App\Pacing\UsualPolicies;
use App\Paper\PaperAdvice;
use App\Shelf\ModelFacts;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use App\Support\Transaction;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/**
 * From one sentence to a lesson: models that this group finishes with this paper in this time, and, when one is chosen,
 * the group (by numbers, until somebody types names), the paper and the lesson together.
 */
final readonly class FirstLesson
{
    /** Models that are offered. */
    private const OFFERED = 6;

    public function __construct(
        private ModelShelf $shelf,
        private ModelMinutes $minutes,
        private PaperAdvice $advice,
        private LibraryFiles $files,
        private SaveGroup $saveGroup,
        private SaveLesson $saveLesson,
        private UsualPolicies $usual,
    ) {
    }

    /** @return list<ModelFit> the easiest that fit first, then those that fit nearly */
    public function offers(Organisation $organisation, FirstWish $wish): array
    {
        $this->shelf->prime();
        $group = $this->group($organisation, $wish);
        $stock = $this->stock($wish->paper);
        $found = [];
        foreach (array_map($this->shelf->facts(...), $this->shelf->slugs()) as $facts) {
            if ($this->suits($facts, $stock, $group, $wish)) {
                $fit = $this->minutes->fit($group, $facts->slug, $wish->minutes);
                $found[] = [[max(0, $fit->minutes - $wish->minutes), $facts->difficulty, -$fit->minutes], $fit];
            }
        }
        usort($found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column(array_slice($found, 0, self::OFFERED), 1);
    }

    /** @param  string  $startsAt  as the clock on the wall shows it */
    public function make(Organisation $organisation, FirstWish $wish, string $model, string $startsAt): Lesson
    {
        return Transaction::run(function () use ($organisation, $wish, $model, $startsAt): Lesson {
            Transaction::locked($organisation); // two presses find one free name after the other
            $plain = $this->group($organisation, $wish);
            $group = ($this->saveGroup)(new Group(['organisation_id' => $organisation->id]), [
                'name' => $this->freeName($organisation, $wish->learners),
                'age_band' => $plain->age_band,
                'helpers' => 0,
                'learners' => array_map(
                    static fn (int $seat): array => ['name' => (string) $seat],
                    range(1, $wish->learners),
                ),
            ]);
            $stock = $this->stock($wish->paper);
            $there = $organisation->stocks()->where('name', $stock->name)->first();
            if ($there === null) {
                $stock->organisation_id = $organisation->id;
                $stock->save();
            }

            return ($this->saveLesson)(
                $this->usual->lesson($organisation->id),
                [
                    'group_id' => $group->id,
                    'starts_at' => CarbonImmutable::parse($startsAt),
                    'minutes' => $wish->minutes,
                    'helpers' => 0,
                ],
                [SaveLesson::asUsual($model)],
                [($there ?? $stock)->id],
            );
        });
    }

    /** A model may be asked of them, and its paper is at hand. */
    private function suits(ModelFacts $facts, Stock $stock, Group $group, FirstWish $wish): bool
    {
        return $facts->age_from <= $wish->years
            && $facts->sheets === 1
            && $this->advice->willFold($stock, $facts, $group->age_band)->verdict === 'fits';
    }

    /** A group that is not saved. */
    private function group(Organisation $organisation, FirstWish $wish): Group
    {
        $group = new Group([
            'organisation_id' => $organisation->id,
            'age_band' => $this->files->times()->bandOf($wish->years),
            'helpers' => 0,
        ]);
        $group->setRelation('learners', new Collection(array_map(
            static fn (int $seat): Learner => new Learner(['name' => (string) $seat, 'seat' => $seat]),
            range(1, $wish->learners),
        )));

        return $group;
    }

    /** Paper of a common format that is not saved; plenty of it. */
    private function stock(string $key): Stock
    {
        $format = array_column($this->files->formats(), null, 'key')[$key];

        return new Stock([
            'name' => $format['name'],
            'width_mm' => $format['width'],
            'height_mm' => $format['height'],
            'grammage' => $format['grammage'],
            'kind' => $format['kind'],
            'sides' => $format['sides'],
            'count' => null,
        ]);
    }

    private function freeName(Organisation $organisation, int $learners): string
    {
        $taken = $organisation->groups()->pluck('name')->all();
        $name = "Group of $learners";
        for ($n = 2; in_array($name, $taken, true); $n++) {
            $name = "Group of $learners, $n";
        }

        return $name;
    }
}
