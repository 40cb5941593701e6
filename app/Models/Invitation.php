<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $organisation_id
 * @property int|null $user_id who invited
 * @property string $whom as who invites calls them; '' where nothing was said
 * @property string $token_hash SHA-256 of what stands in the link
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $used_at
 * @property Organisation $organisation
 * @property User|null $user
 */
final class Invitation extends Model
{
    protected $guarded = [];

    protected $hidden = ['token_hash'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['expires_at' => 'immutable_datetime', 'used_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Organisation, $this> */
    public function organisation(): BelongsTo
    {
        return $this->belongsTo(Organisation::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return Builder<self> those by which somebody may still join */
    public static function open(): Builder
    {
        $open = self::query();
        $open->whereNull('used_at')->where('expires_at', '>', CarbonImmutable::now());

        return $open;
    }
}
