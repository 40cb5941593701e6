<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Cathedra\Core\Rules\Bounds;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/** Limits are stated once (core/Rules/Bounds): screens are told them, forms and the database hold to them. */
final class BoundsTest extends TestCase
{
    /** @return iterable<string, array{string, string}> field of the group's form, name of the bounds */
    public static function ofAGroup(): iterable
    {
        yield 'helpers' => ['helpers', 'helpers'];
        yield 'places at a table' => ['table_size', 'table_size'];
    }

    #[DataProvider('ofAGroup')]
    public function testANumberOfAGroup(string $field, string $bounds): void
    {
        $this->actingAs($this->lead());
        ['least' => $least, 'most' => $most] = $this->told($bounds);
        $group = ['name' => 'Juniors', 'age_band' => 'junior', 'helpers' => 1, 'learners' => []];
        foreach ([$least - 1, $most + 1] as $i => $beyond) {
            $this->postJson('/api/groups', [$field => (int) $beyond, 'name' => "Out $i"] + $group)
                ->assertStatus(422)
                ->assertJsonPath('errors.0.pointer', "/$field");
        }
        foreach ([$least, $most] as $i => $within) {
            $this->postJson('/api/groups', [$field => (int) $within, 'name' => "In $i"] + $group)
                ->assertCreated()
                ->assertJsonPath($field, (int) $within);
        }
    }

    /** @return iterable<string, array{string, string}> field of the paper's form, name of the bounds */
    public static function ofPaper(): iterable
    {
        yield 'width' => ['width_mm', 'side_mm'];
        yield 'height' => ['height_mm', 'side_mm'];
        yield 'weight' => ['grammage', 'grammage'];
        yield 'count' => ['count', 'count'];
        yield 'lost all round' => ['trim_mm', 'trim_mm'];
        yield 'price' => ['price', 'price'];
    }

    #[DataProvider('ofPaper')]
    public function testANumberOfPaper(string $field, string $bounds): void
    {
        $this->actingAs($this->lead());
        ['least' => $least, 'most' => $most] = $this->told($bounds);
        // large enough that what is lost all round leaves something
        $paper = ['name' => 'Sheet', 'width_mm' => 500, 'height_mm' => 500, 'grammage' => 80, 'count' => 5];
        foreach ([$least - 1, $most + 1] as $i => $beyond) {
            $this->postJson('/api/stocks', [$field => $beyond, 'name' => "Out $i"] + $paper)
                ->assertStatus(422)
                ->assertJsonPath('errors.0.pointer', "/$field");
        }
        foreach ([$least, $most] as $i => $within) {
            $this->postJson('/api/stocks', [$field => $within, 'name' => "In $i"] + $paper)->assertCreated();
        }
    }

    public function testTextsAndLists(): void
    {
        $this->actingAs($this->lead());
        $of = fn (string $name): int => (int) $this->told($name)['most'];
        $learner = static fn (int $signs): array => ['id' => null, 'name' => str_repeat('ö', $signs)];
        $try = fn (string $name, array $learners): int => $this->postJson('/api/groups', [
            'name' => $name,
            'age_band' => 'junior',
            'helpers' => 0,
            'learners' => $learners,
        ])->getStatusCode();
        $numbered = static fn (int $n): array => array_map(
            static fn (int $i): array => ['id' => null, 'name' => "N$i"],
            range(1, $n),
        );
        self::assertSame([201, 422], [$try(str_repeat('é', $of('name')), []), $try(str_repeat('e', 81), [])]);
        self::assertSame(80, $of('name'));
        self::assertSame([201, 422], [
            $try('Long names', [$learner($of('learner_name'))]),
            $try('Longer names', [$learner($of('learner_name') + 1)]),
        ]);
        self::assertSame([201, 422], [
            $try('Many', $numbered($of('learners'))),
            $try('More', $numbered($of('learners') + 1)),
        ]);
    }

    public function testALessonsMinutes(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead);
        ['least' => $least, 'most' => $most] = $this->told('minutes');
        foreach ([[$least - 1, 422], [$least, 201], [$most, 201], [$most + 1, 422]] as [$minutes, $status]) {
            $end = date('Y-m-d\TH:i', (int) strtotime('2026-11-24T08:00 UTC') + (int) $minutes * 60);
            $answer = $this->postJson('/api/lessons', $this->lessonInput($group, [
                'starts_at' => '2026-11-24T08:00',
                'ends_at' => $end,
            ]));
            self::assertSame($status, $answer->getStatusCode(), "$minutes minutes: ".$answer->getContent());
        }
    }

    /** @return iterable<string, array{string, string, string}> table, column, name of the bounds */
    public static function columns(): iterable
    {
        yield 'a sheet is not smaller or larger' => ['stocks', 'width_mm', Bounds::SIDE_MM];
        yield 'in the other direction' => ['stocks', 'height_mm', Bounds::SIDE_MM];
        yield 'a lesson is not shorter or longer' => ['lessons', 'minutes', Bounds::MINUTES];
        yield 'no seat beyond the last' => ['learners', 'seat', '1,'.Bounds::MAX_LEARNERS];
    }

    /** Whatever writes past the forms (a script, a mistake of ours) is stopped by the database at the same place. */
    #[DataProvider('columns')]
    public function testTheDatabaseHoldsToThemToo(string $table, string $column, string $bounds): void
    {
        $lead = $this->lead();
        $this->row($lead, $table);
        ['least' => $least, 'most' => $most] = Bounds::range($bounds);
        foreach ([[$least, true], [$most, true], [$least - 1, false], [$most + 1, false]] as [$value, $taken]) {
            try {
                DB::table($table)->update([$column => $value]);
                $was = true;
            } catch (QueryException $e) {
                self::assertStringContainsString('CONSTRAINT', $e->getMessage());
                $was = false;
            }
            self::assertSame($taken, $was, "$table.$column = $value");
        }
    }

    public function testRanges(): void
    {
        self::assertSame(['least' => 10.0, 'most' => 2000.0], Bounds::range(Bounds::SIDE_MM));
        foreach ([[9.99, false], [10.0, true], [2000.0, true], [2000.01, false]] as [$mm, $holds]) {
            self::assertSame($holds, Bounds::holds(Bounds::SIDE_MM, $mm), "$mm mm");
        }
        foreach (Bounds::ofForms() as $field => ['least' => $least, 'most' => $most]) {
            self::assertLessThan($most, $least, $field);
        }
    }

    /** @return array{least: float, most: float} as screens are told with the account */
    private function told(string $name): array
    {
        $bounds = (array) $this->getJson('/api/me')->assertOk()->json("bounds.$name");

        return ['least' => (float) $bounds['least'], 'most' => (float) $bounds['most']];
    }

    private function row(User $lead, string $table): void
    {
        $group = $this->group($lead, ['Ada']);
        if ($table === 'stocks') {
            $lead->organisation->stocks()->create(['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297]);
        }
        if ($table === 'lessons') {
            $group->lessons()->create([
                'organisation_id' => $lead->organisation_id,
                'starts_at' => '2026-11-24 16:00',
                'minutes' => 60,
                'helpers' => 0,
            ]);
        }
        self::assertSame(1, DB::table($table)->count());
    }
}
