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

    public function testCoreHasNoClockAndNoChance(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Cathedra\Core'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('Random'),
                Selector::classname('DateTime'),
                Selector::classname('DateTimeImmutable'),
            )
            ->because('the same input gives the same answer at any time and load; work is counted by Budget');
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

    public function testALessonKnowsOnlyItsRules(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Cathedra\Core\Lesson'))
            ->shouldNotDependOn()
            ->classes(
                Selector::AllOf(
                    Selector::inNamespace('Cathedra\Core'),
                    Selector::Not(Selector::inNamespace('Cathedra\Core\Lesson')),
                    Selector::Not(Selector::inNamespace('Cathedra\Core\Rules')),
                    Selector::Not(Selector::classname('Cathedra\Core\CathedraException')),
                ),
            )
            ->because('simulated rooms, screens and records read the same log, whatever is folded');
    }

    public function testCuttingKnowsPaperButNoLesson(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Cathedra\Core\Cutting'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('Cathedra\Core\Lesson'),
                Selector::inNamespace('Cathedra\Core\Sequence'),
                Selector::inNamespace('Cathedra\Core\Pacing'),
            )
            ->because('squares are cut the same whatever they are for');
    }

    public function testControllersComputeNothing(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::classname('/^App\\\\.*Controller$/', true))
            ->shouldNotDependOn()
            ->classes(
                Selector::AllOf(
                    Selector::inNamespace('Cathedra\Core'),
                    Selector::Not(Selector::isEnum()),
                ),
            )
            ->because('a controller authorises, validates, calls one action and answers');
    }

    public function testOnlyTheLogWritesEvents(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::AllOf(Selector::inNamespace('App'), Selector::Not(Selector::inNamespace('App\Teaching'))),
            )
            ->shouldNotDependOn()
            ->classes(Selector::classname('App\Teaching\EventRows'), Selector::classname('App\Teaching\KeepRecords'))
            ->because('numbers, ends and records are written under one lock by LessonLog');
    }
}
