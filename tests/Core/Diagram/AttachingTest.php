<?php

declare(strict_types=1);

namespace Tests\Core\Diagram;

use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** A step that attaches a part shows both pieces: where the part comes from, and where it goes. */
final class AttachingTest extends TestCase
{
    /** @return iterable<string, array{string, string}> model, kind of arrow */
    public static function attachments(): iterable
    {
        yield 'a head that is glued on' => ['cat', 'fold'];
        yield 'a stem that is pushed in behind' => ['tulip', 'push'];
    }

    #[DataProvider('attachments')]
    public function testThePartLiesBesideThePieceAndAnArrowLeadsToItsPlace(string $slug, string $kind): void
    {
        $steps = Folds::library($slug)->steps;
        $step = $steps[count($steps) - 1];
        self::assertNotNull($step->attached);
        $before = SceneBuilder::before($step);
        $after = SceneBuilder::after($step);
        self::assertCount(count($after->items), $before->items, 'the same faces and lines, in another place');
        self::assertSame($kind, $before->arrows[0]['kind']);
        self::assertSame([$step->attached->at->x, $step->attached->at->y], $before->arrows[0]['to']);
        self::assertSame([$before->arrows[0]['from'], $before->arrows[0]['to']], $before->dots);

        // The part is clear of the main piece: it lies wholly above or below it.
        [$fx, $fy] = $before->arrows[0]['from'];
        $moved = $step->attached->part->box();
        $main = $step->before->box();
        $away = $fy - $step->attached->at->y;
        self::assertTrue($moved->bottom + $away > $main->top || $moved->top + $away < $main->bottom);
        self::assertEqualsWithDelta($fx, $step->attached->at->x, 1e-9);

        [$l, $b, $w, $h] = $before->frame;
        foreach ($before->items as $item) {
            foreach (Scene::pointsOf($item) as [$x, $y]) {
                self::assertTrue($x >= $l && $x <= $l + $w && $y >= $b && $y <= $b + $h, 'nothing is cut');
            }
        }
    }
}
