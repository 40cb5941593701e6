<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\FoldChecker;

/** The command line as scripts use it: exit codes, one line on standard error, and no database. */
final class CommandTest extends TestCase
{
    #[DataProvider('models')]
    public function testFoldPrintsADocumentThatIsPaper(string $model): void
    {
        $run = $this->artisan(['cathedra:fold', $model]);
        self::assertSame([0, ''], [$run->getExitCode(), $run->getErrorOutput()]);
        $document = json_decode($run->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        foreach ($document['file_frames'] as $frame) {
            self::assertSame([], FoldChecker::complaints($frame));
        }
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        yield 'cup' => ['drinking-cup'];
        yield 'helmet' => ['library/models/helmet.yaml'];
    }

    public function testABadSequenceHasOneLineAndExitCodeOne(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'fold');
        file_put_contents(
            $file,
            "title: T\nabout: A\nside_up: front\nage_from: 5\ndifficulty: 1\nsteps:\n"
                ."  - {fold: valley, bring: edge right, to: edge left}\n  - fold: valley\n    bring: mark x\n"
                ."    to: A\n    layers: all\n",
        );
        $run = $this->artisan(['cathedra:fold', $file]);
        unlink($file);
        self::assertSame([1, ''], [$run->getExitCode(), $run->getOutput()]);
        self::assertMatchesRegularExpression(
            '/^cathedra: Line 8, step 2: No earlier step sets a mark called "x"\.\n$/',
            $run->getErrorOutput(),
        );
        self::assertSame(1, $this->artisan(['cathedra:fold', 'no-such-model'])->getExitCode());
        self::assertSame(1, $this->artisan(['cathedra:fold', 'helmet', '--side=3000'])->getExitCode());
    }

    public function testStepsPrintsWhatIsSaidWithItsClaims(): void
    {
        $run = $this->artisan(['cathedra:steps', 'crane', '--route=base=squash']);
        self::assertSame([0, ''], [$run->getExitCode(), $run->getErrorOutput()]);
        $document = json_decode($run->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame(['crane', 150], [$document['model'], (int) $document['side_mm']]);
        self::assertCount(21, $document['steps'], 'the other way has four more');
        self::assertEqualsWithDelta([0, 0], $document['steps'][0]['claims']['take']['at'], 0.001);
        self::assertSame(1, $this->artisan(['cathedra:steps', 'crane', '--route=base=none'])->getExitCode());
        $none = $this->artisan(['cathedra:steps', 'no-such-model']);
        self::assertSame([1, ''], [$none->getExitCode(), $none->getOutput()]);
        self::assertStringStartsWith('cathedra: There is no model "no-such-model"', $none->getErrorOutput());
        self::assertStringContainsString(
            'must be a number',
            $this->artisan(['cathedra:steps', 'crane', '--side=wide'])->getErrorOutput(),
        );
    }

    public function testLandmarksAreListedAndDrawn(): void
    {
        $picture = tempnam(sys_get_temp_dir(), 'marks');
        $run = $this->artisan(['cathedra:landmarks', 'crane', '--step=10', "--picture=$picture"]);
        self::assertSame([0, ''], [$run->getExitCode(), $run->getErrorOutput()]);
        self::assertMatchesRegularExpression('/^ +14  mark heart +\(37\.5, 59\.5\)$/m', $run->getOutput());
        self::assertStringContainsString('crease hinge', $run->getOutput());
        self::assertStringContainsString('<text ', (string) file_get_contents((string) $picture));
        unlink((string) $picture);
        foreach (['--step=0', '--step=99', '--step=five'] as $step) {
            $refused = $this->artisan(['cathedra:landmarks', 'crane', $step]);
            self::assertSame(
                [1, "cathedra: Say before which step (--step), a number from 1 to 18.\n"],
                [$refused->getExitCode(), $refused->getErrorOutput()],
            );
        }
        $nowhere = $this->artisan(['cathedra:landmarks', 'crane', '--step=2', '--picture=/no/such/folder/x.svg']);
        self::assertSame(1, $nowhere->getExitCode());
        self::assertStringContainsString('cannot be written', $nowhere->getErrorOutput());
    }

    public function testAPatternIsFoldedToo(): void
    {
        $run = $this->artisan(['cathedra:fold', 'tests/fixtures/bird-base.fold']);
        self::assertSame(0, $run->getExitCode(), $run->getErrorOutput());
        self::assertSame([], FoldChecker::complaints(json_decode($run->getOutput(), true)['file_frames'][0]));
        $file = tempnam(sys_get_temp_dir(), 'fold');
        file_put_contents(
            $file,
            '{"edges_vertices": [[0, 1]], "edges_assignment": ["V"], "vertices_coords": [[0, 0], [1, "x"]]}',
        );
        $run = $this->artisan(['cathedra:fold', $file]);
        unlink($file);
        self::assertSame(
            [1, "cathedra: Vertex 1: a coordinate is not a number of reasonable size.\n"],
            [$run->getExitCode(), $run->getErrorOutput()],
        );
    }

    public function testAnotherWayIsTakenOrRefused(): void
    {
        $usual = json_decode($this->artisan(['cathedra:fold', 'waterbomb'])->getOutput(), true);
        $other = json_decode($this->artisan(['cathedra:fold', 'waterbomb', '--route=base=squash'])->getOutput(), true);
        self::assertCount(count($usual['file_frames']) + 4, $other['file_frames']);
        $run = $this->artisan(['cathedra:fold', 'waterbomb', '--route=base=roll']);
        self::assertSame(1, $run->getExitCode());
        self::assertStringContainsString('has no way called "roll"', $run->getErrorOutput());
    }

    public function testCutPlanReadsAndPrintsJson(): void
    {
        $run = $this->artisan(
            ['cathedra:cut-plan'],
            '{"stock":[{"name":"A4","width_mm":210,"height_mm":297,"count":null}],'.
            '"need":[{"side_mm":105,"count":9}],"kerf_mm":0,"trim_mm":0}',
        );
        $plan = json_decode($run->getOutput(), true);
        self::assertSame(
            ['sheets', 'feasible', 'unmet', 'sheets_used', 'used_area_mm2', 'lower_bound_area_mm2', 'optimal'],
            array_keys($plan),
        );
        self::assertSame([3, true, true], [$plan['sheets_used'], $plan['feasible'], $plan['optimal']]);
        foreach (['', 'nonsense', '{"stock":5}'] as $bad) {
            $run = $this->artisan(['cathedra:cut-plan'], $bad);
            self::assertSame(1, $run->getExitCode());
            self::assertSame(1, substr_count($run->getErrorOutput(), "\n"));
        }
    }

    /** The example of design 15a: who is where, and how everybody ended. */
    public function testALogReadsAndPrintsJson(): void
    {
        $events = implode(',', array_map(static fn (string $event, int $i): string => '{"key":"k'.$i.'","number":'.$i
            .",$event}", [
                '"kind":"started","marks":"exception"', '"kind":"away","learner":3', '"kind":"moved","step":1',
                '"kind":"not-yet","learner":2,"step":1', '"kind":"moved","step":4', '"kind":"ended"',
            ], range(1, 6)));
        $in = '{"programme":[{"slug":"cup","steps":3}],"learners":[1,2,3],"events":['.$events.']}';
        $said = json_decode($this->artisan(['cathedra:lesson'], $in)->getOutput(), true);
        self::assertSame([4, true], [$said['step'], $said['ended']]);
        self::assertSame(
            ['learner' => 2, 'here' => true, 'done' => 0, 'looked' => 0, 'behind' => 1, 'help' => false],
            $said['seats'][1],
        );
        self::assertSame(
            [['alone', null, false], ['stopped', 1, false], ['away', null, false]],
            array_map(static fn (array $o): array => [$o['finish'], $o['step'], $o['seen']], $said['outcomes']),
        );
        $bads = ['' => 'not JSON', '[]' => '"events" must be a list',
            str_replace('"away"', '"gone"', $in) => 'events/1/kind',
            str_replace('"learner":2,', '', $in) => 'events/3/learner'];
        foreach ($bads as $bad => $says) {
            $run = $this->artisan(['cathedra:lesson'], (string) $bad);
            self::assertSame(1, $run->getExitCode());
            self::assertStringContainsString($says, $run->getErrorOutput());
            self::assertSame(1, substr_count($run->getErrorOutput(), "\n"));
        }
    }

    /** Three learners, one step of 10 to show and 20 to fold, nobody differs: done after 30 s, all by the bell. */
    public function testARehearsalReadsAndPrintsJson(): void
    {
        $step = '{"demo_s":10,"fold_s":20,"stuck_chance":0,"help_s":30,"checkpoint":true}';
        $room = '"learners":3,"helpers":1,"gate":0.8,"sigma_between":0,"sigma_within":0,"factor":1,"miss_factor":2';
        $run = $this->artisan(
            ['cathedra:rehearse'],
            "{{$room},\"bell_s\":30,\"steps\":[$step],\"runs\":20,\"seed\":1}",
        );
        $answer = json_decode($run->getOutput(), true);
        self::assertSame([
            'finish_s', 'learner_finish_s', 'finished_share', 'idle_min_mean', 'queue_min_mean', 'helper_utilisation',
            'step_hold_s', 'wave',
        ], array_keys($answer));
        self::assertEquals(['mean' => 30, 'p10' => 30, 'p50' => 30, 'p90' => 30], $answer['finish_s']);
        self::assertEquals([1, [20]], [$answer['finished_share'], $answer['step_hold_s']]);
        $bads = [
            '' => 'not JSON',
            '[]' => '"steps" must be a list',
            "{{$room},\"steps\":[$step],\"runs\":0}" => '"runs" must lie between 1 and 10000',
            "{{$room},\"steps\":[$step],\"seed\":\"x\"}" => '"seed" must be a whole number',
        ];
        foreach ($bads as $bad => $says) {
            $run = $this->artisan(['cathedra:rehearse'], (string) $bad);
            self::assertSame([1, 1], [$run->getExitCode(), substr_count($run->getErrorOutput(), "\n")]);
            self::assertStringContainsString($says, $run->getErrorOutput());
        }
    }

    /** @param  list<string>  $words */
    private function artisan(array $words, string $input = ''): Process
    {
        $root = dirname(__DIR__, 2);
        $run = new Process([PHP_BINARY, "$root/artisan", ...$words], $root, ['DB_PORT' => '1'], $input);
        $run->run();

        return $run;
    }
}
