<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use App\Support\Controller;
use Cathedra\Core\Rules\Unit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rule;

final class SessionController extends Controller
{
    public function __construct(private readonly Account $account)
    {
    }

    public function show(Request $request): JsonResponse
    {
        return $this->answer($request->user());
    }

    public function update(Request $request): JsonResponse
    {
        $given = $request->validate(
            ['unit' => ['required', Rule::enum(Unit::class)]],
            ['unit.*' => 'Lengths are read in mm, cm or in.'],
        );
        $user = $request->user();
        if ($user instanceof User) {
            $user->update($given);
        }

        return $this->answer($user);
    }

    public function store(Request $request, SignIn $signIn): JsonResponse
    {
        $given = $request->validate(
            ['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']],
            ['email.required' => 'Enter your e-mail address.', 'password.required' => 'Enter your password.'],
        );
        $user = $signIn($given['email'], $given['password']);
        Auth::login($user);
        $request->session()->regenerate();
        SessionLimits::begin($request, $user);

        return $this->answer($user);
    }

    public function destroy(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    private function answer(mixed $user): JsonResponse
    {
        $user = $user instanceof User ? $user : throw new \LogicException('Somebody is signed in here.');

        return response()->json(($this->account)($user));
    }
}
