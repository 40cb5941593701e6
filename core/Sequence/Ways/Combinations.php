<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Ways;

/** Which combinations of ways must be folded and checked: all while they are few, else every pair of options. */
final readonly class Combinations
{
    /** More than so many combinations are not folded one by one. */
    public const ALL = 64;

    /**
     * @param  array<string, Passage>  $passages
     * @return list<array<string, string>> option by route or choice; the usual ways first
     */
    public static function of(array $passages): array
    {
        $options = array_map(static fn (Passage $passage): array => array_keys($passage->options), $passages);
        $count = array_product(array_map(count(...), $options));

        return $count <= self::ALL ? self::all($options) : self::pairs($options);
    }

    /**
     * What a lead comes to who changes one thing and looks at the others: the usual ways with every two changed.
     *
     * @param  array<string, Passage>  $passages
     * @return list<array<string, string>> those that of() has not, alike beginnings next to one another
     */
    public static function looked(array $passages): array
    {
        $options = array_map(static fn (Passage $passage): array => array_keys($passage->options), $passages);
        $usual = array_map(static fn (array $keys): string => $keys[0], $options);
        $looked = [];
        foreach (self::allPairs($options) as $pair) {
            $taken = array_replace($usual, $pair);
            $looked[(string) json_encode($taken)] = $taken;
        }
        foreach (self::of($passages) as $known) {
            unset($looked[(string) json_encode($known)]);
        }
        ksort($looked);

        return array_values($looked);
    }

    /**
     * @param  array<string, list<string>>  $options
     * @return list<array<string, string>>
     */
    private static function all(array $options): array
    {
        $combinations = [[]];
        foreach ($options as $name => $keys) {
            $next = [];
            foreach ($combinations as $known) {
                foreach ($keys as $key) {
                    $next[] = $known + [$name => $key];
                }
            }
            $combinations = $next;
        }

        return $combinations;
    }

    /**
     * The usual ways, each other option by itself, and as few more as a greedy choice needs until each pair of options
     * comes in one combination at least.
     *
     * @param  array<string, list<string>>  $options
     * @return list<array<string, string>>
     */
    private static function pairs(array $options): array
    {
        $usual = array_map(static fn (array $keys): string => $keys[0], $options);
        $combinations = [$usual];
        foreach ($options as $name => $keys) {
            foreach (array_slice($keys, 1) as $key) {
                $combinations[] = [...$usual, $name => $key];
            }
        }
        $left = self::allPairs($options);
        foreach ($combinations as $combination) {
            $left = array_diff_key($left, self::pairsOf($combination));
        }
        while ($left !== []) {
            $next = self::most($options, $left);
            $left = array_diff_key($left, self::pairsOf($next));
            $combinations[] = $next;
        }

        return $combinations;
    }

    /**
     * A combination with the first pair that is left, and for every other question the option that adds most pairs.
     *
     * @param  array<string, list<string>>  $options
     * @param  non-empty-array<string, array<string, string>>  $left
     * @return array<string, string>
     */
    private static function most(array $options, array $left): array
    {
        $taken = $left[array_key_first($left)];
        foreach (array_diff_key($options, $taken) as $name => $keys) {
            $best = -1;
            foreach ($keys as $key) {
                $gain = count(array_intersect_key($left, self::pairsOf([...$taken, $name => $key])));
                if ($gain > $best) {
                    [$best, $option] = [$gain, $key];
                }
            }
            $taken[$name] = $option ?? $keys[0];
        }

        return array_map(strval(...), array_replace(array_fill_keys(array_keys($options), ''), $taken));
    }

    /**
     * @param  array<string, list<string>>  $options
     * @return array<string, array<string, string>> every two options of two questions, by a name that tells them apart
     */
    private static function allPairs(array $options): array
    {
        $pairs = [];
        $names = array_keys($options);
        foreach ($names as $i => $one) {
            foreach (array_slice($names, $i + 1) as $two) {
                foreach ($options[$one] as $first) {
                    foreach ($options[$two] as $second) {
                        $pairs += self::pairsOf([$one => $first, $two => $second]);
                    }
                }
            }
        }

        return $pairs;
    }

    /**
     * @param  array<string, string>  $combination
     * @return array<string, array<string, string>>
     */
    private static function pairsOf(array $combination): array
    {
        ksort($combination);
        $names = array_keys($combination);
        $pairs = [];
        foreach ($names as $i => $one) {
            foreach (array_slice($names, $i + 1) as $two) {
                $pair = [$one => $combination[$one], $two => $combination[$two]];
                $pairs[(string) json_encode($pair)] = $pair;
            }
        }

        return $pairs;
    }
}
