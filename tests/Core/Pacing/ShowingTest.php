<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\Origin;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Pacing\Learning\Showing;
use Cathedra\Core\Pacing\Learning\ShownSteps;
use Cathedra\Core\Pacing\Learning\TaughtLesson;
use Cathedra\Core\Pacing\Learning\TaughtTimes;
use Cathedra\Core\Pacing\Rehearsal\Cast;
use Cathedra\Core\Pacing\Rehearsal\PacedStep;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use Cathedra\Core\Pacing\Rehearsal\Trace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Sheets;

/** A lead who shows long is not learned as slow hands. */
final class ShowingTest extends TestCase
{
    /**
     * Lines: seconds, kind, step. A step is shown from when it was gone to.
     *
     * @return iterable<string, array{list<array{float, EventKind, int|null}>, array<int, float>}>
     */
    public static function logs(): iterable
    {
        [$moved, $shown] = [EventKind::Moved, EventKind::Shown];
        yield 'as it comes' => [[[0, $moved, 1], [20, $shown, 1], [60, $moved, 2], [95, $shown, 2]],
            [1 => 20.0, 2 => 35.0]];
        yield 'nobody said' => [[[0, $moved, 1], [60, $moved, 2]], []];
        yield 'the second press says nothing' => [[[0, $moved, 1], [20, $shown, 1], [30, $shown, 1]], [1 => 20.0]];
        yield 'of a step that is over' => [[[0, $moved, 1], [60, $moved, 2], [70, $shown, 1]], []];
        yield 'shown again after going back' => [
            [[0, $moved, 1], [20, $shown, 1], [60, $moved, 2], [70, $moved, 1], [90, $shown, 1], [99, $moved, 2],
                [110, $shown, 2]],
            [1 => 20.0],
        ];
        yield 'a pause stands still' => [
            [[0, $moved, 1], [10, EventKind::Paused, null], [310, EventKind::Resumed, null], [320, $shown, 1]],
            [1 => 20.0],
        ];
        yield 'a press too many' => [[[0, $moved, 1], [0.4, $shown, 1]], []];
    }

    /**
     * @param  list<array{float, EventKind, int|null}>  $lines
     * @param  array<int, float>  $seconds
     */
    #[DataProvider('logs')]
    public function testHowLongAStepWasShown(array $lines, array $seconds): void
    {
        $shown = ShownSteps::of($this->log($lines));
        self::assertSame('7', $shown->lead);
        self::assertEqualsWithDelta($seconds, $shown->seconds, 1e-9);
    }

    public function testBesideWhatWasPlanned(): void
    {
        $log = [[0, EventKind::Moved, 1], [20, EventKind::Shown, 1], [60, EventKind::Moved, 2],
            [260, EventKind::Shown, 2], [300, EventKind::Moved, 3], [330, EventKind::Shown, 3]];
        $shown = ShownSteps::of($this->log($log));
        $plan = static fn (float $show): array => ['fold' => 'valley', 'show' => $show, 'expected' => 40.0];
        // the second took ten times as long: another story; the third is not shown by plan
        $steps = [1 => $plan(10.0), $plan(20.0), $plan(0.0), $plan(12.0)];
        self::assertEqualsWithDelta([log(2)], $shown->beside($steps), 1e-9);
        // the fourth was not said, and is put as this lead shows: half as long again
        self::assertEqualsWithDelta(
            [1 => 20.0, 200.0, 30.0, 18.0],
            array_combine(range(1, 4), array_column($shown->put($steps, 1.5), 'show')),
            1e-9,
        );
    }

    /**
     * Spreads 0.3 and 0.35. Ten steps of one lesson, each twice as long: the lesson's own 0.09 (1 + 20 / 10) = 0.27 and
     * 0.35^2 / 10 = 0.01225, together 0.28225; the lead 0.09. Of ln 2 the lead takes 0.09 / (0.09 + 0.28225).
     */
    public function testALeadsFactorByHand(): void
    {
        $showing = Showing::of([['lead' => '7', 'ln' => array_fill(0, 10, log(2))]], Sheets::times());
        $share = 0.09 / (0.09 + 0.28225);
        self::assertEqualsWithDelta(2 ** $share, $showing->factor('7'), 1e-9);
        $variance = 0.09 * (1 - $share);
        self::assertEqualsWithDelta(
            2 ** $share * exp(1.2815515655 * sqrt($variance)),
            array_values($showing->leads)[0]->high,
            1e-6,
        );
        self::assertSame(10, array_values($showing->leads)[0]->marks);
        self::assertSame(1.0, $showing->factor('8'));
        self::assertSame([], Showing::of([['lead' => '', 'ln' => [1.0]], ['lead' => '7', 'ln' => []]], Sheets::times())
            ->leads);
    }

    public function testTwoPressesMoveNothingToSpeakOf(): void
    {
        $two = Showing::of([['lead' => '7', 'ln' => [log(4), log(4)]]], Sheets::times());
        self::assertLessThan(1.15, $two->factor('7'));
        self::assertGreaterThan(1.0, $two->factor('7'));
    }

    /**
     * Five lessons of 18 learners who fold as expected, under a lead who shows twice as long as planned and says so:
     * the lead is known to show longer, and the group is not slower by more than a tenth. Where nobody says when a
     * step was shown, the same rooms look slower.
     */
    public function testALeadWhoShowsTwiceAsLongIsNotSlowHands(): void
    {
        $times = Sheets::times(['slowest_spread' => 0.35, 'own_spread' => 0.25]);
        $paces = $leads = [];
        foreach ([true, false] as $isSaid) {
            $taught = [];
            for ($lesson = 0; $lesson < 5; $lesson++) {
                $taught[] = $this->taught($lesson, demo: 60.0, isSaid: $isSaid);
            }
            $found = TaughtTimes::of($taught, $times);
            $paces[] = $found->learned->pace('g') * $found->learned->folds['valley']->middle;
            $leads[] = $found->showing->factor('7');
        }
        self::assertEqualsWithDelta(1.0, $paces[0], 0.1, 'fold and pace together');
        self::assertGreaterThan(1.2, $paces[1]);
        self::assertGreaterThan(1.5, $leads[0]);
        self::assertSame(1.0, $leads[1]);
    }

    /** Twelve steps planned to be shown 30 s and folded 40 s, marked one by one. */
    private function taught(int $seed, float $demo, bool $isSaid): TaughtLesson
    {
        $room = new RehearsedRoom(
            learners: 18,
            helpers: 2,
            gate: 1.0,
            between: 0.35,
            within: 0.25,
            factor: 1.0,
            miss: 2.0,
            bell: null,
            steps: array_fill(0, 12, new PacedStep(demo: $demo, fold: 40, stuck: 0.05, help: 30, checkpoint: false)),
        );
        $lines = [];
        foreach (Trace::of($room, Cast::of($room, Rehearsal::chance($room, 1, $seed), 0)) as $one) {
            $lines[] = [$one['t'], $one['kind'], $one['step'] + 1, $one['learner']];
            if ($isSaid && $one['kind'] === EventKind::Moved) {
                $lines[] = [$one['t'] + $demo, EventKind::Shown, $one['step'] + 1];
            }
        }
        usort($lines, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new TaughtLesson(
            lesson: "$seed",
            group: 'g',
            learners: 18,
            programme: Programme::of([['slug' => 'cup', 'steps' => 12]]),
            log: $this->log($lines),
            steps: array_fill(1, 12, ['fold' => 'valley', 'show' => 30.0, 'expected' => 40.0]),
        );
    }

    /** @param  list<array{float, EventKind, int|null, 3?: int|null}>  $lines */
    private function log(array $lines): Log
    {
        $lines = [[$lines[0][0], EventKind::Started, null], ...$lines];
        $events = [];
        foreach ($lines as $i => $line) {
            $ms = (int) round(1000 * $line[0]);
            $events[] = Event::of(
                key: "e$i",
                kind: $line[1],
                origin: new Origin('tablet', $ms, 0, 7),
                number: $i + 1,
                atMs: $ms,
                with: ['step' => $line[2], 'learner' => $line[3] ?? null]
                    + ($i === 0 ? ['marks' => Marking::Close] : []),
            );
        }

        return Log::of($events);
    }
}
