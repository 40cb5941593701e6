<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\User;
use Cathedra\Core\Paper\Length;
use Illuminate\Contracts\Auth\Guard;

/** Lengths in the units of whoever is signed in. */
final readonly class Measure
{
    /** @var 'mm'|'cm'|'in' */
    public string $unit;

    public function __construct(Guard $guard)
    {
        $user = $guard->user();
        $this->unit = $user instanceof User ? $user->unit : 'mm';
    }

    /** @param  bool  $fine  a length too small for rulers in inches: always in mm */
    public function say(float $mm, bool $fine = false): string
    {
        return Length::say($mm, $fine ? 'mm' : $this->unit);
    }

    /** mm: the largest length on this ruler that is not longer */
    public function down(float $mm): float
    {
        return Length::down($mm, $this->unit);
    }

    /** A length without its unit, for a drawing that says the unit once. */
    public function figure(float $mm): string
    {
        return (string) preg_replace('/ (mm|cm|in)$/', '', $this->say($mm));
    }

    public function area(float $width, float $height): string
    {
        return $this->list([$width, $height], ' × ');
    }

    /**
     * Lengths with their unit once, at the end.
     *
     * @param  list<float>  $lengths  mm
     */
    public function list(array $lengths, string $between = ', '): string
    {
        $said = array_map(fn (float $mm): string => $this->say($mm), $lengths);

        return (string) preg_replace('/ (mm|cm|in)(?='.preg_quote($between, '/').')/u', '', implode($between, $said));
    }

    /** A number of mm to a tenth, without its unit. */
    public static function mm(float $mm): string
    {
        return rtrim(rtrim(number_format($mm, 1, '.', ''), '0'), '.');
    }
}
