<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Space\Form\Forms;
use Cathedra\Core\Wording\StepText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** What docs/fold-sequence.md shows can be folded as it stands there. */
final class DocumentedTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function examples(): iterable
    {
        $text = (string) file_get_contents(dirname(__DIR__, 3).'/docs/fold-sequence.md');
        preg_match_all('/^```yaml\n(.*?)^```$/ms', $text, $blocks, PREG_OFFSET_CAPTURE);
        foreach ($blocks[1] as [$block, $at]) {
            yield 'line '.(substr_count($text, "\n", 0, $at) + 1) => [$block];
        }
    }

    #[DataProvider('examples')]
    public function testAnExampleFolds(string $block): void
    {
        $words = Folds::words();
        $model = self::fold($block);
        self::assertNull(Forms::objection($model));
        foreach ($model->steps as $step) {
            Folds::assertPaper($step->after, "step {$step->step->number}");
            self::assertMatchesRegularExpression('/^[A-Z][^{}]+\.$/', StepText::of($step, $words)->sentence);
        }
    }

    public function testEveryKindOfFoldHasAnExample(): void
    {
        $shown = [];
        foreach (self::examples() as [$block]) {
            foreach (self::fold($block)->steps as $step) {
                $shown[] = $step->step->kind->value;
            }
        }
        self::assertSame([], array_values(array_diff(array_column(FoldKind::cases(), 'value'), $shown)));
    }

    private static function fold(string $block): FoldedModel
    {
        return str_starts_with($block, 'title:')
            ? Folder::fold(Loader::load('documented', $block), 100.0)
            : Folds::steps((string) preg_replace('/^/m', '  ', rtrim($block))."\n");
    }
}
