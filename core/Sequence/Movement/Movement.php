<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\Setting;

/**
 * A fold of several creases at once, as a step names it: one class reads it, makes it, says it and draws it. FoldKind
 * says which class a kind of fold has. The recipe "add a named fold" is in docs/architecture.md.
 */
interface Movement
{
    /** @throws \Cathedra\Core\Sequence\BadSequence naming the key that is missing or cannot be meant */
    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self;

    /**
     * @param  string  $label  kept on the creases that are made
     *
     * @throws \Cathedra\Core\Folding\CannotFold when it cannot be done here
     */
    public function make(Setting $setting, string $label): Made;

    /** How the sentence of its kind (library/wording, steps) is filled, and what is said after it. */
    public function says(Change $change): Saying;

    /** @return 'fold'|'push'|'open'|null the arrow from the grip to where it lands; null: none is drawn */
    public function arrow(): ?string;
}
