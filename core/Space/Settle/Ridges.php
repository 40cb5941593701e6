<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Settle;

use Cathedra\Core\Space\Mesh\Mesh;

/**
 * Creases that change from mountain to valley or back: a flap is turned inside out along them.
 *
 * @phpstan-import-type Hinge from Mesh
 */
final readonly class Ridges
{
    /** As a share of the shorter side: what is nearer to a line lies on it. */
    private const ON = 1e-5;

    /** @var list<array{float, float, float}> lines on the sheet: normal and offset */
    private array $lines;

    public function __construct(private Mesh $mesh)
    {
        $lines = [];
        foreach ($mesh->hinges as $hinge) {
            if (self::turns($hinge)) {
                [[$px, $py], [$qx, $qy]] = [$mesh->sheet[$hinge['a']], $mesh->sheet[$hinge['b']]];
                $length = hypot($qx - $px, $qy - $py);
                [$nx, $ny] = [($py - $qy) / $length, ($qx - $px) / $length];
                $lines[] = [$nx, $ny, $nx * $px + $ny * $py];
            }
        }
        $this->lines = $lines;
    }

    /** @param  Hinge  $hinge */
    public static function turns(array $hinge): bool
    {
        return $hinge['start'] * $hinge['end'] < 0;
    }

    public static function areIn(Mesh $mesh): bool
    {
        return array_filter($mesh->hinges, self::turns(...)) !== [];
    }

    /**
     * Whether a crease that stays folded lies on the line of one that turns.
     *
     * @param  Hinge  $hinge
     */
    public function goOnIn(array $hinge): bool
    {
        if ($hinge['start'] !== $hinge['end'] || $hinge['start'] === 0.0) {
            return false;
        }
        foreach ($this->lines as [$nx, $ny, $offset]) {
            $off = 0.0;
            foreach ([$hinge['a'], $hinge['b']] as $vertex) {
                [$x, $y] = $this->mesh->sheet[$vertex];
                $off = max($off, abs($nx * $x + $ny * $y - $offset));
            }
            if ($off < self::ON * $this->mesh->side) {
                return true;
            }
        }

        return false;
    }
}
