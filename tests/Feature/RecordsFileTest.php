<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Learner;

/** The records of a group go out as a table that other programs read, and that does nothing there. */
final class RecordsFileTest extends TestCase
{
    /** Steps of a drinking cup. */
    private const LAST = 7;

    public function testEveryRecordIsALine(): void
    {
        $this->actingAs($lead = $this->lead());
        $group = $this->group($lead, ['Ada', 'Bram, the "elder"', '=1+1', '@Dov', 'Edda']);
        [$ada, $bram, $formula, $dov, $edda] = $group->learners()->orderBy('seat')->pluck('id')->all();
        $id = $this->postJson('/api/lessons', $this->lessonInput($group))->assertCreated()->json('card.id');
        $this->send(
            $id,
            ['kind' => 'started', 'marks' => 'exception'],
            ['kind' => 'away', 'learner' => $dov],
            ...array_map(static fn (int $k): array => ['kind' => 'moved', 'step' => $k], range(1, self::LAST)),
            ...[
                ['kind' => 'not-yet', 'learner' => $formula, 'step' => 3],
                ['kind' => 'done', 'learner' => $ada, 'step' => self::LAST],
                ['kind' => 'moved', 'step' => self::LAST + 1],
            ],
        )->assertOk();
        $this->endLesson($id);
        Learner::query()->whereKey($edda)->sole()->delete(); // into the bin: no name of hers goes out

        $answer = $this->get("/api/groups/{$group->id}/records.csv")->assertOk();
        self::assertSame('text/csv; charset=utf-8', $answer->headers->get('Content-Type'));
        self::assertSame(
            "\u{FEFF}".implode("\r\n", [
                'Learner,Day,Model,Ended,"Stopped at step","Looked at"',
                'Ada,2026-11-24,"Drinking cup",finished,,yes',
                '"Bram, the ""elder""",2026-11-24,"Drinking cup",finished,,no',
                "'=1+1,2026-11-24,\"Drinking cup\",\"not finished\",3,",
                "'@Dov,2026-11-24,\"Drinking cup\",away,,",
                '',
            ]),
            $answer->getContent(),
        );
        // read back: as many fields in every line
        $lines = array_filter(explode("\r\n", substr((string) $answer->getContent(), 3)));
        self::assertSame([6], array_values(array_unique(array_map(
            static fn (string $line): int => count(str_getcsv($line, escape: '')),
            $lines,
        ))));
    }

    public function testAGroupWithoutRecordsIsATableWithoutLinesAndAnotherPlaceGetsNone(): void
    {
        $this->actingAs($lead = $this->lead());
        $group = $this->group($lead);
        $empty = (string) $this->get("/api/groups/{$group->id}/records.csv")->assertOk()->getContent();
        self::assertSame(1, substr_count($empty, "\r\n"));
        $this->actingAs($this->lead('Elsewhere'));
        $this->getJson("/api/groups/{$group->id}/records.csv")->assertNotFound();
    }
}
