<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Sequence\BadSequence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** A refusal says which half failed, and which candidates there are. */
final class RefusalsTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function refusals(): iterable
    {
        // A square of 100 mm: its upper corners lie equally far to the top.
        yield 'corners are numbered with their places' => [
            "  - {fold: valley, bring: corner top, to: A}\n",
            'Two corners lie equally far to the top: 1 at (0.0, 100.0), 2 at (100.0, 100.0). Name one',
        ];
        // Standing on its corner, two edges face the top equally.
        yield 'edges by their middles' => [
            "  - {fold: rotate, by: 45}\n  - {fold: valley, bring: edge top, to: edge bottom}\n",
            '(their middles). Name one of them by its ends: line POINT to POINT.',
        ];
        // The left edge goes to the right one; when the right edge is to go to the left, two layers lie there.
        yield 'the half of a step that fails' => [
            "  - {fold: valley, bring: edge left, to: edge right, also: other side}\n",
            'The first half can be done, but not the second (also): Beyond this crease lie 2 separate layers',
        ];
    }

    #[DataProvider('refusals')]
    public function testItSaysWhatWouldDo(string $steps, string $says): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($says, '/').'/');
        Folds::steps($steps);
    }
}
