<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

/** Which combinations of ways must be folded and checked: all while they are few, else every pair of options. */
final readonly class Combinations
{
    /** More than so many combinations are not folded one by one. */
    public const ALL = 64;

    /**
     * @param  array<string, Route>  $routes
     * @return list<array<string, string>> option by route or choice; the usual ways first
     */
    public static function of(array $routes): array
    {
        $options = array_map(static fn (Route $route): array => array_keys($route->options), $routes);
        $count = array_product(array_map(count(...), $options));

        return $count <= self::ALL ? self::all($options) : self::pairs($options);
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
     * The usual ways with every two of them changed, so that each pair of options comes in one combination at least.
     *
     * @param  array<string, list<string>>  $options
     * @return list<array<string, string>>
     */
    private static function pairs(array $options): array
    {
        $usual = array_map(static fn (array $keys): string => $keys[0], $options);
        $combinations = [(string) json_encode($usual) => $usual];
        foreach ($options as $one => $oneKeys) {
            foreach ($options as $two => $twoKeys) {
                foreach ($one < $two ? $oneKeys : [] as $first) {
                    foreach ($twoKeys as $second) {
                        $pair = array_replace($usual, [$one => $first, $two => $second]);
                        $combinations[(string) json_encode($pair)] = $pair;
                    }
                }
            }
        }

        return array_values($combinations);
    }
}
