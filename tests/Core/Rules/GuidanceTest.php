<?php

declare(strict_types=1);

namespace Tests\Core\Rules;

use Cathedra\Core\Folding\Sameness;
use Cathedra\Core\Rules\BadRules;
use Cathedra\Core\Rules\Guidance;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\Folder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** What is said of each kind of fold: there for all, short enough to be read aloud, and refused when it lacks. */
final class GuidanceTest extends TestCase
{
    private const LIBRARY = __DIR__.'/../../../library';

    /** Words of a line that is read from a card while hands are busy. */
    private const WORDS = 32;

    public function testEveryKindHasItsGuidanceInShortSentences(): void
    {
        $guidance = Guidance::fromArray(self::file(), self::kinds());
        self::assertEqualsCanonicalizing(self::kinds(), array_keys($guidance->folds));
        self::assertStringContainsString('own words', $guidance->source);
        foreach ($guidance->folds as $kind => $fold) {
            $lines = [$fold->what, $fold->hold, $fold->press, $fold->stop, $fold->safer];
            foreach ($fold->wrong as $fault) {
                array_push($lines, $fault['looks'], $fault['cause'], $fault['remedy']);
            }
            foreach ($lines as $line) {
                self::assertLessThanOrEqual(self::WORDS, str_word_count($line), "$kind: $line");
                self::assertMatchesRegularExpression('/^[A-Z].*[.)]$/s', $line, "$kind: a whole sentence");
                self::assertDoesNotMatchRegularExpression(
                    '/\b(left|upward|downward)\b|\b(to|at) the (right|top|bottom)\b/i',
                    $line,
                    "$kind: directions come from the geometry of a step",
                );
            }
        }
        self::assertStringContainsString('rules', $guidance->folds['cut']->safer, 'scissors defer to the place');
        self::assertStringContainsString('rules', $guidance->folds['attach']->safer, 'so does glue');
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        $with = static fn (string $kind, string $key, mixed $value): callable => static function (array $file) use (
            $kind,
            $key,
            $value,
        ): array {
            $file['folds'][$kind][$key] = $value;

            return $file;
        };
        yield 'no such fold' => [$with('origami', 'what', 'Fold.'), 'folds.origami is no kind of fold'];
        yield 'no line' => [$with('petal', 'hold', ''), 'folds.petal.hold is a sentence'];
        yield 'a number for a line' => [$with('petal', 'stop', 7), 'folds.petal.stop is a sentence'];
        yield 'no fault' => [$with('squash', 'wrong', []), 'folds.squash.wrong lists one to 3 faults'];
        yield 'too many faults' => [
            $with('squash', 'wrong', array_fill(0, 4, ['looks' => 'A.', 'cause' => 'B.', 'remedy' => 'C.'])),
            'folds.squash.wrong lists one to 3 faults',
        ];
        yield 'a fault without remedy' => [
            $with('squash', 'wrong', [['looks' => 'A.', 'cause' => 'B.']]),
            'folds.squash.wrong.0.remedy is missing',
        ];
        yield 'a kind forgotten' => [
            static function (array $file): array {
                unset($file['folds']['kite']);

                return $file;
            },
            'folds.kite is missing',
        ];
        yield 'no source' => [static fn (array $file): array => ['source' => ''] + $file, 'source is a sentence'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $change */
    #[DataProvider('faults')]
    public function testWhatAFileMayNotSay(callable $change, string $message): void
    {
        $this->expectException(BadRules::class);
        $this->expectExceptionMessage($message);
        Guidance::fromArray($change(self::file()), self::kinds());
    }

    public function testTheExplainedCreaseIsOneCreaseFromTwoSides(): void
    {
        $model = Folder::fold(
            Loader::load('two-sides', (string) file_get_contents(self::LIBRARY.'/explained/two-sides.yaml')),
            150.0,
        );
        self::assertSame(
            [FoldKind::Crease, FoldKind::TurnOver, FoldKind::Mountain],
            array_map(static fn ($step): FoldKind => $step->step->kind, $model->steps),
        );
        // Folded as a valley from the first side, the paper is the same as folded as a mountain from the other.
        $valley = $model->steps[0]->actions[0];
        $folded = Folder::fold(
            Loader::load('valley', strtr((string) file_get_contents(self::LIBRARY.'/explained/two-sides.yaml'), [
                'fold: crease' => 'fold: valley',
                "  - fold: turn-over\n  - fold: mountain\n    along: crease middle\n    move: B\n" => '',
            ])),
            150.0,
        );
        self::assertTrue($valley->valley);
        self::assertNull(Sameness::difference($folded->end(), $model->end()));
    }

    /** @return array<string, mixed> */
    private static function file(): array
    {
        /** @var array<string, mixed> */
        return Yaml::parseFile(self::LIBRARY.'/guidance.yaml');
    }

    /** @return list<string> */
    private static function kinds(): array
    {
        return array_column(FoldKind::cases(), 'value');
    }
}
