<?php

declare(strict_types=1);

namespace App\Shelf;

use Cathedra\Core\Diagram\Halfway;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Sequence\Form\Form;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Sequence\Run\Stage;
use Cathedra\Core\Space\Mesh\Mesh;
use Cathedra\Core\Space\Mesh\Piece;
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

            return $folded === null ? null : $this->moved($model, $folded)['data']->ofStep($step);
        });
    }

    /**
     * Works out every step of a model and keeps it, with the moments half-way that pictures show.
     *
     * @param  array<string, string>  $ways
     */
    public function all(string $model, array $ways): void
    {
        $this->shelf->keepHalves($model, $ways, function () use ($model, $ways): array {
            $halves = [];
            foreach ($this->shelf->folded($model, $ways)->steps as $step) {
                $number = $step->step->number;
                ['data' => $data, 'half' => $half] = $this->moved($model, $step);
                $own = static fn (): MotionData => $data->ofStep($number);
                $this->shelf->keepOf($model, $ways, "motion-$number", $own);
                if ($half !== null) {
                    $halves[$number] = $half;
                }
            }

            return $halves;
        });
    }

    /**
     * What a step does is the same by many ways of teaching a model: it is worked out once.
     *
     * @return array{data: MotionData, half: array<string, mixed>|null}
     */
    private function moved(string $model, FoldedStep $step): array
    {
        $state = static fn (FoldedState $s): array => [
            $s->pattern->vertices, $s->pattern->faces, $s->pattern->edges, $s->placements, $s->order,
        ];
        $hash = hash('xxh128', serialize([
            $step->step->kind, $step->step->form, $state($step->before), $state($step->after),
            array_map(static fn (Stage $s): array => [$state($s->to), $s->isBack, $s->turnedAbout], $step->stages),
        ]));

        return $this->shelf->keepOf($model, [], "moves-$hash", static function () use ($step): array {
            $motion = StepMotion::of($step);
            $half = $step->step->kind->isCompound() ? Halfway::among($motion->pieces) : null;

            return ['data' => self::data($step, $motion), 'half' => $half?->drawing()->toArray()];
        });
    }

    /**
     * The moment half-way of one step, worked out now where it is not known yet.
     *
     * @param  array<string, string>  $ways
     * @return array<string, mixed>|null null where nothing is to be seen half-way
     */
    public function half(string $model, array $ways, int $step): ?array
    {
        $folded = $this->shelf->folded($model, $ways)->steps[$step - 1] ?? null;

        return $folded === null || ! $folded->step->kind->isCompound() ? null : $this->moved($model, $folded)['half'];
    }

    private static function data(FoldedStep $step, StepMotion $motion): MotionData
    {
        return new MotionData(
            $step->step->number,
            min($step->before->sheet->width, $step->before->sheet->height),
            array_map(self::packed(...), $motion->pieces),
            self::view($step->step->form),
        );
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
