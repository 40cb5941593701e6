<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Folding\FoldDocument;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Insight\ModelInsight;
use Cathedra\Core\Insight\StepInsight;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Sequence\Sequence;
use Cathedra\Core\Sequence\Ways\Beginnings;
use Cathedra\Core\Sequence\Ways\Combinations;
use Cathedra\Core\Wording\Manner;
use Cathedra\Core\Wording\Phrasebook;
use PHPUnit\Framework\Assert;
use Symfony\Component\Yaml\Yaml;

/** Short ways to fold in tests. */
final class Folds
{
    private const HEAD = "title: Test\nabout: For a test.\nside_up: %s\nage_from: 5\ndifficulty: 1\nsheet: %s\n"
        ."steps:\n";

    /** Folds steps written as YAML list entries, from a square of 100 mm. */
    public static function steps(
        string $steps,
        string $up = 'front',
        string $sheet = 'square',
        float $side = 100.0,
    ): FoldedModel {
        return Folder::fold(Loader::load('test', sprintf(self::HEAD, $up, $sheet).$steps), $side);
    }

    /** A whole model given as text, from a sheet of 150 mm. */
    public static function fold(string $yaml): FoldedModel
    {
        return Folder::fold(Loader::load('test', $yaml), 150.0);
    }

    /** A model of the library as it is written. */
    public static function read(string $slug): Sequence
    {
        $file = dirname(__DIR__, 2)."/library/models/$slug.yaml";

        return Loader::load($slug, (string) file_get_contents($file));
    }

    /** Models kept by another way than the usual one; all usual ones are kept. */
    private const KEPT = 24;

    /** @param  array<string, string>  $choice  the way taken, by route */
    public static function library(string $slug, array $choice = []): FoldedModel
    {
        static $usual = [];
        static $others = [];
        static $beginnings = null;
        $beginnings ??= new Beginnings(); // ways that begin alike share what they have folded, as in the product
        $file = dirname(__DIR__, 2)."/library/models/$slug.yaml";
        $fold = static fn (): FoldedModel => Folder::fold(
            Loader::load($slug, (string) file_get_contents($file), $choice),
            150.0,
            $beginnings,
        );
        if ($choice === []) {
            return $usual[$slug] ??= $fold();
        }
        $key = $slug.json_encode($choice);
        if (! isset($others[$key])) {
            $others = array_slice($others, 1 - self::KEPT, null, true) + [$key => $fold()];
        }

        return $others[$key];
    }

    /**
     * What the steps of a model ask of hands.
     *
     * @param  list<int>|null  $checkpoints  null: as the model has them
     * @return list<StepLoad>
     */
    public static function loads(string $slug, ?array $checkpoints = null): array
    {
        static $scale = null;
        $rules = static fn (string $name): array => (array) Yaml::parseFile(dirname(__DIR__, 2)."/library/$name.yaml");
        $scale ??= Difficulty::fromArray($rules('difficulty'), FoldTable::fromArray($rules('folds')));
        $model = self::library($slug);
        $checkpoints ??= $model->sequence->checkpoints;
        $insight = ModelInsight::of($model, $scale);

        return array_map(
            static fn (FoldedStep $step, StepInsight $of): StepLoad => StepLoad::of(
                $step,
                $of,
                min($model->start->sheet->width, $model->start->sheet->height),
                in_array($step->step->number, $checkpoints, true),
            ),
            $model->steps,
            $insight->steps,
        );
    }

    /** @return list<string> */
    public static function slugs(): array
    {
        return array_map(
            static fn (string $p): string => basename($p, '.yaml'),
            glob(dirname(__DIR__, 2).'/library/models/*.yaml') ?: [],
        );
    }

    /** @return array<string, array{string, array<string, string>}> every model by every combination of its ways */
    public static function everyWay(): array
    {
        $all = [];
        foreach (self::slugs() as $slug) {
            $combinations = Combinations::of(self::library($slug)->sequence->passages);
            foreach ($combinations as $ways) {
                $all[trim($slug.' '.implode(' ', $ways))] = [$slug, $ways];
            }
        }

        return $all;
    }

    /** The independent checker has nothing against this state. */
    public static function assertPaper(FoldedState $state, string $what = ''): void
    {
        $frame = json_decode((string) json_encode(FoldDocument::frame($state)), true);
        Assert::assertSame([], FoldChecker::complaints($frame), $what);
    }

    /** The words that are shipped, in a manner. */
    public static function words(Manner $manner = new Manner()): Phrasebook
    {
        /** @var array<string, array<array-key, mixed>> $file */
        $file = Yaml::parseFile(dirname(__DIR__, 2).'/library/wording/en.yaml');

        return new Phrasebook($file, $manner);
    }
}
