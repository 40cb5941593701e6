<?php

declare(strict_types=1);

namespace App\Library;

use Cathedra\Core\Pacing\BaseTimes;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Loader;
use Cathedra\Core\Sequence\Sequence;
use Cathedra\Core\Wording\Phrasebook;
use Symfony\Component\Yaml\Yaml;

/** The data shipped in library/: models, words, times, paper. Reads files; all rules are in the core. */
final readonly class LibraryFiles
{
    public function __construct(private string $folder)
    {
    }

    /** @return list<string> library names of the models */
    public function slugs(): array
    {
        $slugs = array_map(static fn (string $path): string => basename($path, '.yaml'), glob($this->folder.'/models/*.yaml') ?: []);
        sort($slugs);

        return $slugs;
    }

    public function has(string $slug): bool
    {
        return in_array($slug, $this->slugs(), true);
    }

    /** The text of a model's file; null when there is no such model. */
    public function text(string $slug): ?string
    {
        return $this->has($slug) ? (string) file_get_contents("{$this->folder}/models/$slug.yaml") : null;
    }

    /** @throws BadSequence */
    public function sequence(string $slug): Sequence
    {
        return Loader::load($slug, $this->text($slug) ?? throw new \LogicException("No model $slug."));
    }

    public function words(): Phrasebook
    {
        /** @var array<string, array<array-key, string>> $sections */
        $sections = Yaml::parseFile("{$this->folder}/wording/en.yaml");

        return new Phrasebook($sections);
    }

    public function times(): BaseTimes
    {
        /** @var array{source: string, folds: array<string, array{fold: int, show: int}>, age_factor: array<string, array{label: string, factor: float}>, layers_factor: float, slowest_spread: float, also_factor: float, help_seconds: float, stuck_rate: array<int, float>, blocks: array<string, int>} $data */
        $data = Yaml::parseFile("{$this->folder}/base-times.yaml");

        return new BaseTimes($data['folds'], $data['age_factor'], $data['layers_factor'], $data['slowest_spread'], $data['also_factor'], $data['help_seconds'], $data['stuck_rate'], $data['blocks'], $data['source']);
    }

    /** @return list<array{key: string, name: string, width: float, height: float, grammage: int, kind: string, source: string}> */
    public function formats(): array
    {
        /** @var list<array{key: string, name: string, width: float, height: float, grammage: int, kind: string, source: string}> */
        return Yaml::parseFile("{$this->folder}/paper-formats.yaml");
    }

    /** @return array{spoil_rate: array{values: array<int, float>}, spare_risk: array{value: float}, torn_kerf_mm: array{value: float}, squaring_seconds: array{scissors: int, tear: int}, cautions: array{scissors: string, tear: string}} */
    public function paperRules(): array
    {
        /** @var array{spoil_rate: array{values: array<int, float>}, spare_risk: array{value: float}, torn_kerf_mm: array{value: float}, squaring_seconds: array{scissors: int, tear: int}, cautions: array{scissors: string, tear: string}} */
        return Yaml::parseFile("{$this->folder}/paper-rules.yaml");
    }

    /** Changes whenever a shipped datum or the engine changes; part of every cache key. */
    public function version(string $slug): string
    {
        $parts = [(string) $this->text($slug)];
        foreach (['/wording/en.yaml', '/../core', '/../core/Folding', '/../core/Sequence', '/../core/Diagram', '/../core/Wording', '/../core/Pacing'] as $place) {
            foreach (is_dir($this->folder.$place) ? (glob($this->folder.$place.'/*.php') ?: []) : [$this->folder.$place] as $file) {
                $parts[] = $file.filemtime($file).filesize($file);
            }
        }

        return hash('xxh128', implode("\n", $parts));
    }
}
