<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Movement\BlintzMove;
use Cathedra\Core\Sequence\Movement\CollapseMove;
use Cathedra\Core\Sequence\Movement\CutMove;
use Cathedra\Core\Sequence\Movement\EarMove;
use Cathedra\Core\Sequence\Movement\PetalMove;
use Cathedra\Core\Sequence\Movement\PleatMove;
use Cathedra\Core\Sequence\Movement\ReverseMove;
use Cathedra\Core\Sequence\Movement\SquashMove;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use ReflectionClass;
use Symfony\Component\Yaml\Yaml;

/** The recipe "add a named fold" of docs/architecture.md: each of its pieces is there for each kind. */
final class NamedFoldTest extends TestCase
{
    private const LIBRARY = __DIR__.'/../../../library';

    private const MOVEMENTS = [
        'blintz' => BlintzMove::class,
        'pleat' => PleatMove::class,
        'crimp' => PleatMove::class,
        'squash' => SquashMove::class,
        'petal' => PetalMove::class,
        'swivel' => PetalMove::class,
        'rabbit-ear' => EarMove::class,
        'inside-reverse' => ReverseMove::class,
        'outside-reverse' => ReverseMove::class,
        'collapse' => CollapseMove::class,
        'cut' => CutMove::class,
    ];

    /** @return iterable<string, array{FoldKind}> */
    public static function kinds(): iterable
    {
        foreach (FoldKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function testItHasANameAndATime(FoldKind $kind): void
    {
        $words = Yaml::parseFile(self::LIBRARY.'/wording/en.yaml');
        $times = Yaml::parseFile(self::LIBRARY.'/base-times.yaml');
        self::assertArrayHasKey($kind->value, $words['names']);
        self::assertArrayHasKey($kind->value, $times['folds']);
        self::assertGreaterThan(0, $times['folds'][$kind->value]['fold']);
        self::assertGreaterThan(0, $times['folds'][$kind->value]['show']);
    }

    #[DataProvider('kinds')]
    public function testItHasAWeightAndBuildsOnKnownFolds(FoldKind $kind): void
    {
        $data = Yaml::parseFile(self::LIBRARY.'/difficulty.yaml');
        self::assertGreaterThan(0.0, $data['kinds'][$kind->value] ?? 0.0, $kind->value);
        foreach ($data['builds_on'] as $fold => $before) {
            foreach ([$fold, ...$before] as $named) {
                self::assertNotNull(FoldKind::tryFrom($named), "$named is no kind of fold");
            }
        }
    }

    #[DataProvider('kinds')]
    public function testAFoldOfSeveralCreasesHasItsMovement(FoldKind $kind): void
    {
        self::assertSame($kind->isCompound() || $kind === FoldKind::Cut, isset(self::MOVEMENTS[$kind->value]));
    }

    public function testEveryMovementIsOfSomeKind(): void
    {
        $there = [];
        foreach (glob(__DIR__.'/../../../core/Sequence/Movement/*Move.php') ?: [] as $file) {
            $there[] = basename($file, '.php');
        }
        $named = array_map(
            static fn (string $class): string => (new ReflectionClass($class))->getShortName(),
            array_values(self::MOVEMENTS),
        );
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
        $times = Yaml::parseFile(self::LIBRARY.'/base-times.yaml')['folds'];
        foreach (glob(self::LIBRARY.'/models/*.yaml') ?: [] as $file) {
            foreach (Yaml::parseFile($file)['steps'] ?? [] as $i => $step) {
                if (isset($step['fold'])) {
                    self::assertArrayHasKey($step['fold'], $times, basename($file).' step '.($i + 1));
                }
            }
        }
    }
}
