<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\CathedraException;
use Cathedra\Core\Geometry\Point;

/**
 * A fold that cannot be done. Says what stands in the way and, where there is one, the place in the folded plane (mm).
 * Either the paper itself stops it, or a step speaks of something that is not there or is not one thing: then the words
 * fail and hands might go on.
 */
final class CannotFold extends CathedraException
{
    /** @param  bool  $byPaper  whether paper stops it, not only a name, a mark or a count */
    private function __construct(
        string $message,
        public readonly ?Point $place = null,
        public readonly bool $byPaper = true,
    ) {
        parent::__construct($message);
    }

    /** Paper cannot be folded so. */
    public static function because(string $reason, ?Point $place = null): self
    {
        return new self($reason, $place);
    }

    /** What the step speaks of is not there, or could be one of several, or is more than there is. */
    public static function notFound(string $reason, ?Point $place = null): self
    {
        return new self($reason, $place, byPaper: false);
    }

    /** The same with more said before it. */
    public function with(string $before): self
    {
        return new self($before.$this->getMessage(), $this->place, $this->byPaper);
    }

    /** The same, of the second half of a step that is done on both sides. */
    public static function onTheOtherHalf(self $first): self
    {
        return $first->with('The first half can be done, but not the second (also): ');
    }

    public static function nothingBeyond(): self
    {
        return self::notFound(
            'The crease does not cross the paper, so nothing would be folded. Choose points further inside the paper.',
        );
    }

    public static function joined(Point $place): self
    {
        return new self(
            'These layers are joined along a fold, so only both can move; moving one would tear the paper.',
            $place,
        );
    }

    public static function tooClose(Point $place): self
    {
        return self::notFound(
            'Two creases lie so close together that they cannot be told apart. Move one of them.',
            $place,
        );
    }

    /** Hands would take what lies over it along; it is the count of the step that fails. */
    public static function covered(Point $place): self
    {
        return self::notFound(
            'Other layers lie over the part that should move. Choose more layers, so that those over it move along, or '
                .'all of them.',
            $place,
        );
    }

    public static function collides(string $what, Point $place): self
    {
        return new self("Paper would pass through paper: $what.", $place);
    }
}
