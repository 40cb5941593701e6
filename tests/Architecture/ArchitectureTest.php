<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The arrow points one way: resources/ts -> HTTP API -> app -> core. Run by PHPStan. */
final class ArchitectureTest
{
    public function testCoreKnowsNoFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Cathedra\Core'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('App'),
                Selector::inNamespace('Laravel'),
                Selector::inNamespace('Carbon'),
                Selector::inNamespace('Database'),
            )
            ->because('rules and computation are tested and used without the framework');
    }

    public function testGeometryKnowsOnlyItself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Cathedra\Core\Geometry'))
            ->shouldNotDependOn()
            ->classes(
                Selector::AllOf(
                    Selector::inNamespace('Cathedra\Core'),
                    Selector::Not(Selector::inNamespace('Cathedra\Core\Geometry')),
                ),
            )
            ->because('it is the lowest floor of the house');
    }

    public function testFoldingKnowsNoSequences(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Cathedra\Core\Folding'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('Cathedra\Core\Sequence'),
                Selector::inNamespace('Cathedra\Core\Diagram'),
                Selector::inNamespace('Cathedra\Core\Wording'),
            )
            ->because('paper does not know how its folds were written down');
    }
}
