<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Folding\Reading\OutlineName;
use Cathedra\Core\Folding\Reading\Pockets;
use Cathedra\Core\Geometry\Tolerance;
use Cathedra\Core\Latest;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;

/**
 * What a learner sees from the chair when a step is done: at most three things, the most telling first, all from the
 * geometry. No corners are counted, no layers, no millimetres.
 */
final readonly class Look
{
    /** States of which it is kept what there is to see. */
    private const KEPT = 128;

    public const MOST = 3;

    /** Shares of colour nearer to all or nothing than this are not worth a word. */
    private const HARDLY = 0.01;

    /** In a model of so many parts nobody looks for one pocket. */
    private const MANY_CELLS = 30;

    /** Loose points beyond this cannot be counted at a glance. */
    private const MANY_POINTS = 4;

    /** Corners that are spoken of, in this order; slanted ones would only add words. */
    private const SAID = [Direction::Top, Direction::Bottom, Direction::Left, Direction::Right];

    /** Outlines that have a name which is not a count of corners. */
    private const NAMELESS = [
        OutlineName::FourSided,
        OutlineName::FiveSided,
        OutlineName::SixSided,
        OutlineName::ManySided,
    ];

    private function __construct(private Anatomy $anatomy, private Phrasebook $words)
    {
    }

    /**
     * @param  int  $i  index of the step in the model
     * @return list<string>
     */
    public static function of(FoldedModel $model, int $i, Phrasebook $words): array
    {
        $step = $model->steps[$i];
        $like = $step->step->like === null ? [] : [$words->say('looks', 'like', ['like' => $step->step->like])];
        $form = self::formAt($model, $i);
        if ($form !== null) {
            return $like !== [] ? $like : [$words->say('looks', "form-$form")];
        }

        if ($step->step->kind === FoldKind::Hold) {
            return [...$like, $words->say('looks', 'held')];
        }
        $seen = self::ofState($step->after, $words);
        if ($step->step->kind === FoldKind::PinchMark) {
            $seen = [$words->say('looks', 'pinch'), ...$seen];
        }
        if ($step->step->kind === FoldKind::Crease) {
            $crossing = array_intersect($seen, array_map(
                static fn (string $key): string => $words->say('looks', $key),
                ['star', 'cross', 'plus'],
            ));
            $seen = [...$crossing, ...self::newCrease($step, $words), ...array_diff($seen, $crossing)];
        }

        return array_slice([...$like, ...$seen], 0, self::MOST);
    }

    /**
     * What a step that only creases has left to see: where its crease runs, or how its creases lie to one another.
     *
     * @return list<string> one line, or none where there is no word for it
     */
    private static function newCrease(FoldedStep $step, Phrasebook $words): array
    {
        $state = $step->after;
        $lines = Creases::of(
            $state,
            $step->step->label(),
            static fn (Edge $edge): bool => ! $edge->assignment->isFolded() && ! $edge->isHidden(),
        );
        $places = new Places($state, $words, $step->called);
        if (count($lines) === 1) {
            [$from, $to] = [$places->landmark($lines[0]->a), $places->landmark($lines[0]->b)];
            $beside = $places->besideEdge($lines[0]);

            return match (true) {
                $from !== null && $to !== null => [$words->say('looks', 'new-crease', ['from' => $from, 'to' => $to])],
                $beside !== null => [$words->say('looks', 'new-crease-beside', ['edge' => $beside])],
                default => [],
            };
        }
        foreach (count($lines) === 2 ? [$lines[0]->a, $lines[0]->b] : [] as $end) {
            $at = $lines[1]->passes($end, $state->tolerance->sight) ? $places->landmark($end) : null;
            if ($at !== null) {
                return [$words->say('looks', 'new-creases', ['at' => $at])];
            }
        }
        foreach ($lines as $line) {
            if (abs($line->direction()->cross($lines[0]->direction())) > Tolerance::ANGLE) {
                return [];
            }
        }

        return $lines === [] ? [] : [$words->say('looks', 'new-creases-beside', ['count' => count($lines)])];
    }

    /** @return list<string> what there is to see of a state that lies flat */
    public static function ofState(FoldedState $state, Phrasebook $words): array
    {
        /** @var Latest<list<string>>|null $known */
        static $known = null;
        $known ??= new Latest(self::KEPT);

        return $known->of([$state, $words], static fn (): array => self::seenOf($state, $words));
    }

    /** @return list<string> */
    private static function seenOf(FoldedState $state, Phrasebook $words): array
    {
        $self = new self(Anatomy::of($state), $words);
        $shape = $self->anatomy->shape();
        $seen = [
            in_array($shape, self::NAMELESS, true) ? null : $words->say('looks', 'shape', [
                'shape' => $words->say('shapes', $shape->value),
            ]),
            ...($state->isFolded() ? $self->pockets() : []),
            ...($state->faceCount() === 1 ? [] : [...$self->points(), ...$self->creases()]),
            ...($state->isFolded() ? $self->edges() : []),
            $self->side(),
            $self->anatomy->isSymmetric() ? $words->say('looks', 'symmetric') : null,
        ];

        return array_slice(array_values(array_filter($seen, is_string(...))), 0, self::MOST);
    }

    /** The kind of the last step up to here that took the model out of the plane; null while it lies flat. */
    public static function formAt(FoldedModel $model, int $i): ?string
    {
        for ($j = $i; $j >= 0; $j--) {
            $earlier = $model->steps[$j]->step;
            if ($earlier->kind->isForm() && $earlier->part === $model->steps[$i]->step->part) {
                return $earlier->kind->value;
            }
        }

        return null;
    }

    /** @return list<string> */
    private function points(): array
    {
        $where = [];
        foreach (array_keys($this->anatomy->outline->corners) as $corner) {
            $name = $this->anatomy->compass->nameOfCorner($corner);
            ['loose' => $loose, 'layers' => $layers] = $this->anatomy->cornerAt($corner);
            if ($name !== null && $layers >= 2 && $loose <= self::MANY_POINTS && in_array($name, self::SAID, true)) {
                $where[$loose][] = $name;
            }
        }
        krsort($where);
        $said = [];
        foreach ($where as $loose => $names) {
            $said[] = $this->words->say('looks', $loose > 1 ? 'loose' : 'closed', [
                'places' => count($names),
                'count' => $this->words->number($loose),
                'ends' => $this->listed('ends', $names),
            ]);
        }

        return $said;
    }

    /**
     * Creases that lie open and cross in the middle: a star, a cross or a plus.
     *
     * @return list<string>
     */
    private function creases(): array
    {
        $state = $this->anatomy->state;
        $centre = $state->box()->centre();
        $ways = [];
        foreach ($state->pattern->creases() as $edge) {
            $segment = $state->segment($edge);
            if (! $this->isOpen($edge) || ! $segment->passes($centre, $state->tolerance->sight)) {
                continue;
            }
            $way = $segment->direction();
            foreach ($ways as $known) {
                if (abs($known->cross($way)) < Tolerance::ANGLE) {
                    continue 2;
                }
            }
            $ways[] = $way;
        }
        $slanted = count(array_filter($ways, static fn ($w): bool => min(abs($w->x), abs($w->y)) > Tolerance::ANGLE));
        $key = match ([$slanted, count($ways) - $slanted]) {
            [2, 2] => 'star',
            [2, 0] => 'cross',
            [0, 2] => 'plus',
            default => null,
        };

        return $key === null ? [] : [$this->words->say('looks', $key)];
    }

    private function isOpen(Edge $edge): bool
    {
        return ! $edge->isHidden() && ! $edge->assignment->isFolded();
    }

    /** @return list<string> */
    private function edges(): array
    {
        $of = ['open' => [], 'closed' => []];
        foreach (array_keys($this->anatomy->outline->sides()) as $side) {
            $name = $this->anatomy->compass->nameOfSide($side);
            $kind = $this->anatomy->sideKind($side);
            if ($name !== null && $kind !== 'mixed' && in_array($name, self::SAID, true)) {
                $of[$kind][] = $name;
            }
        }
        $said = [];
        foreach (array_filter($of) as $kind => $names) {
            $said[] = $this->words->say('looks', "$kind-edge", [
                'places' => count($names),
                'directions' => $this->listed('directions', $names),
            ]);
        }

        return $said;
    }

    /** @return list<string> where there is one */
    private function pockets(): array
    {
        $mouths = count($this->anatomy->stacks()->cells) > self::MANY_CELLS
            ? []
            : Pockets::of($this->anatomy->state, $this->anatomy->stacks());

        $mouth = count($mouths) === 1 ? $mouths[0] : null;

        return $mouth === null ? [] : [
            $this->words->say('looks', 'pocket', ['ends' => $this->listed('ends', [$mouth])]),
        ];
    }

    private function side(): string
    {
        $share = $this->anatomy->frontShare();

        return match (true) {
            $share > 1 - self::HARDLY => $this->words->say('looks', 'front-only'),
            $share < self::HARDLY => $this->words->say('looks', 'back-only'),
            default => $this->words->say('looks', 'both'),
        };
    }

    /**
     * @param  string  $section  of the words
     * @param  non-empty-list<Direction>  $names
     */
    private function listed(string $section, array $names): string
    {
        $place = static fn (Direction $d): int => (int) array_search($d, self::SAID, true);
        usort($names, static fn (Direction $a, Direction $b): int => $place($a) <=> $place($b));
        $texts = array_map(fn (Direction $d): string => $this->words->say($section, $d->value), $names);
        $last = array_pop($texts);

        return $texts === [] ? $last : implode(', ', $texts).' '.$this->words->say('looks', 'and').' '.$last;
    }
}
