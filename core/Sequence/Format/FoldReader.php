<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Format;

use Cathedra\Core\Sequence\Alignment\Alignment;
use Cathedra\Core\Sequence\Alignment\Along;
use Cathedra\Core\Sequence\Alignment\Bring;
use Cathedra\Core\Sequence\Alignment\SquareTo;
use Cathedra\Core\Sequence\Alignment\Strip;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Landmark\BadLandmark;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\SheetPoint;
use Cathedra\Core\Sequence\Layers;

/** Reads what folds have in common: where the crease is, which layers move, points and lines. */
final readonly class FoldReader
{
    public function __construct(private Reader $in, private int $number)
    {
    }

    /** @throws BadSequence */
    public function alignment(): Alignment
    {
        $given = array_values(array_filter(['bring', 'along', 'square_to', 'strip'], $this->in->has(...)));
        if (count($given) !== 1) {
            throw $this->in->bad(
                null,
                'A fold needs exactly one of: bring (with to), along (with move), square_to (with through and move), '
                    .'strip (with wide).',
            );
        }

        return match ($given[0]) {
            'bring' => new Bring(
                $this->landmark('bring', Parser::pointOrLine(...)),
                $this->landmark('to', Parser::pointOrLine(...)),
                $this->in->has('through') ? $this->point('through') : null,
            ),
            'along' => new Along($this->line('along'), $this->point('move')),
            'square_to' => new SquareTo($this->line('square_to'), $this->point('through'), $this->point('move')),
            default => $this->strip(),
        };
    }

    private function strip(): Strip
    {
        $wide = $this->in->text('wide');
        if (preg_match('/^(\d{1,3}(?:\.\d{1,2})?) mm$/', $wide, $m) === 1 && (float) $m[1] > 0) {
            return new Strip($this->line('strip'), (float) $m[1], true);
        }

        try {
            return new Strip($this->line('strip'), Parser::share($wide));
        } catch (BadLandmark) {
            throw $this->in->bad(
                'wide',
                "\"wide\" must be a share such as 1/8 or a measure such as 15 mm; \"$wide\" is neither.",
            );
        }
    }

    /** @throws BadSequence */
    public function layers(): Layers
    {
        if (! $this->in->has('layers')) {
            return Layers::unsaid();
        }
        $text = $this->in->text('layers', null, 60);
        if (preg_match('/^(top|bottom)(?: ([1-9]\d?))?$/', $text, $m) === 1) {
            return $m[1] === 'top' ? Layers::top((int) ($m[2] ?? 1)) : Layers::bottom((int) ($m[2] ?? 1));
        }
        if (preg_match('/^top(?: ([1-9]\d?))? and what lies on it$/', $text, $m) === 1) {
            return Layers::top((int) ($m[1] ?? 1), true);
        }
        if (str_starts_with($text, 'flap ')) {
            $point = $this->parsed('layers', substr($text, 5), Parser::point(...));
            if ($point instanceof SheetPoint) {
                return Layers::flap($point);
            }
        }

        return $text === 'all'
            ? Layers::all()
            : throw $this->in->bad(
                'layers',
                '"layers" must be: all, top, top 2, top and what lies on it, bottom, bottom 2, or "flap" with a '
                    .'corner A to D or "paper SHARE SHARE".',
            );
    }

    /** @throws BadSequence */
    public function point(string $key): PointRef
    {
        return $this->landmark($key, Parser::point(...));
    }

    /** @throws BadSequence */
    public function line(string $key): LineRef
    {
        return $this->landmark($key, Parser::line(...));
    }

    /**
     * @return list<LineRef>
     *
     * @throws BadSequence
     */
    public function lines(string $key): array
    {
        return array_map(
            fn (string $text): LineRef => $this->parsed($key, $text, Parser::line(...)),
            $this->in->texts($key),
        );
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $parse
     * @return T
     *
     * @throws BadSequence
     */
    private function landmark(string $key, callable $parse): mixed
    {
        return $this->parsed($key, $this->in->text($key), $parse);
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $parse
     * @return T
     *
     * @throws BadSequence
     */
    public function parsed(string $key, string $text, callable $parse): mixed
    {
        try {
            return $parse($text);
        } catch (BadLandmark $e) {
            throw new BadSequence(
                atLine: $this->in->line($key),
                step: $this->number,
                reason: $e->getMessage(),
                place: null,
                previous: $e,
            );
        }
    }
}
