<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\CathedraException;
use Cathedra\Core\Geometry\Point;

/**
 * A fold that paper cannot do. Says what stands in the way and, where there is one, the place in the folded plane (mm).
 */
final class CannotFold extends CathedraException
{
    private function __construct(string $message, public readonly ?Point $place = null)
    {
        parent::__construct($message);
    }

    public static function because(string $reason, ?Point $place = null): self
    {
        return new self($reason, $place);
    }

    /** The same, of the second half of a step that is done on both sides. */
    public static function onTheOtherHalf(self $first): self
    {
        return new self('The first half can be done, but not the second (also): '.$first->getMessage(), $first->place);
    }

    public static function nothingBeyond(): self
    {
        return new self(
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
        return self::because(
            'Two creases lie so close together that they cannot be told apart. Move one of them.',
            $place,
        );
    }

    public static function covered(Point $place): self
    {
        return new self(
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
