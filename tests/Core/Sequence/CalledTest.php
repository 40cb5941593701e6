<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Wording\StepText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Parts that have a name of the table: said where they are taken, followed through the folds, and never made up. */
final class CalledTest extends TestCase
{
    /** A triangle of a square of 100 mm whose two points lie at the far end. */
    private const WING = "  - {fold: rotate, by: 45}\n  - {fold: valley, bring: corner bottom, to: corner top, "
        ."call: {wing: corner top}}\n";

    private const HALF_ROUND = "  - {fold: rotate, by: 180}\n";

    public function testAPartIsTakenByItsName(): void
    {
        self::assertSame(
            'Fold the wing over along the dashed line, to the middle of the near edge. Take the top layer only.',
            self::said(self::WING.self::down()),
        );
    }

    public function testItIsSaidAsAGoalToo(): void
    {
        self::assertStringStartsWith(
            'Bring the left corner to the wing.',
            self::said(self::WING."  - {fold: valley, bring: corner left, to: corner top}\n"),
        );
    }

    public function testItFollowsThePaperAndIsNotSaidOfWhatLiesOverIt(): void
    {
        // Turned over, the part named on top lies underneath: the other layer is the one a hand takes.
        $turned = self::WING."  - {fold: turn-over}\n";
        self::assertStringStartsWith('Fold the far corner over', self::said($turned.self::down()));
        self::assertStringStartsWith(
            'Fold the wing over',
            self::said($turned."  - {fold: turn-over}\n".self::down()),
        );
        self::assertStringStartsWith(
            'Fold the wing over',
            self::said(self::WING.self::HALF_ROUND.self::HALF_ROUND.self::down()),
        );
    }

    /** The paper of the wing is 100 long, a side of the sheet: 28 from its point the tip is taken, 35 from it all. */
    public function testOfALittleThatIsFoldedOnlyTheTipIsTaken(): void
    {
        $fold = static fn (string $share): string => self::said(self::WING
            ."  - {fold: valley, along: line ($share from (corner top) to (corner left)) to "
            ."($share from (corner top) to (corner right)), move: corner top, layers: top}\n");
        self::assertStringStartsWith("Fold the wing's tip toward you", $fold('4/10'));
        self::assertStringStartsWith('Fold the wing over', $fold('5/10'));
    }

    public function testANameIsGivenUpOrMoved(): void
    {
        self::assertStringStartsWith(
            'Fold the far corner over',
            self::said(self::WING.self::HALF_ROUND."  - {fold: rotate, by: 180, call: {wing: none}}\n".self::down()),
        );
        self::assertStringStartsWith(
            'Fold the far corner over',
            self::said(
                self::WING.self::HALF_ROUND."  - {fold: rotate, by: 180, call: {wing: corner left}}\n".self::down(),
            ),
        );
    }

    /** @return iterable<string, array{string, int, string}> steps, line, what is said */
    public static function faults(): iterable
    {
        yield 'cut away' => [
            "  - {fold: turn-over, call: {ear: corner top-left}}\n  - fold: cut\n"
                .'    along: line (1/2 from (corner top-left) to (corner top-right)) to '
                ."(1/2 from (corner top-left) to (corner bottom-left))\n    remove: corner top-left\n",
            9,
            'The part called "ear" is no longer there, it is cut away. Write "call: {ear: none}" in this step',
        ];
        yield 'no landmark' => ["  - {fold: turn-over, call: {ear: crease 7}}\n", 8, 'In the landmark "crease 7"'];
        yield 'not on the paper' => ["  - {fold: turn-over, call: {ear: mark nose}}\n", 8, 'mark called "nose"'];
        yield 'a name with a digit' => ["  - {fold: turn-over, call: {ear2: A}}\n", 8, '"call" must map names'];
        yield 'no names' => ["  - {fold: turn-over, call: ear}\n", 8, '"call" must map names'];
        yield 'a likeness on no state' => [
            "  - {fold: turn-over}\nlike: a boat\n",
            9,
            '"like" says something of one step; write it in that step',
        ];
        yield 'called at the top' => ["  - {fold: turn-over}\ncall: {ear: A}\n", 9, '"call" says something of one'];
    }

    #[DataProvider('faults')]
    public function testWhatCannotBeCalled(string $steps, int $line, string $said): void
    {
        try {
            Folds::steps($steps);
        } catch (BadSequence $e) {
            self::assertStringContainsString($said, $e->getMessage());
            self::assertStringContainsString("Line $line", $e->getMessage());

            return;
        }
        self::fail('It was folded.');
    }

    private static function said(string $steps): string
    {
        $of = Folds::steps($steps)->steps;

        return StepText::of($of[count($of) - 1], Folds::words())->sentence;
    }

    private static function down(): string
    {
        return '  - {fold: valley, along: line (1/2 from (corner left) to (corner top)) to '
            ."(1/2 from (corner right) to (corner top)), move: corner top, layers: top}\n";
    }
}
