<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\Folder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;

/** A sequence with left and right exchanged in every word folds into the mirror image, layer by layer. */
final class MirrorTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach (Folds::slugs() as $slug) {
            yield $slug => [$slug];
        }
    }

    #[DataProvider('models')]
    public function testTheMirroredSequenceGivesTheMirroredState(string $slug): void
    {
        $data = Yaml::parseFile(dirname(__DIR__, 3)."/library/models/$slug.yaml");
        $data['steps'] = self::mirrored($data['steps']);
        $data['goal'] = self::mirrored($data['goal']);
        $mirror = Folder::fold(Loader::load($slug, Yaml::dump($data, 12)), 150.0);
        $model = Folds::library($slug);
        foreach ($model->steps as $i => $step) {
            $twin = $mirror->steps[$i]->after;
            if ($step->step->part === null) {
                self::assertMirrorImages($step->after, $twin, "$slug step {$step->step->number}");
            }
            if ($step->after->faceCount() > 24) {
                break; // the rest takes long and shows nothing new
            }
        }
        Folds::assertPaper($mirror->end(), $slug);
    }

    private static function assertMirrorImages(FoldedState $a, FoldedState $b, string $what): void
    {
        $moved = new Point(
            $b->box()->centre()->x + $a->box()->centre()->x,
            $b->box()->centre()->y - $a->box()->centre()->y,
        );
        foreach ([0.0713, 0.3127, 0.5219, 0.7791, 0.9437] as $u) {
            foreach ([0.0619, 0.3541, 0.6173, 0.9211] as $v) {
                $p = $a->positionOf($a->sheet->at($u, $v));
                $q = $b->positionOf($b->sheet->at(1 - $u, $v));
                self::assertSame($p === null, $q === null, "$what: the same paper is cut away");
                if ($p === null || $q === null) {
                    continue;
                }
                self::assertEqualsWithDelta(
                    0.0,
                    $q->distanceTo(new Point($moved->x - $p->x, $p->y + $moved->y)),
                    1e-6,
                    "$what: point $u $v",
                );
                self::assertSame(
                    count(Stacks::facesAt($a, $p)),
                    count(Stacks::facesAt($b, $q)),
                    "$what: layers at $u $v",
                );
                self::assertSame(self::levelOf($a, $u, $v), self::levelOf($b, 1 - $u, $v), "$what: level of $u $v");
            }
        }
    }

    private static function levelOf(FoldedState $state, float $u, float $v): ?int
    {
        $onSheet = $state->sheet->at($u, $v);
        $face = $state->pattern->faceAt($onSheet, 1e-6);
        $stack = $face === null ? [] : Stacks::facesAt($state, $state->placements[$face]->of($onSheet));
        $level = array_search($face, $stack, true);

        return is_int($level) ? $level : null;
    }

    /**
     * Exchanges left and right, A and B, C and D, both ways of turning, and counts shares of the sheet's width from its
     * other side.
     */
    private static function mirrored(mixed $value, string $key = ''): mixed
    {
        if (is_array($value)) {
            if (($value['fold'] ?? '') === 'rotate') {
                $value['way'] = ($value['way'] ?? 'clockwise') === 'clockwise' ? 'counterclockwise' : 'clockwise';
            }
            if (isset($value['turn'])) {
                $value['turn'] = -$value['turn'];
            }

            return array_combine(
                array_keys($value),
                array_map(self::mirrored(...), $value, array_map(strval(...), array_keys($value))),
            );
        }
        if (
            ! is_string($value) ||
            in_array(
                $key,
                [
                    'fold',
                    'note',
                    'title',
                    'part',
                    'on',
                    'also',
                    'way',
                    'how',
                    'place',
                    'name',
                    'id',
                    'as',
                    'side',
                    'lands',
                    'route',
                ],
                true,
            )
        ) {
            return $value;
        }
        $value = (string) preg_replace_callback(
            '#paper (\S+?) #',
            static function (array $m): string {
                [$top, $bottom] = [...explode('/', $m[1]), '1'];

                return 'paper '.((int) $bottom - (int) $top).'/'.$bottom.' ';
            },
            $value,
        );

        return (string) preg_replace_callback(
            '/\b(left|right|[A-D])\b/',
            static fn (array $m): string => [
                'left' => 'right',
                'right' => 'left',
                'A' => 'B',
                'B' => 'A',
                'C' => 'D',
                'D' => 'C',
            ][$m[1]],
            $value,
        );
    }
}
