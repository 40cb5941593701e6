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
    public function __invoke(Request $request): Response
    {
        $user = $this->user($request);
        $given = $request->validate(
            [
                'current' => ['required', 'string', 'max:200'],
                'password' => [...NewPassword::rules(), 'different:current'],
            ],
            [
                'current.*' => 'Enter your present password.',
                'password.different' => 'That is the present password. Choose another.',
            ] + NewPassword::messages(),
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
