<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use App\Support\Controller;
use App\Support\LibraryFiles;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

final class SessionController extends Controller
{
    /** Tries per minute for one address and one account. */
    private const TRIES = 6;

    public function __construct(private readonly LibraryFiles $files)
    {
    }

    public function show(Request $request): JsonResponse
    {
        return response()->json($this->account($request->user()));
    }

    public function update(Request $request): JsonResponse
    {
        $given = $request->validate(
            ['unit' => ['required', 'in:mm,cm,in']],
            ['unit.*' => 'Lengths are read in mm, cm or in.'],
        );
        $user = $request->user();
        if ($user instanceof User) {
            $user->update($given);
        }

        return response()->json($this->account($user));
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(
            ['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']],
            ['email.required' => 'Enter your e-mail address.', 'password.required' => 'Enter your password.'],
        );
        $key = 'sign-in:'.Str::lower($given['email']).'|'.$request->ip();
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw ValidationException::withMessages([
                'email' => 'Too many tries. Wait '.RateLimiter::availableIn($key).' seconds, then try again.',
            ])->status(429);
        }
        if (! Auth::attempt($given)) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages([
                'email' => 'This e-mail address and password do not belong together.',
            ]);
        }
        RateLimiter::clear($key);
        $request->session()->regenerate();

        return response()->json($this->account($request->user()));
    }

    public function destroy(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    private function account(mixed $user): AccountData
    {
        $user = $user instanceof User ? $user : throw new \LogicException('Somebody is signed in here.');
        $bands = [];
        foreach ($this->files->times()->ages as $key => ['label' => $label]) {
            $bands[] = ['key' => $key, 'label' => $label];
        }
        $formats = array_map(
            static fn (array $f): array => [
                'key' => $f['key'],
                'name' => $f['name'],
                'width' => (float) $f['width'],
                'height' => (float) $f['height'],
                'grammage' => $f['grammage'],
                'kind' => $f['kind'],
                'sides' => $f['sides'],
                'source' => $f['source'],
            ],
            $this->files->formats(),
        );

        return new AccountData($user->name, $user->organisation->name, $user->unit, $formats, $bands);
    }
}
