<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Diagram\FoldMarks;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Latest;
use Cathedra\Core\Sequence\Alignment\Bring;
use Cathedra\Core\Sequence\Alignment\Strip;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Hands\Handling;
use Cathedra\Core\Sequence\Hands\Way;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Movement\Movement;
use Cathedra\Core\Sequence\Run\Action;
use Cathedra\Core\Sequence\Run\FoldedStep;

/**
 * What to do in a step: one motion or up to three, each a sentence or two, made from the step's structure and from what
 * the geometry says of the hands (Handling).
 */
final readonly class StepText
{
    /** Steps whose words are kept: those that the ways of a model share. */
    private const KEPT = 128;

    /** Between the motions of a phrase in library/wording. */
    private const MOTION = ' // ';

    /** The letters of the place taken hold of and of where it goes, as in the picture. */
    private const FROM = FoldMarks::LETTERS[0];

    private const TO = FoldMarks::LETTERS[1];

    /** mm; lines nearer to one another than this are one line. */
    private const ASIDE = 0.5;

    /** More layers than these nobody counts with a finger. */
    private const COUNTED = 4;

    public string $sentence;

    /**
     * @param  string  $name  the fold's name, such as "Valley fold"
     * @param  non-empty-list<string>  $motions
     * @param  bool  $saysWay  whether the way the paper goes is said, not only the place
     */
    private function __construct(public string $name, public array $motions, public bool $saysWay)
    {
        $this->sentence = implode(' ', $motions);
    }

    public static function of(FoldedStep $step, Phrasebook $words): self
    {
        /** @var Latest<self>|null $known */
        static $known = null;
        $known ??= new Latest(self::KEPT);

        return $known->of([$step, $words], static fn (): self => self::made($step, $words));
    }

    private static function made(FoldedStep $step, Phrasebook $words): self
    {
        $spec = $step->step;
        $say = static fn (string $key, array $with = []): string => $words->say('steps', $key, $with);
        $saysWay = false;
        $text = match ($spec->kind) {
            FoldKind::TurnOver => $say($spec->upright ? 'turn-upright' : 'turn-level'),
            FoldKind::Rotate => $say('rotate', [
                'degrees' => (int) round(abs(rad2deg($spec->turn))),
                'way' => $say($spec->turn < 0 ? 'clockwise' : 'counterclockwise'),
            ]),
            FoldKind::Unfold => $say('unfold', ['step' => $spec->steps[0]]),
            FoldKind::Repeat => $say('repeat', [
                'count' => count($spec->steps),
                'steps' => implode(', ', $spec->steps),
                'on' => (string) $spec->on,
            ]),
            FoldKind::Inflate, FoldKind::OpenOut, FoldKind::Curl, FoldKind::Pinch, FoldKind::Stand => $say(
                $spec->kind->value,
            ),
            FoldKind::Attach => $say('attach-'.($spec->attach->how ?? 'glue'), [
                'part' => $spec->attach->part ?? '',
                'at' => self::attachPlace($step, $words),
            ]),
            default => $spec->movement === null
                ? self::crease($step, $words, $saysWay)
                : self::compound($step, $spec->movement, $words),
        };
        $text = self::lettered($text, $step, $words);
        $motions = array_values(array_filter(explode(self::MOTION, $text), static fn (string $m): bool => $m !== ''));

        return new self($words->foldName(self::nameKey($step)), $motions === [] ? [$text] : $motions, $saysWay);
    }

    private static function crease(FoldedStep $step, Phrasebook $words, bool &$saysWay): string
    {
        $action = $step->actions[0];
        $spec = $step->step;
        $hands = self::hands($action);
        $parts = [self::movement(
            step: $step,
            action: $action,
            hands: $hands,
            words: $words,
            saysWay: $saysWay,
        ), self::layers($hands, $words)];
        if ($spec->landing->inside) {
            $parts[] = $words->say('steps', 'inside');
        }
        if ($spec->kind->isUnfoldedAgain()) {
            $parts[] = $words->say('steps', $spec->kind->value.'-after', ['at' => self::pinched($step, $words)]);
        }
        $parts[] = self::also($step, $words);

        return self::joined($parts);
    }

    /** The place that is pinched, as it is seen before. */
    private static function pinched(FoldedStep $step, Phrasebook $words): string
    {
        $pinch = $step->actions[0]->pinch;
        $name = $pinch === null ? null : (new Places($step->before, $words, $step->called))->named($pinch->middle());

        return $name ?? $words->say('lines', 'line');
    }

    private static function attachPlace(FoldedStep $step, Phrasebook $words): string
    {
        $at = $step->attached->at ?? $step->after->box()->centre();

        return (new Places($step->after, $words, $step->called))->point($at);
    }

    /** Several creases at once: what is taken hold of, where it goes, and what the paper does meanwhile. */
    private static function compound(FoldedStep $step, Movement $movement, Phrasebook $words): string
    {
        $action = $step->actions[0];
        $places = new Places($action->state, $words, $step->called);
        $change = $action->change ?? throw new \LogicException('A movement changes something.');
        $saying = $movement->says($change);
        $hands = Handling::of($action);
        $line = $hands->line ?? ($action->cuts[0] ?? null);
        $edge = $action->taken === null ? null : $places->line($action->taken);
        $with = $saying->with + [
            'what' => $hands === null ? '' : self::taken($hands, $places, $words),
            'at' => $hands === null ? '' : self::withLetter(
                $places->grip($hands) ?? $words->say('points', 'place'),
                self::FROM,
                $words,
            ),
            'edge' => $edge === null ? '' : ", $edge,",
            'to' => $hands === null ? '' : self::withLetter($places->point($hands->to), self::TO, $words),
            'line' => self::lineOr($line, $places, $words, $action->cuts === [] ? 'line' : 'drawn'),
            'second' => self::lineOr(self::second($change, $line), $places, $words, 'second'),
        ];
        $keys = [$step->step->kind->value, ...$saying->more];
        $parts = array_map(
            static fn (string $key): string => $words->say('steps', $key, $with),
            array_filter($keys, static fn (string $key): bool => $key !== 'cut-all' || self::isThick($action)),
        );

        return self::joined([...$parts, self::also($step, $words)]);
    }

    /** Of a movement along two lines the second one, as far as it can be seen before. */
    private static function second(Change $change, ?Segment $first): ?Segment
    {
        foreach ($change->folds as ['at' => $at, 'seen' => $isSeen]) {
            if ($isSeen && $first !== null && abs($first->straight()->distanceTo($at->middle())) > self::ASIDE) {
                return $at;
            }
        }

        return null;
    }

    /** Whether more than one layer lies where is cut. */
    private static function isThick(Action $action): bool
    {
        return array_filter(
            $action->cuts,
            static fn (Segment $cut): bool => count(Stacks::facesAt(
                $action->state,
                $cut->middle()->plus($cut->direction()->turnedLeft()->times($action->state->tolerance->sight)),
            )) > 1,
        ) !== [];
    }

    private static function movement(
        FoldedStep $step,
        Action $action,
        Handling $hands,
        Phrasebook $words,
        bool &$saysWay,
    ): string {
        $places = new Places($action->state, $words, $step->called);
        $away = $action->valley ? '' : '-away';
        $alignment = $step->step->alignment;
        $to = $alignment instanceof Bring && $alignment->to instanceof LineRef && $hands->target !== null
            ? $places->line($hands->target)
            : $places->named($hands->to);
        $with = [
            'what' => self::taken($hands, $places, $words),
            'to' => self::withLetter($to ?? $words->say('points', 'place'), self::TO, $words),
            'line' => self::lineOr($hands->line, $places, $words, 'line'),
            'way' => $words->say('ways', $hands->way->value),
        ];
        if ($alignment instanceof Strip) {
            return $words->say('steps', ($alignment->byFinger ? 'strip-finger' : 'strip').$away, [
                'width' => round($alignment->width($action->state->sheet)).' mm',
                'line' => $with['what'],
            ]);
        }
        $saysWay = $to === null && $hands->way !== Way::Place && $action->valley;
        $isBrought = $alignment instanceof Bring;
        $key = match ($step->step->kind) {
            FoldKind::Tuck => 'tuck'.$away,
            FoldKind::PageTurn => 'page-turn',
            default => $isBrought ? 'bring'.$away : 'along'.$away,
        };
        $isPlain = in_array($step->step->kind, [FoldKind::Tuck, FoldKind::PageTurn], true);
        $saysWay = $saysWay && ! $isPlain;
        $key .= $isPlain || $away !== '' ? '' : ($saysWay ? '-way' : ($isBrought || $to !== null ? '' : '-dot'));

        return $words->say('steps', $key, $with);
    }

    /** What the hand takes: the edge by its name, else the place; with its letter, where letters are wanted. */
    private static function taken(Handling $hands, Places $places, Phrasebook $words): string
    {
        return self::withLetter($hands->edge !== null
            ? $places->line($hands->edge) ?? $words->say('points', 'edge-at-dot')
            : $places->grip($hands) ?? $words->say('points', 'flap-at-dot'), self::FROM, $words);
    }

    private static function withLetter(string $place, string $letter, Phrasebook $words): string
    {
        return $words->manner->letters
            ? $words->say('points', 'lettered', ['place' => $place, 'letter' => $letter])
            : $place;
    }

    /** A sentence that does not name where the place goes says it by the letters of the picture. */
    private static function lettered(string $text, FoldedStep $step, Phrasebook $words): string
    {
        $first = $step->actions[0] ?? null;
        $drawn = $words->manner->letters &&
            ($step->attached !== null || ($first !== null && ! $first->behind && FoldMarks::arrow($first) !== null));

        return ! $drawn || str_contains($text, '('.self::TO.')')
            ? $text
            : $text.' '.$words->say('steps', 'letters', ['from' => self::FROM, 'to' => self::TO]);
    }

    /** @param  string  $else  key of what the picture shows there */
    private static function lineOr(?Segment $line, Places $places, Phrasebook $words, string $else): string
    {
        return ($line === null ? null : $places->line($line)) ?? $words->say('lines', $else);
    }

    /** The same once more: with what, where that can be said. */
    private static function also(FoldedStep $step, Phrasebook $words): string
    {
        $also = $step->step->also;
        $other = $step->actions[1] ?? null;
        if ($also === null) {
            return '';
        }
        $hands = $also === 'behind' || $other === null ? null : Handling::of($other);
        // both sides go by the outline before the step, as its landmarks do
        $places = new Places($step->actions[0]->state, $words, $step->called);
        $what = $hands === null
            ? null
            : ($hands->edge === null ? $places->grip($hands) : $places->line($hands->edge));
        $first = Handling::of($step->actions[0]);
        $before = $first === null
            ? null
            : ($first->edge === null ? $places->grip($first) : $places->line($first->edge));

        return $what === null || $what === $before
            ? $words->say('steps', $also)
            : $words->say('steps', 'same-with', ['what' => $what]);
    }

    /** Layers are named only where there is a choice: how many of those at the grip move. */
    private static function layers(Handling $hands, Phrasebook $words): string
    {
        return match (true) {
            $hands->of <= 1, $hands->layers === 0, $hands->flaps <= 1 => '',
            $hands->layers === $hands->of => $words->say('layers', match (true) {
                $hands->of === 2 => 'both',
                $hands->of <= self::COUNTED => 'all',
                default => 'all-of-them',
            }, ['count' => lcfirst($words->number($hands->layers))]),
            ! $hands->fromTop => $words->say('layers', 'bottom'),
            $hands->layers === 1 => $words->say('layers', 'one'),
            default => $words->say('layers', 'some', ['count' => lcfirst($words->number($hands->layers))]),
        };
    }

    private static function hands(Action $action): Handling
    {
        return Handling::of($action) ?? throw new \LogicException('A crease moves paper.');
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
        $travel = $crease->grip->distanceTo($crease->landing);

        return abs($travel - $step->before->sheet->diagonal()) < $step->before->tolerance->sight
            ? 'diagonal'
            : 'valley';
    }

    /** @param  list<string>  $parts */
    private static function joined(array $parts): string
    {
        return implode(' ', array_filter($parts, static fn (string $part): bool => $part !== ''));
    }
}
