<?php

declare(strict_types=1);

namespace App\Support;

use Cathedra\Core\Paper\Material;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Rules\FaultTable;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Rules\Guidance;
use Cathedra\Core\Rules\PaperRules;
use Cathedra\Core\Rules\PolicyTable;
use Cathedra\Core\Rules\TeachingRules;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Sequence;
use Cathedra\Core\Wording\Manner;
use Cathedra\Core\Wording\Phrasebook;
use Illuminate\Contracts\Cache\Repository;
use Symfony\Component\Yaml\Yaml;

/**
 * The data shipped in library/: models, words, times, paper. Reads files; all rules are in the core.
 */
final class LibraryFiles
{
    private const LOOK_AGAIN = 2;

    /** @var list<string>|null */
    private ?array $slugs = null;

    /** @var array<string, mixed> parsed files of this request */
    private array $parsed = [];

    /** @var array<string, string> */
    private array $versions = [];

    /** @var array<string, Phrasebook> by manner */
    private array $words = [];

    /** @var array<class-string, object> rules that were read and found to be sound in this request */
    private array $rules = [];

    /** @param  Repository|null  $cache keeps parsed YAML between requests; the command line goes without */
    public function __construct(private readonly string $folder, private readonly ?Repository $cache = null)
    {
    }

    /** @return list<string> library names of the models */
    public function slugs(): array
    {
        if ($this->slugs === null) {
            $files = glob($this->folder.'/models/*.yaml') ?: [];
            $this->slugs = array_map(static fn (string $path): string => basename($path, '.yaml'), $files);
            sort($this->slugs);
        }

        return $this->slugs;
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

    /**
     * @param  array<string, string>  $ways  by route
     *
     * @throws BadSequence
     */
    public function sequence(string $slug, array $ways = []): Sequence
    {
        return Loader::load($slug, $this->text($slug) ?? throw new \LogicException("No model $slug."), $ways);
    }

    public function folds(): FoldTable
    {
        return $this->once(
            FoldTable::class,
            fn (): FoldTable => FoldTable::fromArray($this->rules('/folds.yaml')),
        );
    }

    public function difficulty(): Difficulty
    {
        return $this->once(
            Difficulty::class,
            fn (): Difficulty => Difficulty::fromArray($this->rules('/difficulty.yaml'), $this->folds()),
        );
    }

    public function words(Manner $manner = new Manner()): Phrasebook
    {
        return $this->words[$manner->key()] ??= new Phrasebook($this->sections(), $manner);
    }

    /** @return array<string, array<array-key, mixed>> the phrases as they are shipped */
    public function sections(): array
    {
        /** @var array<string, array<array-key, mixed>> */
        return $this->yaml('/wording/en.yaml');
    }

    public function times(): BaseTimes
    {
        return $this->once(
            BaseTimes::class,
            fn (): BaseTimes => BaseTimes::fromArray($this->rules('/base-times.yaml'), $this->folds()),
        );
    }

    /**
     * @return list<array{key: string, name: string, width: float, height: float, grammage: int, kind: string,
     *     sides: string, source: string}>
     */
    public function formats(): array
    {
        /**
         * @var list<array{key: string, name: string, width: float, height: float, grammage: int, kind: string,
         *     sides: string, source: string}>
         */
        return $this->yaml('/paper-formats.yaml');
    }

    public function paperRules(): PaperRules
    {
        return $this->once(
            PaperRules::class,
            fn (): PaperRules => PaperRules::fromArray($this->rules('/paper-rules.yaml')),
        );
    }

    public function teachingRules(): TeachingRules
    {
        return $this->once(
            TeachingRules::class,
            fn (): TeachingRules => TeachingRules::fromArray($this->rules('/teaching-rules.yaml')),
        );
    }

    public function policies(): PolicyTable
    {
        return $this->once(
            PolicyTable::class,
            fn (): PolicyTable => PolicyTable::fromArray($this->rules('/policies.yaml')),
        );
    }

    public function faults(): FaultTable
    {
        return $this->once(
            FaultTable::class,
            fn (): FaultTable => FaultTable::fromArray($this->rules('/faults.yaml')),
        );
    }

    public function guidance(): Guidance
    {
        return $this->once(
            Guidance::class,
            fn (): Guidance => Guidance::fromArray(
                $this->rules('/guidance.yaml'),
                array_column(FoldKind::cases(), 'value'),
            ),
        );
    }

    /** A sequence that explains something and is no model of the shelf. */
    public function explained(string $name): Sequence
    {
        return Loader::load($name, (string) file_get_contents("{$this->folder}/explained/$name.yaml"));
    }

    /** @return list<Material> */
    public function materials(): array
    {
        /**
         * @var array{materials: list<array{key: string, name: string, per: 'learner'|'table'|'model'|'room',
         *     number: float|int, caution: string, not_for?: list<string>, instead?: string}>} $data
         */
        $data = $this->yaml('/materials.yaml');

        return array_map(
            static fn (array $m): Material => new Material(
                key: $m['key'],
                name: $m['name'],
                per: $m['per'],
                number: (float) $m['number'],
                caution: $m['caution'],
                notFor: $m['not_for'] ?? [],
                instead: $m['instead'] ?? null,
            ),
            $data['materials'],
        );
    }

    /** Changes whenever a shipped datum or the engine changes; part of every cache key. */
    public function version(string $slug): string
    {
        return $this->versions[$slug] ??= hash(
            'xxh128',
            $this->engineVersion().self::stamp("{$this->folder}/models/$slug.yaml"),
        );
    }

    /** Changes when any model, the words or the code does. */
    public function shelfVersion(): string
    {
        return $this->versions['*'] ??= hash(
            'xxh128',
            $this->engineVersion().implode("\n", array_map(
                fn (string $slug): string => self::stamp("{$this->folder}/models/$slug.yaml"),
                $this->slugs(),
            )),
        );
    }

    /** Changes when the shelf or the code of what is kept of lessons and groups does: older answers look otherwise. */
    public function answersVersion(): string
    {
        $look = static fn (): string => hash('xxh128', implode("\n", array_map(
            self::stamp(...),
            glob(__DIR__.'/../{Groups,Home,Lessons,Pacing,Teaching}/*.php', GLOB_BRACE) ?: [],
        )));
        $app = $this->cache === null ? $look() : $this->cache->remember('app-version', self::LOOK_AGAIN, $look);

        return $this->shelfVersion().($this->versions['app'] ??= $app);
    }

    /**
     * Changes with the code and the words. The server looks again after as long as it takes to see changed code
     * (opcache.revalidate_freq in bin/lib/common.sh), not at every request: it is some 250 files.
     */
    public function engineVersion(): string
    {
        $look = fn (): string => hash(
            'xxh128',
            implode("\n", array_map(self::stamp(...), [
                $this->folder.'/wording/en.yaml',
                ...glob($this->folder.'/*.yaml') ?: [],
                __FILE__,
                ...glob($this->folder.'/explained/*.yaml') ?: [],
                ...glob(__DIR__.'/../Shelf/*.php') ?: [],
                ...glob(__DIR__.'/../Ways/*.php') ?: [],
                ...glob($this->folder.'/../core/*/*.php') ?: [],
                ...glob($this->folder.'/../core/*/*/*.php') ?: [],
            ])),
        );

        return $this->versions[''] ??=
            $this->cache === null ? $look() : $this->cache->remember('engine-version', self::LOOK_AGAIN, $look);
    }

    private static function stamp(string $file): string
    {
        return $file.filemtime($file).filesize($file);
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @param  callable(): T  $read
     * @return T
     */
    private function once(string $class, callable $read): object
    {
        $known = $this->rules[$class] ?? null;

        return $known instanceof $class ? $known : ($this->rules[$class] = $read());
    }

    /** @return array<string, mixed> */
    private function rules(string $file): array
    {
        /** @var array<string, mixed> */
        return $this->yaml($file);
    }

    private function yaml(string $file): mixed
    {
        $path = $this->folder.$file;
        $parse = static fn (): mixed => Yaml::parseFile($path);

        return $this->parsed[$file] ??=
            $this->cache === null
                ? $parse()
                : $this->cache->remember(
                    "yaml:$file:".filemtime($path).':'.filesize($path),
                    60 * 60 * 24 * 30,
                    $parse,
                );
    }
}
