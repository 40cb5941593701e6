<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Sequence\Format\Parser;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Landmark\BadLandmark;

/** A length that is chosen by eye: the lead sees the range, the engine folds the usual share. */
final readonly class FreeLength
{
    /** The word that stands for the usual share in the landmarks of its step. */
    public const WORD = 'free';

    /**
     * @param  string  $from  as it was written, such as 1/5; so the others
     * @param  list<Step>  $ends  the step with the least and with the most
     */
    private function __construct(
        public string $from,
        public string $to,
        public string $usual,
        public array $ends = [],
    ) {
    }

    /** @param  list<Step>  $ends  the step with the least and with the most */
    public function between(array $ends): self
    {
        return new self($this->from, $this->to, $this->usual, $ends);
    }

    /**
     * Reads `by_eye` of a step, and puts the usual share into its landmarks. With `if`, the length is chosen by eye for
     * some options only; for the others the usual share is a landmark like any other.
     *
     * @param  callable(array<string, list<mixed>>): bool  $holds  whether the options are taken
     * @return array{self|null, Reader, list<Reader>}  the length, the step with the usual share, and with both ends
     *
     * @throws BadSequence when the shares are out of order, or nothing of the step is free
     */
    public static function read(Reader $in, callable $holds): array
    {
        if (! $in->has('by_eye')) {
            return [null, $in, []];
        }
        $given = $in->value('by_eye');
        $keys = ['from', 'to', 'usual'];
        $asked = self::asked($in);
        if (is_array($given)) {
            unset($given['if']);
        }
        if (! is_array($given) || array_diff($keys, array_keys($given)) !== [] || count($given) !== 3) {
            throw $in->bad('by_eye', '"by_eye" must give three shares: from, to and usual.');
        }
        [$from, $to, $usual] = array_map(
            static fn (string $key): string => is_scalar($given[$key]) ? trim((string) $given[$key]) : '',
            $keys,
        );
        try {
            [$least, $most, $share] = array_map(Parser::share(...), [$from, $to, $usual]);
        } catch (BadLandmark $e) {
            throw $in->bad('by_eye', $e->getMessage());
        }
        if (! ($least < $most && $least <= $share && $share <= $most)) {
            throw $in->bad('by_eye', "The usual share $usual must lie from $from to $to, the smaller one first.");
        }
        $with = static fn (string $given): Reader => $in->rewritten(
            static fn (string $text): string => (string) preg_replace('/\b'.self::WORD.'\b/', $given, $text),
        ) ?? throw $in->bad('by_eye', 'Nothing of this step is "'.self::WORD.'"; write it in place of a share.');
        $length = $asked === [] || $holds($asked) ? new self($from, $to, $usual) : null;

        return [$length, $with($usual), $length === null ? [] : [$with($from), $with($to)]];
    }

    /**
     * What `if` of `by_eye` asks of choices made before.
     *
     * @return array<string, list<mixed>> options by choice
     */
    public static function asked(Reader $in): array
    {
        $given = $in->has('by_eye') ? $in->value('by_eye') : null;

        return is_array($given) && isset($given['if']) ? $in->conditions($given['if'], 'by_eye') : [];
    }
}
