<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Movement\Movement;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** The recipe "add a named fold" of docs/architecture.md: each of its pieces is there for each kind. */
final class NamedFoldTest extends TestCase
{
    private const LIBRARY = __DIR__.'/../../../library';

    /** @return iterable<string, array{FoldKind}> */
    public static function kinds(): iterable
    {
        foreach (FoldKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    private static function table(): FoldTable
    {
        return FoldTable::fromArray((array) Yaml::parseFile(self::LIBRARY.'/folds.yaml'));
    }

    #[DataProvider('kinds')]
    public function testItHasANameATimeAndAWeight(FoldKind $kind): void
    {
        $words = Yaml::parseFile(self::LIBRARY.'/wording/en.yaml');
        self::assertArrayHasKey($kind->value, $words['names']);
        self::assertArrayHasKey($kind->value, self::table()->seconds);
        self::assertArrayHasKey($kind->value, self::table()->weights);
    }

    public function testTheTableKnowsNoOtherKinds(): void
    {
        self::assertSame([], array_diff(array_keys(self::table()->seconds), array_column(FoldKind::cases(), 'value')));
    }

    /** What a fold of several creases reads, makes, says and draws is in one class; its words are in the library. */
    #[DataProvider('kinds')]
    public function testAFoldOfSeveralCreasesHasItsSentence(FoldKind $kind): void
    {
        $words = Yaml::parseFile(self::LIBRARY.'/wording/en.yaml');
        if ($kind->movement() === null) {
            self::assertFalse($kind->isCompound());

            return;
        }
        self::assertArrayHasKey($kind->value, $words['steps']);
        self::assertTrue(is_subclass_of($kind->movement(), Movement::class));
        self::assertStringContainsString(
            "fold: {$kind->value}",
            (string) file_get_contents(__DIR__.'/../../../docs/fold-sequence.md'),
            'and an example for authors',
        );
    }

    public function testEveryMovementIsOfSomeKind(): void
    {
        $there = array_map(
            static fn (string $file): string => 'Cathedra\\Core\\Sequence\\Movement\\'.basename($file, '.php'),
            glob(__DIR__.'/../../../core/Sequence/Movement/*Move.php') ?: [],
        );
        $named = array_filter(array_map(static fn (FoldKind $kind): ?string => $kind->movement(), FoldKind::cases()));
        self::assertSame([], array_values(array_diff($there, $named)));
        self::assertNotSame([], $there);
    }

    /** A kind is one thing only: along a line, of several creases, a form, or a handling of the paper. */
    #[DataProvider('kinds')]
    public function testItCountsAsOneThing(FoldKind $kind): void
    {
        $as = array_filter([$kind->creases(), $kind->isCompound(), $kind->isForm()]);
        self::assertLessThanOrEqual(1, count($as), $kind->value);
        self::assertSame($kind->isFold(), $kind->creases() || $kind->isCompound());
    }

    public function testTheModelsOfTheLibraryUseWhatTheTablesKnow(): void
    {
        $times = self::table()->seconds;
        foreach (glob(self::LIBRARY.'/models/*.yaml') ?: [] as $file) {
            foreach (Yaml::parseFile($file)['steps'] ?? [] as $i => $step) {
                if (isset($step['fold'])) {
                    self::assertArrayHasKey($step['fold'], $times, basename($file).' step '.($i + 1));
                }
            }
        }
    }
}
