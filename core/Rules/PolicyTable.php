<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** The policies of a lesson and their options, from library/policies.yaml, which states its source. */
final readonly class PolicyTable
{
    /** Every policy there is, with its options; the first is the usual one. The engine knows what each means. */
    public const OPTIONS = [
        'crease_with' => ['nail', 'card', 'pencil'],
        'exact' => ['first', 'all', 'forgiving'],
        'show' => ['along', 'first', 'twice', 'silent', 'cards', 'groups'],
        'pace' => ['wait', 'ahead', 'everybody'],
        'cutting' => ['model', 'square', 'none'],
        'squaring' => ['counted', 'again', 'fresh'],
        'cut_line' => ['strip', 'edge', 'pencil'],
        'second' => ['after', 'before', 'model'],
        'names' => ['place', 'term', 'likeness', 'both'],
        'letters' => ['place', 'on', 'off'],
        'quick' => ['help', 'again', 'decorate', 'rest'],
    ];

    private const FILE = 'library/policies.yaml';

    /**
     * @param  array<string, string>  $titles  by policy
     * @param  array<string, array<string, PolicyOption>>  $options  by policy and option
     */
    private function __construct(public array $titles, public array $options, public string $source)
    {
    }

    /**
     * @param  array<string, mixed>  $data  the file as it is read
     *
     * @throws BadRules naming the policy and option, and what is wrong with it
     */
    public static function fromArray(array $data): self
    {
        $file = new RuleFile(self::FILE, $data);
        self::same('policies', array_keys(self::OPTIONS), $file->keys('policies'));
        $titles = $options = [];
        foreach (self::OPTIONS as $policy => $keys) {
            $at = "policies.$policy";
            $titles[$policy] = $file->sentence("$at.title");
            self::same("$at.options", $keys, $file->keys("$at.options"));
            foreach ($keys as $key) {
                $options[$policy][$key] = self::option($file, "$at.options.$key");
            }
        }

        return new self($titles, $options, $file->sentence('source'));
    }

    private static function option(RuleFile $file, string $at): PolicyOption
    {
        $factor = static fn (string $of): float => $file->has("$at.$of") ? $file->number("$at.$of", 0.2, 5) : 1.0;

        return new PolicyOption(
            title: $file->sentence("$at.title"),
            why: $file->sentence("$at.why"),
            says: $file->sentence("$at.says"),
            show: $factor('show'),
            fold: $factor('fold'),
            stuck: $factor('stuck'),
            squaring: $factor('squaring'),
        );
    }

    /**
     * @param  list<string>  $wanted
     * @param  list<string>  $there
     */
    private static function same(string $at, array $wanted, array $there): void
    {
        $wanted === $there || throw new BadRules(
            self::FILE.": $at must be, in this order: ".implode(', ', $wanted)
                .'; there are: '.implode(', ', $there).'.',
        );
    }
}
