<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Support\Controller;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** A changed password ends every other session of the account. */
final class PasswordController extends Controller
{
    private const LEAST = 10;

    public function __invoke(Request $request): Response
    {
        $user = $this->user($request);
        $given = $request->validate(
            [
                'current' => ['required', 'string', 'max:200'],
                'password' => ['required', 'string', 'min:'.self::LEAST, 'max:72', 'different:current'],
            ],
            [
                'current.*' => 'Enter your present password.',
                'password.min' => 'A password needs at least '.self::LEAST.' characters; a few plain words will do.',
                'password.max' => 'A password has at most 72 characters.',
                'password.different' => 'That is the present password. Choose another.',
                'password.*' => 'Enter a new password.',
            ],
        );
        $key = "password:{$user->id}";
        if (RateLimiter::tooManyAttempts($key, SignIn::TRIES)) {
            throw ValidationException::withMessages([
                'current' => 'Too many tries. Wait '.RateLimiter::availableIn($key).' seconds, then try again.',
            ])->status(429);
        }
        if (! Hash::check($given['current'], $user->password)) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages(['current' => 'This is not your present password.']);
        }
        RateLimiter::clear($key);
        $user->update(['password' => $given['password']]);
        $request->session()->regenerate();
        SessionLimits::begin($request, $user);

        return response()->noContent();
    }
}
