<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Format;

use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Sequence\Landmark\BadLandmark;
use Cathedra\Core\Sequence\Landmark\CreaseOf;
use Cathedra\Core\Sequence\Landmark\Crossing;
use Cathedra\Core\Sequence\Landmark\Joining;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\MarkedPoint;
use Cathedra\Core\Sequence\Landmark\MiddleOf;
use Cathedra\Core\Sequence\Landmark\OutlineCorner;
use Cathedra\Core\Sequence\Landmark\OutlineEdge;
use Cathedra\Core\Sequence\Landmark\Partway;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\SheetPoint;

/**
 * Reads landmarks as a sequence writes them. Points: "A" to "D", "centre", "corner top-left", "paper 1/2 1/4",
 * "middle of LINE", "1/3 from POINT to POINT", "where LINE meets LINE", "mark NAME". Lines: "edge top", "crease NAME",
 * "line POINT to POINT". Brackets group. The grammar is described for readers in docs/fold-sequence.md.
 */
final class Parser
{
    private const CORNERS = ['A' => [0, 0], 'B' => [1, 0], 'C' => [1, 1], 'D' => [0, 1]];

    /** @var list<string> */
    private array $words;

    private int $at = 0;

    private function __construct(private readonly string $text)
    {
        preg_match_all('/[()]|[^\s()]+/u', $text, $found);
        $this->words = $found[0];
    }

    /** @throws BadLandmark */
    public static function point(string $text): PointRef
    {
        $parser = new self($text);

        return $parser->whole($parser->readPoint());
    }

    /** @throws BadLandmark */
    public static function line(string $text): LineRef
    {
        $parser = new self($text);

        return $parser->whole($parser->readLine());
    }

    /** @throws BadLandmark */
    public static function pointOrLine(string $text): PointRef|LineRef
    {
        return in_array(ltrim(explode(' ', trim($text))[0], '('), ['edge', 'crease', 'line'], true)
            ? self::line($text)
            : self::point($text);
    }

    /**
     * "1/2", "0.25", "1".
     *
     * @throws BadLandmark
     */
    public static function share(string $text): float
    {
        if (preg_match('#^(\d{1,6})(?:/(\d{1,6})|\.(\d{1,12}))?$#', $text, $m) !== 1 || ($m[2] ?? '') === '0') {
            throw new BadLandmark("\"$text\" is not a share such as 1/3 or 0.25.");
        }
        $share = ($m[2] ?? '') !== '' ? (float) $m[1] / (float) $m[2] : (float) $text;
        if ($share > 1) {
            throw new BadLandmark("The share $text is more than the whole.");
        }

        return $share;
    }

    /**
     * @template T
     *
     * @param  T  $read
     * @return T
     */
    private function whole(mixed $read): mixed
    {
        if ($this->at < count($this->words)) {
            throw $this->bad("ends before \"{$this->words[$this->at]}\"");
        }

        return $read;
    }

    private function readPoint(): PointRef
    {
        $word = $this->next('a point');
        if (isset(self::CORNERS[$word])) {
            return new SheetPoint(...self::CORNERS[$word]);
        }

        return match (true) {
            $word === '(' => $this->closed($this->readPoint()),
            $word === 'centre' => new SheetPoint(0.5, 0.5),
            $word === 'corner' => new OutlineCorner($this->direction()),
            $word === 'paper' => new SheetPoint(
                self::share($this->next('a share')),
                self::share($this->next('a second share')),
            ),
            $word === 'mark' => new MarkedPoint($this->name()),
            $word === 'middle' => $this->after('of', fn (): MiddleOf => new MiddleOf($this->readLine())),
            $word === 'where' => $this->crossing(),
            preg_match('#^\d#', $word) === 1 => $this->between(self::share($word)),
            default => throw $this->bad(
                "\"$word\" is not a point; points are A to D, centre, corner DIRECTION, paper SHARE SHARE, middle of "
                    .'LINE, SHARE from POINT to POINT, where LINE meets LINE, mark NAME',
            ),
        };
    }

    private function readLine(): LineRef
    {
        $word = $this->next('a line');

        return match ($word) {
            '(' => $this->closed($this->readLine()),
            'edge' => new OutlineEdge($this->direction()),
            'crease' => new CreaseOf($this->name()),
            'line' => $this->joining(),
            default => throw $this->bad(
                "\"$word\" is not a line; lines are edge DIRECTION, crease NAME, line POINT to POINT",
            ),
        };
    }

    private function between(float $share): Partway
    {
        $this->expect('from');
        $from = $this->readPoint();
        $this->expect('to');

        return new Partway($share, $from, $this->readPoint());
    }

    private function crossing(): Crossing
    {
        $first = $this->readLine();
        $this->expect('meets');

        return new Crossing($first, $this->readLine());
    }

    private function joining(): Joining
    {
        $from = $this->readPoint();
        $this->expect('to');

        return new Joining($from, $this->readPoint());
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    private function after(string $word, callable $read): mixed
    {
        $this->expect($word);

        return $read();
    }

    /**
     * @template T
     *
     * @param  T  $read
     * @return T
     */
    private function closed(mixed $read): mixed
    {
        $this->expect(')');

        return $read;
    }

    private function direction(): Direction
    {
        $word = $this->next('a direction');

        return Direction::tryFrom($word) ??
            throw $this->bad(
                "\"$word\" is not a direction; directions are ".
                    implode(', ', array_column(Direction::cases(), 'value')),
            );
    }

    private function name(): string
    {
        $name = $this->next('a name');

        return preg_match('/^[a-z0-9][a-z0-9-]{0,39}$/', $name) === 1
            ? $name
            : throw $this->bad("\"$name\" is not a name; names are small letters, digits and hyphens");
    }

    private function expect(string $word): void
    {
        $got = $this->next("\"$word\"");
        if ($got !== $word) {
            throw $this->bad("\"$word\" is missing before \"$got\"");
        }
    }

    private function next(string $wanted): string
    {
        return $this->words[$this->at++] ?? throw $this->bad("$wanted is missing at the end");
    }

    private function bad(string $reason): BadLandmark
    {
        return new BadLandmark(sprintf('In the landmark "%s": %s.', mb_strimwidth($this->text, 0, 80, '...'), $reason));
    }
}
