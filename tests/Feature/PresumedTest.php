<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;

/** Who was not marked otherwise has finished, presumed: it counts, and whoever reads it is told so. */
final class PresumedTest extends TestCase
{
    /** Steps of a drinking cup. */
    private const LAST = 7;

    /** Ada was seen to have the last step, Bram was away, Cleo stopped, of Dov and Edda nothing was said. */
    public function testPresumedAndSeenAreToldApartEverywhere(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead, ['Ada', 'Bram', 'Cleo', 'Dov', 'Edda']);
        [$ada, $bram, $cleo] = array_values($group->learners()->orderBy('seat')->pluck('id')->all());
        $id = $this->taught(
            $group,
            ['kind' => 'away', 'learner' => $bram],
            ['kind' => 'not-yet', 'learner' => $cleo, 'step' => 3],
            ['kind' => 'done', 'learner' => $ada, 'step' => self::LAST],
        );

        $cells = $this->cells($group);
        self::assertSame(['alone', null, true], $cells['Ada']);
        self::assertSame(['away', null, true], $cells['Bram']);
        self::assertSame(['stopped', 3, true], $cells['Cleo']);
        self::assertSame([['alone', null, false], ['alone', null, false]], [$cells['Dov'], $cells['Edda']]);

        $stands = $this->standing($group, 'valley');
        self::assertSame([3, 0, 2, 5, true], [
            $stands['alone'], $stands['helped'], $stands['unseen'], $stands['of'], $stands['known'],
        ]);
        $whys = implode(' ', array_column($this->getJson("/api/groups/{$group->id}/next")->assertOk()->json(), 'why'));
        self::assertStringContainsString('Presumed, since nobody looked: ', $whys);

        // said afterwards by hand: it is seen, and in the evidence too
        foreach ($group->learners()->orderBy('seat')->pluck('id')->skip(3) as $learner) {
            $this->send($id, ['kind' => 'corrected', 'learner' => $learner, 'correction' => [
                'model' => 'drinking-cup', 'finish' => 'alone', 'step' => null,
            ]])->assertOk();
        }
        self::assertSame(['alone', null, true], $this->cells($group)['Dov']);
        self::assertSame(0, $this->standing($group, 'valley')['unseen']);
        $whys = implode(' ', array_column($this->getJson("/api/groups/{$group->id}/next")->json(), 'why'));
        self::assertStringNotContainsString('Presumed', $whys);
    }

    /** Presumed once and seen in another lesson is seen; seen with help does not stand above presumed alone. */
    public function testTheBestEndIsShownAndASeenOneAmongEquals(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead);
        $group = $this->group($lead, ['Ada', 'Bram']);
        [$ada, $bram] = array_values($group->learners()->orderBy('seat')->pluck('id')->all());
        $this->taught($group, ['kind' => 'done', 'learner' => $ada, 'step' => self::LAST]);
        $this->taught($group, ['kind' => 'help', 'learner' => $bram, 'step' => self::LAST], [
            'kind' => 'done', 'learner' => $bram, 'step' => self::LAST,
        ]);
        self::assertSame(['alone', null, true], $this->cells($group)['Ada']);
        self::assertSame(['alone', null, false], $this->cells($group)['Bram']);
        self::assertSame(0, $this->standing($group, 'valley')['unseen'], 'both were seen with this fold once');
    }

    /** @param  array<string, mixed>  ...$marks */
    private function taught(Group $group, array ...$marks): int
    {
        $marks = array_values($marks);
        $id = $this->postJson('/api/lessons', $this->lessonInput($group))->assertCreated()->json('card.id');
        $isAway = static fn (array $mark): bool => $mark['kind'] === 'away';
        $this->send($id, ['kind' => 'started', 'marks' => 'exception'], ...[
            ...array_filter($marks, $isAway),
            ...array_map(static fn (int $step): array => ['kind' => 'moved', 'step' => $step], range(1, self::LAST)),
            ...array_filter($marks, static fn (array $mark): bool => ! $isAway($mark)),
            ['kind' => 'moved', 'step' => self::LAST + 1],
            ['kind' => 'ended'],
        ])->assertOk();

        return $id;
    }

    /** @return array<string, array{string, int|null, bool}> by name */
    private function cells(Group $group): array
    {
        $wall = $this->getJson("/api/groups/{$group->id}/wall")->assertOk()->json();
        $names = array_column($wall['group']['learners'], 'name', 'id');

        return array_combine(
            array_map(static fn (array $cell): string => $names[$cell['learner']], $wall['cells']),
            array_map(static fn (array $c): array => [$c['outcome'], $c['step'], $c['seen']], $wall['cells']),
        );
    }

    /** @return array<string, mixed> */
    private function standing(Group $group, string $kind): array
    {
        $all = $this->getJson("/api/groups/{$group->id}/folds")->assertOk()->json();

        return array_column($all, null, 'kind')[$kind];
    }
}
