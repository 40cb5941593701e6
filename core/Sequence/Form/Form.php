<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Sequence\Format\Formula;

/** What a step makes that is not flat, with its sizes by formula. */
final readonly class Form
{
    public const SIZES = ['width', 'depth', 'height', 'slope', 'volume'];

    /** Where flaps may end that are curled. */
    public const SIDES = ['top', 'bottom', 'left', 'right'];

    /** A volume that is typed may differ from that of the solid by this share. */
    private const AGREE = 1e-3;

    /**
     * @param  array<string, Formula>  $sizes  by names of SIZES; mm, volume in mm3
     * @param  Solid|null  $solid  the body it is; its volume follows from the other sizes
     * @param  list<int>  $opens  the steps whose creases open
     * @param  int  $to  degrees: the angle they open to, 180 is folded flat; or the angle to which a fan is spread
     * @param  int  $turn  degrees by which the eye stands aside in its picture, to the right
     * @param  int  $tilt  degrees by which it stands below; negative: above
     * @param  int  $roll  degrees by which the model is turned on the table before that, counterclockwise
     * @param  FormShape|null  $shape  the form by formula that it is
     * @param  string|null  $curls  one of SIDES: where the flaps end that are curled
     */
    public function __construct(
        public array $sizes,
        public ?Solid $solid = null,
        public array $opens = [],
        public int $to = 90,
        public int $turn = -35,
        public int $tilt = 25,
        public int $roll = 0,
        public ?FormShape $shape = null,
        public ?string $curls = null,
    ) {
    }

    /** Whether it is known where the paper is. */
    public function isKnown(): bool
    {
        return $this->shape !== null || $this->opens !== [];
    }

    /**
     * @return array<string, float> mm, volume in mm3
     *
     * @throws \InvalidArgumentException when a formula gives no size for this sheet
     */
    public function measured(float $width, float $height): array
    {
        $sizes = array_map(static fn (Formula $f): float => $f->value($width, $height), $this->sizes);

        return $this->solid === null || $sizes === [] ? $sizes : ['volume' => $this->solid->volume($sizes)] + $sizes;
    }

    /**
     * Whether the sizes are those of the solid, and of the folds that make it; null when they are.
     *
     * @param  FoldedState  $flat  the state before it is taken out of the plane
     *
     * @throws \InvalidArgumentException when a formula gives no size for this sheet
     */
    public function objection(FoldedState $flat): ?string
    {
        $sizes = $this->measured($flat->sheet->width, $flat->sheet->height);
        if ($this->solid === null || $sizes === []) {
            return null;
        }
        $typed = ($this->sizes['volume'] ?? null)?->value($flat->sheet->width, $flat->sheet->height);
        $holds = $sizes['volume'];

        return match (true) {
            $typed !== null && abs($typed - $holds) > self::AGREE * $holds => sprintf(
                'a %s of these sizes holds %.0f mm3, not %.0f; leave the volume out',
                strtr($this->solid->value, '-', ' '),
                $holds,
                $typed,
            ),
            $this->solid === Solid::Box => BoxFloor::objection(
                $flat,
                $sizes['width'],
                $sizes['depth'],
                $sizes['height'],
            ),
            default => $this->solid->objection($sizes),
        };
    }
}
