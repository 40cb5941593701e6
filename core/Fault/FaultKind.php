<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

/** What can go wrong at a step, by the names of library/faults.yaml. */
enum FaultKind: string
{
    case FrontOnly = 'front-only';
    case NotTurned = 'not-turned';
    case OneSide = 'one-side';
    case LayerMore = 'layer-more';
    case Plainly = 'plainly';
    case OtherBase = 'other-base';
    case LayerLess = 'layer-less';
    case WrongSide = 'wrong-side';
    case HalfTurned = 'half-turned';
    case PetalLine = 'petal-line';
    case GuideLeft = 'guide-left';
    case QuarterTurned = 'quarter-turned';
    case LeftForRight = 'left-for-right';
    case NearForFar = 'near-for-far';
    case Short = 'short';
    case TooFar = 'too-far';
    case Unlike = 'unlike';
}
