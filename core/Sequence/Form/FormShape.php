<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Form;

/** A finished form that is not flat and known by formula (core/Space/Form): where all its paper is. */
enum FormShape: string
{
    /** From a square with its corners at the middle, two of them opened out again. */
    case CornerBox = 'corner-box';

    /** From a sheet with doors, corners folded in and rims turned back. */
    case StripBox = 'strip-box';

    /** Four beaks in a ring: blintzed twice, folded in half. */
    case Beaks = 'beaks';

    /** Even pleats, held at the lower end of the sheet. */
    case Fan = 'fan';

    /** Three quarters of a square at right angles to one another. */
    case CornerPyramid = 'corner-pyramid';

    /** Four flaps of the triangle base turned in. */
    case LeafPyramid = 'leaf-pyramid';

    /** The ball blown up from the triangle base, its walls flat. */
    case BlownCube = 'blown-cube';

    /** The boat, its loose tips drawn apart. */
    case DrawnBoat = 'drawn-boat';

    /** Flaps rolled round a pencil. */
    case Curl = 'curl';
}
