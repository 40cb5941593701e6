<?php

declare(strict_types=1);

namespace Tests\Core\Wording;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Wording\StepsDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;

/**
 * What cathedra:steps claims, compared with the folded states over every model and way. The comparison goes by the
 * states alone: where a place of the sheet is before and after; it asks nothing of what made the claims.
 */
final class ClaimsTest extends TestCase
{
    private const LIBRARY = __DIR__.'/../../../library';

    /** @return iterable<string, array{string, array<string, string>}> */
    public static function models(): iterable
    {
        foreach (Folds::everyWay() as $name => [$slug, $ways]) {
            yield $name => [$slug, $ways];
        }
    }

    /** @param  array<string, string>  $ways */
    #[DataProvider('models')]
    public function testTheClaimsAreTrueOfThePaper(string $slug, array $ways): void
    {
        $model = Folds::library($slug, $ways);
        foreach (self::said($model) as $i => $said) {
            $step = $model->steps[$i];
            $where = "$slug step {$said['number']}: {$said['do']}";
            $claims = $said['claims'];
            if ($claims['take'] === null) {
                continue;
            }
            $at = new Point(...$claims['take']['at']);
            $side = min($step->before->sheet->width, $step->before->sheet->height);
            [$landings, $far] = self::journeys(
                before: $step->before,
                after: $step->after,
                at: $at,
                claims: $claims,
                kind: $step->step->kind,
            );
            self::assertNotSame([], $landings, "the hand takes moving paper; $where");
            $said['drawn']['dots'] !== [] ?: self::fail("no dots; $where");
            $landing = new Point(...$said['drawn']['dots'][1]);
            $off = static fn (Point $p): float => $p->distanceTo($landing);
            usort($landings, static fn (Point $p, Point $q): int => $off($p) <=> $off($q));
            $to = $landings[0];
            $travel = $at->distanceTo($to);
            self::assertGreaterThanOrEqual($far - 0.02 * $side, $travel, "nothing goes further; $where");
            self::assertEqualsWithDelta($claims['take']['at'], $said['drawn']['dots'][0], 0.001, $where);
            self::assertLessThan(0.01 * $side, $landing->distanceTo($to), "the second dot; $where");
            self::assertSame(array_slice($said['drawn']['dots'], 0, 2), $said['drawn']['arrow'], $where);
            if (isset($claims['to']['at'])) {
                self::assertEqualsWithDelta($claims['to']['at'], $said['drawn']['dots'][1], 0.001, $where);
            }
            $this->wayIsTrue($claims['direction'], $at, $to, $where);
            if (isset($claims['to']['line'])) {
                [$a, $b] = array_map(static fn (array $p): Point => new Point(...$p), $claims['to']['line']);
                $line = Line::through($a, $b);
                self::assertNotNull($line);
                self::assertLessThan(0.01 * $side, abs($line->distanceTo($to)), "it lands on that line; $where");
            }
            if ($claims['fold_line'] !== null) {
                $line = $claims['fold_line'];
                self::assertTrue(self::isCreased($step->before, $step->after, $line), "the line; $where");
            }
            self::assertGreaterThanOrEqual(1, $claims['take']['layers'], $where);
            self::assertLessThanOrEqual($claims['take']['of'], $claims['take']['layers'], $where);
            self::assertEqualsWithDelta(1.0, $said['drawn']['tinted_share'], 0.001, $where);
        }
    }

    /** @param  array<string, string>  $ways */
    #[DataProvider('models')]
    public function testItIsSaidAsATeacherWould(string $slug, array $ways): void
    {
        foreach (self::said(Folds::library($slug, $ways)) as $said) {
            $where = "$slug step {$said['number']}";
            self::assertLessThanOrEqual(3, count($said['motions']), $where);
            foreach ($said['motions'] as $motion) {
                foreach (preg_split('/(?<=\.) /', $motion) ?: [] as $sentence) {
                    self::assertLessThanOrEqual(25, count(explode(' ', $sentence)), "$where: $sentence");
                }
                self::assertStringNotContainsString('{', $motion, $where);
            }
            self::assertLessThanOrEqual(3, count($said['look']), $where);
            foreach ($said['look'] as $look) {
                self::assertDoesNotMatchRegularExpression('/\d| mm|layers|corners\b/', $look, $where);
            }
            self::assertStringNotContainsString('line between the dots', $said['do'], $where);
            self::assertStringNotContainsString('Fold up', $said['do'], $where);
            self::assertDoesNotMatchRegularExpression('/\b1 layers|all 2 layers/', $said['do'], $where);
            if ($said['hard']) {
                self::assertNotNull($said['because'] ?? $said['stop'] ?? $said['note'], "no help: $where");
            }
            if ($said['fold'] === 'cut') {
                self::assertStringContainsString('Scissors', implode(' ', $said['cautions']), $where);
            }
            if ($said['state']['form3d']) {
                self::assertCount(1, $said['look'], "what is true of the flat paper is not said of a form: $where");
            }
        }
    }

    /**
     * Where the layers at the place taken come to lie by this fold, and how far anything goes.
     *
     * @param  array<string, mixed>  $claims
     * @return array{list<Point>, float}
     */
    private static function journeys(
        FoldedState $before,
        FoldedState $after,
        Point $at,
        array $claims,
        FoldKind $kind,
    ): array {
        $there = array_filter($before->polygons, static fn (Polygon $p): bool => $p->contains($at, -0.01));
        if ($kind === FoldKind::Crease) {
            // it is folded and opened again: what lies on that side of the line goes to the other
            [$a, $b] = array_map(static fn (array $p): Point => new Point(...$p), $claims['fold_line']);
            $line = Line::through($a, $b) ?? self::fail('A fold line has length.');
            $beyond = 0.0;
            foreach ($before->polygons as $polygon) {
                foreach ($polygon->points as $p) {
                    $isSameSide = $line->distanceTo($p) * $line->distanceTo($at) > 0;
                    $beyond = max($beyond, $isSameSide ? 2 * abs($line->distanceTo($p)) : 0.0);
                }
            }
            $isSmall = $claims['take']['layers'] < $claims['take']['of'];

            return [$there === [] ? [] : [$line->reflected($at)], $isSmall ? 0.0 : $beyond];
        }
        $landings = [];
        foreach ($there as $face => $polygon) {
            $on = $before->placements[$face]->inverse()->of($at->toward($polygon->centroid(), 1e-4));
            $now = $after->positionOf($on);
            if ($now !== null && $now->distanceTo($at) > 0.1) {
                $landings[] = $now;
            }
        }
        $far = 0.0;
        foreach ($after->pattern->vertices as $onSheet) {
            $was = $before->positionOf($onSheet);
            $is = $after->positionOf($onSheet);
            $far = $was !== null && $is !== null ? max($far, $was->distanceTo($is)) : $far;
        }

        return [$landings, $far];
    }

    private function wayIsTrue(string $way, Point $at, Point $to, string $where): void
    {
        $v = $to->minus($at)->unit();
        $along = ['toward' => -$v->y, 'away' => $v->y, 'left' => -$v->x, 'right' => $v->x, 'place' => 1.0];
        self::assertGreaterThan(cos(deg2rad(30)), $along[$way], "$way is the way it goes; $where");
    }

    /** @param  array{array{float, float}, array{float, float}}  $line */
    private static function isCreased(FoldedState $before, FoldedState $after, array $line): bool
    {
        [$a, $b] = array_map(static fn (array $p): Point => new Point(...$p), $line);
        foreach ([0.5, 0.31, 0.69] as $share) {
            $p = $a->toward($b, $share);
            foreach ($before->polygons as $face => $polygon) {
                if ($polygon->contains($p, -0.01)) {
                    $on = $before->placements[$face]->inverse()->of($p);
                    if ($after->pattern->edgeAt($on, 0.01)?->isCrease() === true) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** @return list<array<string, mixed>> */
    private static function said(FoldedModel $model): array
    {
        $yaml = static fn (string $file): array => (array) Yaml::parseFile(self::LIBRARY."/$file.yaml");
        $folds = FoldTable::fromArray($yaml('folds'));
        $document = StepsDocument::of(
            $model,
            Difficulty::fromArray($yaml('difficulty'), $folds),
            BaseTimes::fromArray($yaml('base-times'), $folds),
            Folds::words(),
        );

        return $document['steps'];
    }
}
