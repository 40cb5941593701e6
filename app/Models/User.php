<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property int $organisation_id
 * @property string $name
 * @property string $email
 * @property string $password hashed
 * @property bool $demo the account whose password is shown on the sign-in page
 * @property 'mm'|'cm'|'in' $unit
 * @property array<string, string>|null $policies how this lead teaches usually, by policy
 * @property Organisation $organisation
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    protected $attributes = ['unit' => 'mm', 'demo' => false, 'policies' => null];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'demo' => 'boolean', 'policies' => 'array'];
    }

    /** Whether the account is open; the demo's is not once the demo is turned off. */
    public function mayComeIn(): bool
    {
        return ! $this->demo || config('cathedra.demo') === true;
    }

    /** @return BelongsTo<Organisation, $this> */
    public function organisation(): BelongsTo
    {
        return $this->belongsTo(Organisation::class);
    }
}
