<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\CathedraException;
use Cathedra\Core\Folding\Stacks;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\Action;
use Cathedra\Core\Sequence\Alignment\Bring;
use Cathedra\Core\Sequence\Alignment\Strip;
use Cathedra\Core\Sequence\FoldedStep;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Movement\Movement;

/** The sentence of a step, made from its structure and from where its landmarks lie. */
final readonly class StepText
{
    /**
     * @param  string  $name  the fold's name, such as "Valley fold"
     * @param  string  $sentence  what to do
     */
    private function __construct(public string $name, public string $sentence)
    {
    }

    public static function of(FoldedStep $step, Phrasebook $words): self
    {
        $spec = $step->step;
        $say = static fn (string $key, array $with = []): string => $words->say('steps', $key, $with);
        $sentence = match ($spec->kind) {
            FoldKind::TurnOver => $say($spec->upright ? 'turn-upright' : 'turn-level'),
            FoldKind::Rotate => $say('rotate', [
                'degrees' => (int) round(abs(rad2deg($spec->turn))),
                'way' => $say($spec->turn < 0 ? 'clockwise' : 'counterclockwise'),
            ]),
            FoldKind::Unfold => $say('unfold', ['step' => $spec->steps[0]]),
            FoldKind::Repeat => $say((count($spec->steps) === 1 ? 'repeat-one-' : 'repeat-').$spec->on, [
                'steps' => implode(', ', $spec->steps),
            ]),
            FoldKind::Inflate, FoldKind::OpenOut, FoldKind::Curl, FoldKind::Pinch, FoldKind::Stand => $say(
                $spec->kind->value,
            ),
            FoldKind::Attach => $say('attach-'.($spec->attach->how ?? 'glue'), [
                'part' => $spec->attach->part ?? '',
                'at' => self::attachPlace($step, $words),
            ]),
            default => $spec->movement === null
                ? self::crease($step, $words)
                : self::compound($step, $spec->movement, $words),
        };

        return new self($words->say('names', self::nameKey($step)), $sentence);
    }

    private static function crease(FoldedStep $step, Phrasebook $words): string
    {
        $action = $step->actions[0];
        $spec = $step->step;
        $parts = [self::movement($step, $action, $words), self::layers($action, $words)];
        if ($spec->landing->inside) {
            $parts[] = $words->say('steps', 'inside');
        }
        if ($spec->kind === FoldKind::Crease) {
            $parts[] = $words->say('steps', 'crease-after');
        }
        if ($spec->also !== null) {
            $parts[] = $words->say('steps', $spec->also);
        }

        return implode(' ', array_filter($parts, static fn (string $p): bool => $p !== ''));
    }

    private static function attachPlace(FoldedStep $step, Phrasebook $words): string
    {
        $at = $step->attached?->box()->centre() ?? $step->after->box()->centre();

        return (new Places($step->after, $words))->point($at);
    }

    /** Several creases at once: what is taken hold of, where it goes, and what the paper does meanwhile. */
    private static function compound(FoldedStep $step, Movement $movement, Phrasebook $words): string
    {
        $action = $step->actions[0];
        $places = new Places($action->state, $words);
        $grip = $action->grip ?? throw new \LogicException('A movement has a grip.');
        $change = $action->change ?? throw new \LogicException('A movement changes something.');
        $saying = $movement->says($change);
        $with = $saying->with + [
            'what' => $saying->takesAnEdge ? self::lineAt($places, $grip, $action) : $places->point($grip),
            'to' => $action->landing === null ? '' : $places->point($action->landing),
            'line' => $action->line === null ? '' : $places->line($action->line),
        ];
        $keys = [$step->step->kind->value, ...$saying->more, ...array_filter([$step->step->also])];

        return implode(' ', array_map(static fn (string $key): string => $words->say('steps', $key, $with), $keys));
    }

    private static function movement(FoldedStep $step, Action $action, Phrasebook $words): string
    {
        $crease = $action->crease ?? throw new \LogicException('A creasing step has a crease.');
        $places = new Places($action->state, $words);
        $away = $action->valley ? '' : '-away';
        $alignment = $step->step->alignment;
        if ($alignment instanceof Bring) {
            $setting = new Setting($action->state, [], [], false);
            $what =
                $alignment->what instanceof LineRef
                    ? self::taken($alignment->what, $setting, $places, $crease->grip, $action)
                    : $places->point($crease->grip);
            $to =
                $alignment->to instanceof LineRef
                    ? $places->line(self::target($alignment->to, $setting, $action))
                    : $places->point($crease->landing);

            return $words->say('steps', 'bring'.$away, ['what' => $what, 'to' => $to]);
        }
        if ($alignment instanceof Strip) {
            $width = $alignment->width($action->state->sheet);

            return $words->say('steps', ($alignment->byFinger ? 'strip-finger' : 'strip').$away, [
                'width' => round($width).' mm',
                'line' => self::lineAt($places, $crease->grip, $action),
            ]);
        }

        return $words->say(
            'steps',
            match ($step->step->kind) {
                FoldKind::Tuck => 'tuck'.$away,
                FoldKind::PageTurn => 'page-turn',
                default => 'along'.$away,
            },
            ['line' => $places->line($crease->line)],
        );
    }

    /** The line an edge is brought to: the image of the edge taken hold of. */
    private static function target(LineRef $to, Setting $setting, Action $action): Line
    {
        try {
            return $to->trace($setting)->straight();
        } catch (CathedraException) {
            // a named crease or mark: known to the folder, not here
            return $action->crease->line ?? throw new \LogicException('A creasing step has a crease.');
        }
    }

    /** The edge or crease that is taken hold of; where its name is known to the folder only, the one at the grip. */
    private static function taken(LineRef $what, Setting $setting, Places $places, Point $grip, Action $action): string
    {
        try {
            $line = $what->trace($setting)->straight();
            if (abs($line->distanceTo($grip)) < $action->state->tolerance->aside) {
                return $places->line($line);
            }
        } catch (CathedraException) {
            // a named crease or mark
        }

        return self::lineAt($places, $grip, $action);
    }

    private static function lineAt(Places $places, Point $grip, Action $action): string
    {
        foreach ($action->state->pattern->edges as $edge) {
            $segment = $action->state->segment($edge);
            if ($segment->passes($grip, $action->state->tolerance->aside)) {
                return $places->line($segment->straight());
            }
        }

        return $places->point($grip);
    }

    /** Layers are named only where there is a choice: how many of those at the grip move. */
    private static function layers(Action $action, Phrasebook $words): string
    {
        $grip = $action->crease->grip ?? throw new \LogicException('A creasing step has a crease.');
        $inward = $grip->toward($action->state->box()->centre(), 0.02);
        $stack = Stacks::facesAt($action->state, $inward);
        $moving = array_values(array_intersect($stack, $action->faces));
        $count = count($moving);

        return match (true) {
            count($stack) <= 1, $count === 0 => '',
            $count === count($stack) => $words->say('layers', 'all', ['count' => $count]),
            $moving[0] !== $stack[0] => $words->say('layers', 'bottom'),
            $count === 1 => $words->say('layers', 'one'),
            default => $words->say('layers', 'some', ['count' => $count]),
        };
    }

    private static function nameKey(FoldedStep $step): string
    {
        $bring = $step->step->alignment;
        if ($step->step->kind !== FoldKind::Valley || ! ($bring instanceof Bring) || $step->before->faceCount() !== 1) {
            return $step->step->kind->value;
        }
        if ($bring->what instanceof LineRef) {
            return 'book';
        }
        $crease = $step->actions[0]->crease ?? throw new \LogicException('A creasing step has a crease.');

        return abs($crease->grip->distanceTo($crease->landing) - $step->before->sheet->diagonal()) <
            $step->before->tolerance->sight
            ? 'diagonal'
            : 'valley';
    }
}
