<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Group;
use App\Models\Lesson;
use App\Models\Organisation;
use App\Models\Stock;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;

/** The demo: the Gullwick Harbour Library with its groups. Everybody and everything in it is made up. */
final class DatabaseSeeder extends Seeder
{
    public const EMAIL = 'lead@gullwick.example';

    public const PASSWORD = 'fold-the-corner';

    private const JUNIORS = [
        'Ada',
        'Bram',
        'Cleo',
        'Dov',
        'Edda',
        'Finn',
        'Gus',
        'Hana',
        'Ivo',
        'Juno',
        'Kit',
        'Lena',
        'Milo',
        'Nell',
        'Otis',
        'Pia',
        'Quin',
        'Rosa',
    ];

    private const FAMILIES = [
        'Suri',
        'Tom',
        'Una',
        'Vito',
        'Wren',
        'Xan',
        'Yara',
        'Zeno',
        'Anouk',
        'Bela',
        'Cas',
        'Dita',
    ];

    private const LUNCH = ['Edwin', 'Fay', 'Greta', 'Hugo', 'Ines', 'Jonas', 'Kaja', 'Leif', 'Mira', 'Nils'];

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
        ]);
        $juniors = $this->group($library, 'Harbour Juniors', 'junior', 1, self::JUNIORS);
        $families = $this->group($library, 'Family morning', 'mixed', 2, self::FAMILIES);
        $lunch = $this->group($library, 'Lunch folders', 'adult', 0, self::LUNCH);
        $a4 = $this->stock($library, 'A4', 210, 297, 80, 16, ['price' => 0.02]);
        $this->stock($library, 'A5', 148, 210, 80, 60, ['price' => 0.01]);
        $this->stock($library, 'Letter', 215.9, 279.4, 75, 40, ['price' => 0.02]);
        $news = $this->stock($library, 'Newspaper page', 289, 380, 45, null, [
            'kind' => 'newsprint',
            'sides' => 'printed',
            'price' => 0,
            'tags' => ['recycled'],
            'trim_mm' => 10,
        ]);
        $this->stock($library, 'Folding paper, large', 150, 150, 70, 100, [
            'kind' => 'folding',
            'sides' => 'coloured',
            'price' => 0.09,
        ]);
        $ends = $this->stock($library, 'Wallpaper ends', 400, 530, 110, 7, [
            'kind' => 'wallpaper',
            'sides' => 'coloured',
            'price' => 0,
            'tags' => ['recycled', 'too thick for cranes'],
            'scrap' => true,
        ]);

        $today = CarbonImmutable::now();
        $four = $today->setTime(16, 0);
        $start = $today->lessThan($four) ? $four : $today->addHour()->startOfHour();
        $this->taught($juniors, 'dog-face', $a4, $four->subDays(14), 40, 5);
        $this->taught($juniors, 'drinking-cup', $a4, $four->subDays(7), 60, 7);
        $this->lesson($juniors, 'helmet', $a4, $start, 60, false);
        $this->lesson($lunch, 'drinking-cup', $news, $today->setTime(12, 30)->addDays(3), 45, false);
        $this->lesson($families, 'dog-face', $a4, $today->setTime(10, 0)->addDays(4), 60, true);
        $two = $this->lesson($juniors, 'square-box', $ends, $four->addDays(7), 90, false);
        $two->update(['side_mm' => 200, 'prefer' => 'scrap', 'decorate' => 'after', 'method' => 'trimmer']);
        $two->further()->create(['place' => 1, 'model' => 'whale', 'side_mm' => 148]);
        $two->alsoFrom()->sync([$a4->id]);
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
        return Lesson::query()->create([
            'organisation_id' => $group->organisation_id,
            'group_id' => $group->id,
            'stock_id' => $stock->id,
            'model' => $model,
            'starts_at' => $at,
            'minutes' => $minutes,
            'helpers' => $group->helpers,
            'side_mm' => null,
            'paper_ready' => $ready,
        ]);
    }

    private function taught(
        Group $group,
        string $slug,
        Stock $stock,
        CarbonImmutable $at,
        int $minutes,
        int $steps,
    ): void {
        $lesson = $this->lesson($group, $slug, $stock, $at, $minutes, true);
        $lesson->update(['step' => $steps + 1, 'started_at' => $at, 'ended_at' => $at->addMinutes($minutes - 3)]);
        foreach ($group->learners()->get() as $i => $learner) {
            [$outcome, $step] = match (true) {
                ($i + $steps) % 9 === 7 => ['away', null],
                ($i + $steps) % 8 === 5 => ['stopped', $steps - 1 - ($i % 2)],
                ($i + $steps) % 4 === 2 => ['help', null],
                default => ['alone', null],
            };
            $lesson
                ->finishes()
                ->create(['learner_id' => $learner->id, 'model' => $slug, 'outcome' => $outcome, 'step' => $step]);
        }
    }
}
