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
    case LayerLess = 'layer-less';
    case WrongSide = 'wrong-side';
    case GuideLeft = 'guide-left';
    case Short = 'short';
}
