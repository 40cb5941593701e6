<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Ways;

use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Sequence\Sequence;

/**
 * How sequences begin that were folded lately: another way of the same model begins like them and goes on from there.
 * States are immutable, so a folder is kept by a copy.
 */
final class Beginnings
{
    /** Beginnings that are kept, the latest ones; a model by all its ways has at most so many at once that matter. */
    private const MOST = 120;

    /** @var array<string, array{Folder, list<FoldedStep>}> by what was folded so far */
    private array $kept = [];

    /**
     * Names for what is folded after each step, the sheet and its parts first: equal where all steps so far are.
     *
     * @return list<string>
     */
    public static function of(Sequence $sequence, float $shortSide): array
    {
        $key = hash('xxh128', serialize([$sequence->ratio, $sequence->sideUp, $sequence->parts, $shortSide]));
        $keys = [];
        foreach ($sequence->steps as $step) {
            $keys[] = $key = hash('xxh128', $key.serialize($step));
        }

        return $keys;
    }

    /**
     * The longest one that is known.
     *
     * @param  list<string>  $keys
     * @return array{Folder, list<FoldedStep>}|null
     */
    public function longest(array $keys): ?array
    {
        foreach (array_reverse($keys) as $key) {
            if (isset($this->kept[$key])) {
                [$folder, $steps] = $this->kept[$key];

                return [$folder->branch(), $steps];
            }
        }

        return null;
    }

    /** @param  list<FoldedStep>  $steps */
    public function keep(string $key, Folder $folder, array $steps): void
    {
        unset($this->kept[$key]);
        $this->kept[$key] = [$folder->branch(), $steps];
        if (count($this->kept) > self::MOST) {
            unset($this->kept[array_key_first($this->kept)]);
        }
    }
}
