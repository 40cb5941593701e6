<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * Whether an address and a password belong together. Refusals take the same time whether the address is known or not,
 * and are counted for the account, however its address was spelt: the database decides which account is meant.
 */
final class SignIn
{
    /** Refusals of one account within a minute. */
    public const TRIES = 6;

    /** @var array<string, string> a hash that fits nobody, by its cost */
    private static array $nobody = [];

    /** @throws ValidationException when they do not, or after too many tries (429) */
    public function __invoke(string $email, string $password): User
    {
        /** @var User|null $user */
        $user = User::query()->where('email', $email)->first();
        $key = 'sign-in:'.($user === null ? 'unknown '.Str::lower(Str::ascii(trim($email))) : "account {$user->id}");
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw ValidationException::withMessages([
                'email' => 'Too many tries. Wait '.RateLimiter::availableIn($key).' seconds, then try again.',
            ])->status(429);
        }
        // Somebody's hash is always computed, so that an unknown address does not answer sooner.
        $fits = Hash::check($password, $user === null ? self::nobody() : $user->password);
        if ($user === null || ! $fits || ! $user->mayComeIn()) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages([
                'email' => 'This e-mail address and password do not belong together.',
            ]);
        }
        RateLimiter::clear($key);

        return $user;
    }

    private static function nobody(): string
    {
        $cost = (string) config('hashing.bcrypt.rounds');

        return self::$nobody[$cost] ??= cache()->rememberForever(
            "sign-in:nobody:$cost",
            static fn (): string => Hash::make(Str::random(40)),
        );
    }
}
