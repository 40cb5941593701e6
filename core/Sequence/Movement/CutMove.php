<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\Compound\Cutting;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** Scissors: a slit, or a piece that comes away. */
final readonly class CutMove implements Movement
{
    /**
     * @param  list<LineRef>  $lines
     * @param  int|null  $layers  from the top; null: all
     */
    public function __construct(public array $lines, public ?int $layers, public ?PointRef $remove)
    {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        $lines = is_array($in->value('along')) ? $folds->lines('along') : [$folds->line('along')];
        $layers = $in->text('layers', 'all', 20);
        if (preg_match('/^(?:all|top(?: ([1-9]\d?))?)$/', $layers, $m) !== 1) {
            throw $in->bad('layers', '"layers" of a cut must be: all, top, or top with a number.');
        }

        return new self(
            $lines,
            $layers === 'all' ? null : (int) ($m[1] ?? 1),
            $in->has('remove') ? $folds->point('remove') : null,
        );
    }

    public function make(Setting $setting, string $label): Made
    {
        $cuts = array_map(static fn (LineRef $line): Segment => $line->trace($setting), $this->lines);
        $after = Cutting::apply(
            state: $setting->state,
            cuts: $cuts,
            layers: $this->layers,
            remove: $this->remove?->locate($setting),
            origin: $label,
        );

        return new Made(
            after: $after,
            grip: $cuts[0]->a,
            landing: $cuts[0]->b,
            line: $cuts[0]->straight(),
            cuts: $cuts,
        );
    }

    public function says(Change $change): Saying
    {
        $layers = match ($this->layers) {
            null => 'cut-all',
            1 => 'cut-one',
            default => 'cut-some',
        };

        return new Saying(
            more: [$layers, ...($this->remove === null ? [] : ['cut-remove'])],
            with: ['count' => $this->layers ?? 0],
        );
    }

    public function arrow(): ?string
    {
        return null;
    }
}
