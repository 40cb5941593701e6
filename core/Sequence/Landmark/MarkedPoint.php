<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Point;

/**
 * A point that an earlier step marked; it follows the paper. Where a step is done again with left and right exchanged,
 * a mark gives way to its partner, if there is one: `hip` to `hip-other`, and the other way round.
 */
final readonly class MarkedPoint implements PointRef
{
    private const OTHER = '-other';

    public function __construct(public string $name)
    {
    }

    public function locate(Setting $setting): Point
    {
        $partner = str_ends_with($this->name, self::OTHER)
            ? substr($this->name, 0, -strlen(self::OTHER))
            : $this->name.self::OTHER;
        $mark =
            ($setting->mirrored ? $setting->marks[$partner] ?? null : null) ??
            $setting->marks[$this->name] ??
            throw CannotFold::notFound("No earlier step sets a mark called \"{$this->name}\".");

        return $setting->onPaper($mark);
    }
}
