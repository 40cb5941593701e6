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
}
