<?php

declare(strict_types=1);

namespace Tests\Core;

use PhpToken;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** What phpat cannot see: functions that would bring a clock, chance or the outside into the core. */
final class CoreCallsTest extends TestCase
{
    private const FORBIDDEN = [
        'microtime',
        'hrtime',
        'time',
        'date',
        'gmdate',
        'mktime',
        'strtotime',
        'uniqid',
        'rand',
        'mt_rand',
        'random_int',
        'random_bytes',
        'shuffle',
        'array_rand',
        'str_shuffle',
        'lcg_value',
        'usleep',
        'sleep',
        'file_get_contents',
        'file_put_contents',
        'fopen',
        'getenv',
        'exec',
        'shell_exec',
        'curl_init',
        'error_log',
    ];

    /** Allowed, with the reason. */
    private const ALLOWED = [
        // The signs of a diagram and the styles of strokes: data that lie beside the code that draws by them, and that
        // the browser prints by as well.
        'Sign.php file_get_contents',
        'SvgRenderer.php file_get_contents',
    ];

    public function testCoreCallsNoClockNoChanceAndNothingOutside(): void
    {
        $found = [];
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/core'));
        $seen = 0;
        foreach ($files as $file) {
            if (! ($file instanceof SplFileInfo) || $file->getExtension() !== 'php') {
                continue;
            }
            $seen++;
            $tokens = array_values(
                array_filter(
                    PhpToken::tokenize((string) file_get_contents($file->getPathname())),
                    static fn (PhpToken $t): bool => ! $t->isIgnorable(),
                ),
            );
            foreach ($tokens as $i => $token) {
                $before = $tokens[$i - 1]->text ?? '';
                $isCall =
                    ($tokens[$i + 1]->text ?? '') === '(' && ! in_array($before, ['->', '?->', '::', 'function'], true);
                $call = "{$file->getFilename()} {$token->text}";
                $isForbidden = in_array(strtolower($token->text), self::FORBIDDEN, true);
                if ($token->is(T_STRING) && $isCall && $isForbidden && ! in_array($call, self::ALLOWED, true)) {
                    $found[] = "{$file->getFilename()}:{$token->line} {$token->text}";
                }
            }
        }
        self::assertGreaterThan(150, $seen);
        self::assertSame([], $found);
    }

    /** One place opens transactions, so that one place tries again after a deadlock. */
    public function testOnlyOneFileOfTheApplicationOpensATransaction(): void
    {
        $found = [];
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/app'));
        foreach ($files as $file) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                foreach (PhpToken::tokenize((string) file_get_contents($file->getPathname())) as $token) {
                    if ($token->is(T_STRING) && in_array($token->text, ['transaction', 'beginTransaction'], true)) {
                        $found[$file->getFilename()] = true;
                    }
                }
            }
        }
        self::assertSame(['Transaction.php' => true], $found);
    }

    /** A test that looks at the wall clock fails on a busy machine and passes on a broken one; Effort counts work. */
    public function testNoTestOfCoreOrFeaturesMeasuresByTheWallClock(): void
    {
        $found = [];
        foreach (['Core', 'Feature'] as $suite) {
            $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__)."/$suite"));
            foreach ($files as $file) {
                if (! ($file instanceof SplFileInfo) || $file->getExtension() !== 'php') {
                    continue;
                }
                foreach (PhpToken::tokenize((string) file_get_contents($file->getPathname())) as $token) {
                    if ($token->is(T_STRING) && in_array($token->text, ['microtime', 'hrtime'], true)) {
                        $found[] = "{$file->getFilename()}:$token->line";
                    }
                }
            }
        }
        self::assertSame([], $found);
    }

    /** A room that needs another needs nothing that needs it: a change goes one way through the house. */
    public function testNoCircleAmongTheRooms(): void
    {
        foreach (['app' => 'App', 'core' => 'Cathedra\\\\Core'] as $floor => $name) {
            $needs = [];
            foreach (glob(dirname(__DIR__, 2)."/$floor/*/{,*/,*/*/}*.php", GLOB_BRACE) ?: [] as $file) {
                $room = explode('/', substr($file, strlen(dirname(__DIR__, 2)."/$floor/")))[0];
                preg_match_all('/(?<![\w\\\\])'.$name.'\\\\(\w+)\\\\/', (string) file_get_contents($file), $named);
                $needs[$room] = [...$needs[$room] ?? [], ...array_diff($named[1], [$room])];
            }
            self::assertGreaterThan(40, array_sum(array_map(count(...), $needs)), "$floor names its rooms");
            // rooms that need only rooms that are taken away already are taken away; what is left goes in a circle
            do {
                $left = array_keys($needs);
                $needs = array_filter($needs, static fn (array $of): bool => array_intersect($of, $left) !== []);
            } while (count($needs) < count($left));
            self::assertSame([], array_keys($needs), "rooms of $floor that need one another");
        }
    }

    /** A name means one thing in the core; a row of the database may be called as the value it keeps. */
    public function testNoTwoClassesOfOneName(): void
    {
        $of = [];
        foreach (['core', 'app'] as $floor) {
            foreach (glob(dirname(__DIR__, 2)."/$floor/*/{,*/,*/*/}*.php", GLOB_BRACE) ?: [] as $file) {
                if (! str_contains($file, '/app/Models/')) {
                    $of[basename($file, '.php')][] = substr($file, strlen(dirname(__DIR__, 2)) + 1);
                }
            }
        }
        self::assertGreaterThan(500, count($of));
        self::assertSame([], array_filter($of, static fn (array $files): bool => count($files) > 1));
    }

    /** What is longer has more than one idea in it; an answer's fields, with what the API says of them, are one. */
    public function testNoFunctionIsLongerThanEightyLines(): void
    {
        $found = [];
        foreach (['core', 'app'] as $floor) {
            foreach (glob(dirname(__DIR__, 2)."/$floor/*/{,*/,*/*/}*.php", GLOB_BRACE) ?: [] as $file) {
                preg_match_all(
                    '/^( +)(?:[a-z]+ )*function (\w+)\(.*?^\1\}$/ms',
                    (string) file_get_contents($file),
                    $functions,
                    PREG_SET_ORDER,
                );
                foreach ($functions as [$whole, , $name]) {
                    if ($name !== '__construct' && substr_count($whole, "\n") + 1 > 80) {
                        $found[] = basename($file, '.php')."::$name has ".(substr_count($whole, "\n") + 1).' lines';
                    }
                }
            }
        }
        self::assertSame([], $found);
    }
}
