<?php

declare(strict_types=1);

namespace Cathedra\Core;

/**
 * What was worked out lately of objects that never change, so that it is not worked out again while the same ones come
 * back: ways of a model share most of their steps. The latest are kept, with their objects.
 *
 * @template T
 */
final class Latest
{
    /** @var array<string, array{list<object>, T}> */
    private array $kept = [];

    public function __construct(private readonly int $most)
    {
    }

    /**
     * @param  list<object>  $of  all that it depends on
     * @param  callable(): T  $make
     * @return T
     */
    public function of(array $of, callable $make): mixed
    {
        $key = implode(' ', array_map(spl_object_id(...), $of));
        if (! isset($this->kept[$key])) {
            $this->kept[$key] = [$of, $make()];
            if (count($this->kept) > $this->most) {
                unset($this->kept[array_key_first($this->kept)]);
            }
        }

        return $this->kept[$key][1];
    }
}
