<?php

declare(strict_types=1);

namespace Tests\Core\Wording;

use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Wording\Manner;
use Cathedra\Core\Wording\StepText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Letters stand where the dots stand, and a sentence uses the letters that its picture shows. */
final class LettersTest extends TestCase
{
    /** @param  array<string, string>  $ways */
    #[DataProvider('models')]
    public function testSentenceAndPictureHaveTheSameLetters(string $slug, array $ways): void
    {
        $words = Folds::words(new Manner(letters: true));
        foreach (Folds::library($slug, $ways)->steps as $step) {
            $plain = SceneBuilder::before($step);
            $scene = SceneBuilder::before($step, true);
            $letters = array_column($scene->labels, 'text');
            self::assertSame(array_slice(['A', 'B'], 0, min(2, count($plain->dots))), $letters);
            self::assertSame(
                $plain->dots,
                [...array_column($scene->labels, 'at'), ...$scene->dots],
                'a letter instead of a dot, nothing lost',
            );
            $sentence = StepText::of($step, $words)->sentence;
            preg_match_all('/\b([AB])\b(?=\)| comes|\.)/', $sentence, $said);
            self::assertSame($letters, array_values(array_unique($said[1])), "{$step->step->number}: $sentence");
        }
    }

    /** @return array<string, array{string, array<string, string>}> */
    public static function models(): array
    {
        return Folds::everyWay();
    }

    public function testAPlaceTakenAndAPlaceReached(): void
    {
        $words = Folds::words(new Manner(letters: true));
        $cup = Folds::library('drinking-cup')->steps;
        self::assertSame(
            'Bring the near corner (A) to the far corner (B).',
            StepText::of($cup[1], $words)->sentence,
        );
        $crane = Folds::library('crane')->steps;
        self::assertStringEndsWith('A comes to lie on B.', StepText::of($crane[8], $words)->sentence);
        self::assertStringNotContainsString('(A)', StepText::of($crane[2], $words)->sentence, 'turning has no letters');
        $svg = SceneBuilder::before($crane[8], true)->drawing()->marks();
        $styles = array_count_values(array_column($svg, 'style'));
        self::assertSame([2, false], [$styles['letter'], isset($styles['dot'])]);
    }
}
