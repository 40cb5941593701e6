<?php

declare(strict_types=1);

namespace App\Shelf;

use Cathedra\Core\Sequence\Form;
use Cathedra\Core\Space\Mesh;
use Cathedra\Core\Space\Piece;
use Cathedra\Core\Space\StepMotion;

/** The motion of steps, worked out once and kept with the model it belongs to. */
final readonly class Motions
{
    /** mm in one number that is sent. */
    private const GRAIN = 0.1;

    /** Degrees by which a step that ends flat is tipped while it moves. */
    private const TIPPED = 29;

    public function __construct(private ModelShelf $shelf)
    {
    }

    /**
     * @param  array<string, string>  $ways
     * @return MotionData|null null when there is no such step
     */
    public function of(string $model, array $ways, int $step): ?MotionData
    {
        return $this->shelf->keepOf($model, $ways, "motion-$step", function () use ($model, $ways, $step): ?MotionData {
            $folded = $this->shelf->folded($model, $ways)->steps[$step - 1] ?? null;

            return $folded === null ? null : new MotionData(
                $step,
                min($folded->before->sheet->width, $folded->before->sheet->height),
                array_map(self::packed(...), StepMotion::of($folded)->pieces),
                self::view($folded->step->form),
            );
        });
    }

    /** @return array{roll: int, turn: int, tilt: int, stands: bool} */
    private static function view(?Form $form): array
    {
        return $form === null || ! $form->isKnown()
            ? ['roll' => 0, 'turn' => 0, 'tilt' => self::TIPPED, 'stands' => false]
            : ['roll' => $form->roll, 'turn' => $form->turn, 'tilt' => $form->tilt, 'stands' => true];
    }

    /**
     * @return array{corners: list<int>, ranks: list<int>, ranks_end: list<int>, lines: list<int>, vertices: int,
     *     moments: int, at: string}
     */
    private static function packed(Piece $piece): array
    {
        $mesh = $piece->mesh;
        $rank = static fn (array $ranks): array => array_values(array_map(
            static fn (int $cell): int => $ranks[$cell],
            $mesh->cellOf,
        ));
        $numbers = '';
        foreach ($piece->at as $points) {
            foreach ($points as $p) {
                foreach ($p as $x) {
                    $numbers .= pack('v', (int) round($x / self::GRAIN) & 0xFFFF);
                }
            }
        }

        return [
            'corners' => array_merge(...$mesh->triangles),
            'ranks' => $rank($piece->rankStart),
            'ranks_end' => $rank($piece->rankEnd),
            'lines' => self::lines($mesh),
            'vertices' => $mesh->vertexCount(),
            'moments' => count($piece->at),
            'at' => base64_encode($numbers),
        ];
    }

    /** @return list<int> */
    private static function lines(Mesh $mesh): array
    {
        $lines = [];
        foreach ($mesh->seenSides() as $t => $sides) {
            foreach ($sides as $i => $kind) {
                if ($kind !== null) {
                    $corners = $mesh->triangles[$t];
                    array_push($lines, $t, $corners[$i], $corners[($i + 1) % 3], $kind === 'raw' ? 0 : 1);
                }
            }
        }

        return $lines;
    }
}
