<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Group;
use App\Models\Lesson;
use App\Models\Organisation;
use App\Models\Stock;
use App\Models\User;
use App\Teaching\Deeds;
use App\Teaching\LessonLog;
use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\EventKind;
use Illuminate\Database\Seeder;

/**
 * The demo: the Gullwick Harbour Library with its groups. Everybody and everything in it is made up.
 *
 * @phpstan-import-type Given from Deeds
 */
final class DatabaseSeeder extends Seeder
{
    public const EMAIL = 'lead@gullwick.example';

    public const PASSWORD = 'fold-the-corner';

    private const JUNIORS = [
        'Ada', 'Bram', 'Cleo', 'Dov', 'Edda', 'Finn', 'Gus', 'Hana', 'Ivo', 'Juno',
        'Kit', 'Lena', 'Milo', 'Nell', 'Otis', 'Pia', 'Quin', 'Rosa',
    ];

    private const FAMILIES = [
        'Suri', 'Tom', 'Una', 'Vito', 'Wren', 'Xan', 'Yara', 'Zeno',
        'Anouk', 'Bela', 'Cas', 'Dita',
    ];

    private const LUNCH = ['Edwin', 'Fay', 'Greta', 'Hugo', 'Ines', 'Jonas', 'Kaja', 'Leif', 'Mira', 'Nils'];

    private const TEENS = [
        'Abe', 'Britt', 'Cem', 'Dora', 'Eli', 'Frida', 'Goran', 'Hedda', 'Ilya', 'Jette', 'Kofi', 'Luz',
    ];

    /** Models of the term, from simple folds to the crane and beyond. */
    private const TERM = [
        'cat-face', 'drinking-cup', 'helmet', 'fortune-teller', 'fir-tree', 'house', 'whale', 'swan', 'crane',
        'flapping-bird', 'crane', 'flapping-bird',
    ];

    public function run(): void
    {
        if (Organisation::query()->exists()) {
            return;
        }
        $library = Organisation::query()->create(['name' => 'Gullwick Harbour Library']);
        User::query()->create([
            'organisation_id' => $library->id,
            'name' => 'Marta',
            'email' => self::EMAIL,
            'password' => self::PASSWORD,
            'demo' => true,
        ]);
        $juniors = $this->group(
            library: $library,
            name: 'Harbour Juniors',
            band: 'junior',
            helpers: 1,
            names: self::JUNIORS,
        );
        $families = $this->group(
            library: $library,
            name: 'Family morning',
            band: 'mixed',
            helpers: 2,
            names: self::FAMILIES,
        );
        $lunch = $this->group(library: $library, name: 'Lunch folders', band: 'adult', helpers: 0, names: self::LUNCH);
        $a4 = $this->stock(
            library: $library,
            name: 'A4',
            width: 210,
            height: 297,
            grammage: 80,
            count: 16,
            more: ['price' => 0.02],
        );
        $this->stock(
            library: $library,
            name: 'A5',
            width: 148,
            height: 210,
            grammage: 80,
            count: 60,
            more: ['price' => 0.01],
        );
        $this->stock(
            library: $library,
            name: 'Letter',
            width: 215.9,
            height: 279.4,
            grammage: 75,
            count: 40,
            more: ['price' => 0.02],
        );
        $news = $this->stock(
            library: $library,
            name: 'Newspaper page',
            width: 289,
            height: 380,
            grammage: 45,
            count: null,
            more: [
                'kind' => 'newsprint',
                'sides' => 'printed',
                'price' => 0,
                'tags' => ['recycled'],
                'trim_mm' => 10,
            ],
        );
        $this->stock(
            library: $library,
            name: 'Folding paper, large',
            width: 150,
            height: 150,
            grammage: 70,
            count: 100,
            more: [
                'kind' => 'folding',
                'sides' => 'coloured',
                'price' => 0.09,
            ],
        );
        $ends = $this->stock(
            library: $library,
            name: 'Wallpaper ends',
            width: 400,
            height: 530,
            grammage: 110,
            count: 7,
            more: [
                'kind' => 'wallpaper',
                'sides' => 'coloured',
                'price' => 0,
                'tags' => ['recycled', 'too thick for cranes'],
                'scrap' => true,
            ],
        );

        $today = CarbonImmutable::now();
        $four = $today->setTime(16, 0);
        // the lesson of today ends today, however late the demo is made
        $start = $today->lessThan($four)
            ? $four
            : min($today->addHour()->startOfHour(), $today->setTime(22, 59));
        $teens = $this->group(
            library: $library,
            name: 'Thursday folders',
            band: 'teen',
            helpers: 2,
            names: self::TEENS,
        );
        $this->history($teens, $a4, $four);
        $this->taught(group: $juniors, slug: 'dog-face', stock: $a4, at: $four->subDays(14), minutes: 40, steps: 6);
        $this->taught(group: $juniors, slug: 'drinking-cup', stock: $a4, at: $four->subDays(7), minutes: 60, steps: 7);
        $this->lesson(group: $juniors, model: 'helmet', stock: $a4, at: $start, minutes: 60, ready: false);
        $this->lesson(
            group: $lunch,
            model: 'drinking-cup',
            stock: $news,
            at: $today->setTime(12, 30)->addDays(3),
            minutes: 45,
            ready: false,
        );
        $this->lesson(
            group: $families,
            model: 'dog-face',
            stock: $a4,
            at: $today->setTime(10, 0)->addDays(4),
            minutes: 60,
            ready: true,
        );
        $two = $this->lesson(
            group: $juniors,
            model: 'square-box',
            stock: $ends,
            at: $four->addDays(7),
            minutes: 90,
            ready: false,
        );
        $two->update(['prefer' => 'scrap', 'decorate' => 'after', 'method' => 'trimmer']);
        $two->models()->update(['side_mm' => 200]);
        $two->models()->create(['place' => 1, 'model' => 'whale', 'side_mm' => 148]);
        $two->chosen()->attach($a4->id, ['place' => 1]);
        $a4->refresh()->update(['count' => 16]); // counted anew after the lessons taught
    }

    /** A term of a group that times were learned from: twelve weeks, the last of them three weeks ago. */
    private function history(Group $group, Stock $stock, CarbonImmutable $four): void
    {
        $lead = User::query()->where('organisation_id', $group->organisation_id)->firstOrFail();
        $played = app(PlayedLessons::class);
        foreach (self::TERM as $i => $model) {
            $at = $four->addHour()->subWeeks(count(self::TERM) + 2 - $i);
            $lesson = $this->lesson(group: $group, model: $model, stock: $stock, at: $at, minutes: 90, ready: true);
            $played->play($lesson->refresh(), $lead, 1 + $i);
        }
    }

    /** @param  list<string>  $names */
    private function group(Organisation $library, string $name, string $band, int $helpers, array $names): Group
    {
        $group = $library->groups()->create(['name' => $name, 'age_band' => $band, 'helpers' => $helpers]);
        foreach ($names as $i => $given) {
            $group->learners()->create(['name' => $given, 'seat' => $i + 1]);
        }

        return $group;
    }

    /** @param  array<string, mixed>  $more */
    private function stock(
        Organisation $library,
        string $name,
        float $width,
        float $height,
        int $grammage,
        ?int $count,
        array $more = [],
    ): Stock {
        return $library
            ->stocks()
            ->create([
                'name' => $name,
                'width_mm' => $width,
                'height_mm' => $height,
                'grammage' => $grammage,
                'count' => $count,
                ...$more,
            ]);
    }

    private function lesson(
        Group $group,
        string $model,
        Stock $stock,
        CarbonImmutable $at,
        int $minutes,
        bool $ready,
    ): Lesson {
        $lesson = Lesson::blank($group->organisation_id);
        $lesson->fill([
            'group_id' => $group->id,
            'starts_at' => $at,
            'minutes' => $minutes,
            'helpers' => $group->helpers,
            'paper_ready' => $ready,
        ])->save();
        $lesson->models()->create(['place' => 0, 'model' => $model, 'ways' => null, 'side_mm' => null]);
        $lesson->chosen()->attach($stock->id, ['place' => 0]);

        return $lesson;
    }

    /** A lesson with its log, as if it had been taught: everybody's marks at their times. */
    private function taught(
        Group $group,
        string $slug,
        Stock $stock,
        CarbonImmutable $at,
        int $minutes,
        int $steps,
    ): void {
        $lesson = $this->lesson(group: $group, model: $slug, stock: $stock, at: $at, minutes: $minutes, ready: true);
        $log = app(LessonLog::class);
        $lead = User::query()->where('organisation_id', $group->organisation_id)->firstOrFail();
        $apart = intdiv(($minutes - 12) * 60, $steps);
        for ($step = 1; $step <= $steps; $step++) {
            CarbonImmutable::setTestNow($at->addMinutes(6)->addSeconds(($step - 1) * $apart));
            $log->append($lesson, $lead, [Deeds::make(EventKind::Moved, ['step' => $step])]);
            CarbonImmutable::setTestNow($at->addMinutes(6)->addSeconds($step * $apart - 20));
            $log->append($lesson, $lead, $this->marks($group, $step, $steps));
        }
        CarbonImmutable::setTestNow($at->addMinutes($minutes - 3));
        $log->append($lesson, $lead, [
            Deeds::make(EventKind::Moved, ['step' => $steps + 1]),
            Deeds::make(EventKind::Ended),
        ]);
        CarbonImmutable::setTestNow();
    }

    /** @return list<Given> who is done with a step, and who asked for help at it */
    private function marks(Group $group, int $step, int $steps): array
    {
        $marks = [];
        foreach ($group->learners as $i => $learner) {
            [$help, $last] = match (true) {
                ($i + $steps) % 9 === 7 => [0, 0], // away
                ($i + $steps) % 8 === 5 => [0, $steps - 2 - ($i % 2)],
                ($i + $steps) % 4 === 2 => [$steps - 1, $steps],
                default => [0, $steps],
            };
            if ($step === $help) {
                $marks[] = Deeds::make(EventKind::Help, ['learner' => $learner->id, 'step' => $step]);
            }
            if ($step <= $last) {
                $marks[] = Deeds::make(EventKind::Done, ['learner' => $learner->id, 'step' => $step]);
            }
        }

        return $marks;
    }
}
