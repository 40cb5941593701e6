<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** In what lengths are read. */
enum Unit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Inch = 'in';

    private const INCH_MM = 25.4;

    /** mm from one mark of the ruler to the next: whole millimetres, or sixteenths of an inch. */
    public function mark(): float
    {
        return $this === self::Inch ? self::INCH_MM / 16 : 1.0;
    }

    /** mm3 of the unit in which a volume is said: cubic centimetres, or cubic inches. */
    public function cubic(): float
    {
        return $this === self::Inch ? self::INCH_MM ** 3 : 1000.0;
    }

    public function cubicName(): string
    {
        return $this === self::Inch ? 'in³' : 'cm³';
    }
}
