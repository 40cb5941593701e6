<?php

declare(strict_types=1);

namespace Tests\Core\Wording;

use Cathedra\Core\Insight\ModelInsight;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Wording\SaidStep;
use Cathedra\Core\Wording\Teacher;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;

/** Why, where it stops, what comes next, and what there is to see: worked out from what later steps use. */
final class TeacherTest extends TestCase
{
    private const LIBRARY = __DIR__.'/../../../library';

    public function testAGuideCreaseSaysWhatItIsFor(): void
    {
        // Both diagonals and the plus of a crane lead its collapse at step 6, the kites and the flap its petal at 10.
        $crane = self::said(Folds::library('crane'));

        self::assertSame('Press hard: step 6 folds along this crease.', $crane[1]->because);
        self::assertSame('Press hard: step 10 folds along this crease.', $crane[7]->because);
        self::assertStringStartsWith('Turned over, the next creases run the other way', (string) $crane[2]->because);
        self::assertNull($crane[6]->because, 'turning round needs no reason');
    }

    public function testAnotherPieceOfPaperIsTakenUp(): void
    {
        $tulip = self::said(Folds::library('tulip'));
        self::assertSame('Take the paper for the stem, plain side up.', $tulip[4]->do[0]);
        self::assertSame('Turn the paper 45 degrees clockwise.', $tulip[4]->do[1]);
        self::assertStringStartsNotWith('Take the paper', $tulip[5]->sentence(), 'said once');
        self::assertSame('Take the piece that was folded first again.', $tulip[10]->do[0]);
    }

    public function testTheStepBeforeAHardMomentSaysSo(): void
    {
        $crane = self::said(Folds::library('crane'));

        self::assertSame(
            'The next step is a hard one: Petal fold. Let everybody watch it once before anybody begins.',
            $crane[8]->warnAhead,
        );
        self::assertNull($crane[13]->warnAhead, 'one hard step after another is no news');
        $helmet = self::said(Folds::library('helmet'));
        self::assertStringStartsWith('The next step is the hardest here', (string) $helmet[6]->warnAhead);
    }

    public function testWhatThePaperStopsAndWhatNothingStops(): void
    {
        $crane = self::said(Folds::library('crane'));
        self::assertSame('It stops by itself; pulling further would tear it.', $crane[9]->stop);
        $byEye = self::said(Folds::steps(
            "  - {fold: valley, along: line (1/4 from A to D) to (1/5 from B to C), move: A}\n",
        ));
        self::assertStringStartsWith('No mark stops it; stop at the dot', (string) $byEye[0]->stop);
        $marked = self::said(Folds::steps("  - {fold: valley, bring: edge left, to: edge right}\n"));
        self::assertNull($marked[0]->stop, 'the edges say where it stops');
    }

    public function testCautionsStandAtTheStepThatNeedsThem(): void
    {
        $said = self::said(Folds::steps(
            "  - {fold: valley, bring: edge left, to: edge right, caution: Mind the edge.}\n"
                ."  - {fold: cut, along: line (1/3 from A to B) to (1/2 from (1/3 from A to B) to centre)}\n",
        ));

        self::assertSame(['Mind the edge.'], $said[0]->cautions);
        self::assertStringStartsWith('Scissors are for this step only.', $said[1]->cautions[0]);
    }

    public function testALikenessIsSaidFirstAndAloneOfAForm(): void
    {
        $said = self::said(Folds::steps(
            "  - {fold: valley, bring: edge left, to: edge right, like: a book}\n"
                ."  - {fold: open-out}\n  - {fold: turn-over, like: a tent}\n  - {fold: turn-over}\n",
        ));

        self::assertSame('It looks like a book.', $said[0]->look[0]);
        self::assertCount(3, $said[0]->look);
        self::assertSame(['It stands open, no longer flat.'], $said[1]->look);
        self::assertSame(['It looks like a tent.'], $said[2]->look);
        self::assertSame(['It stands open, no longer flat.'], $said[3]->look, 'it does not lie flat again by turning');
    }

    public function testCreasesOfAFlatSheetAreSeenAsAStar(): void
    {
        $crane = self::said(Folds::library('crane'));

        self::assertContains('The creases make an X.', $crane[1]->look);
        self::assertContains('The creases make an X and a plus through one middle.', $crane[4]->look);
    }

    /** @return list<SaidStep> */
    private static function said(FoldedModel $model): array
    {
        $yaml = static fn (string $file): array => (array) Yaml::parseFile(self::LIBRARY."/$file.yaml");
        $scale = Difficulty::fromArray($yaml('difficulty'), FoldTable::fromArray($yaml('folds')));

        return Teacher::of($model, ModelInsight::of($model, $scale), $scale, Folds::words());
    }
}
