<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * A session ends twelve hours after signing in whatever happens, when the password was changed elsewhere, and when the
 * account may no longer come in (the demo account of an installation that has turned the demo off).
 */
final class SessionLimits
{
    public const HOURS = 12;

    /** Seconds since 1970 at which the session began. */
    private const BEGAN = 'signed_in_at';

    private const WHOSE = 'signed_in_as';

    /** Remembers when and with which password a session began. */
    public static function begin(Request $request, User $user): void
    {
        $request->session()->put([
            self::BEGAN => CarbonImmutable::now()->getTimestamp(),
            self::WHOSE => self::seen($user),
        ]);
    }

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $request->hasSession() && ! $this->goesOn($request, $user)) {
            Auth::logoutCurrentDevice();
            $request->session()->invalidate();
            throw new AuthenticationException;
        }

        return $next($request);
    }

    private function goesOn(Request $request, User $user): bool
    {
        $session = $request->session();
        [$id] = explode(' ', (string) $session->get(self::WHOSE)) + [''];
        if ($id !== (string) $user->id) { // begun elsewhere in the framework (tests act as a user)
            self::begin($request, $user);
        }
        $age = CarbonImmutable::now()->getTimestamp() - (int) $session->get(self::BEGAN);

        return $age < self::HOURS * 3600 && $session->get(self::WHOSE) === self::seen($user) && $user->mayComeIn();
    }

    private static function seen(User $user): string
    {
        return $user->id.' '.hash('xxh128', $user->password);
    }
}
