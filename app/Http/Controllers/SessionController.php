<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Data\AccountData;
use App\Library\LibraryFiles;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class SessionController extends Controller
{
    /** Tries per minute for one address and one account. */
    private const TRIES = 6;

    public function __construct(private readonly LibraryFiles $files)
    {
    }

    #[OA\Get(path: '/api/me', operationId: 'me', responses: [new OA\Response(response: 200, description: 'who is signed in', content: new OA\JsonContent(ref: '#/components/schemas/AccountData')), new OA\Response(response: 401, description: 'nobody', content: new OA\JsonContent(ref: '#/components/schemas/Problem'))])]
    public function show(Request $request): JsonResponse
    {
        return response()->json($this->account($request->user()));
    }

    #[OA\Put(path: '/api/me', operationId: 'changeMe', requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['unit'], properties: [new OA\Property(property: 'unit', type: 'string', enum: ['mm', 'cm', 'in'])])), responses: [new OA\Response(response: 200, description: 'changed', content: new OA\JsonContent(ref: '#/components/schemas/AccountData'))])]
    public function update(Request $request): JsonResponse
    {
        $given = $request->validate(['unit' => ['required', 'in:mm,cm,in']], ['unit.*' => 'Lengths are read in mm, cm or in.']);
        $user = $request->user();
        if ($user instanceof User) {
            $user->update($given);
        }

        return response()->json($this->account($user));
    }

    #[OA\Post(path: '/api/sign-in', operationId: 'signIn', requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['email', 'password'], properties: [new OA\Property(property: 'email', type: 'string'), new OA\Property(property: 'password', type: 'string')])), responses: [new OA\Response(response: 200, description: 'signed in', content: new OA\JsonContent(ref: '#/components/schemas/AccountData'))])]
    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']], ['email.required' => 'Enter your e-mail address.', 'password.required' => 'Enter your password.']);
        $key = 'sign-in:'.Str::lower($given['email']).'|'.$request->ip();
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw ValidationException::withMessages(['email' => 'Too many tries. Wait '.RateLimiter::availableIn($key).' seconds, then try again.'])->status(429);
        }
        if (! Auth::attempt($given)) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages(['email' => 'This e-mail address and password do not belong together.']);
        }
        RateLimiter::clear($key);
        $request->session()->regenerate();

        return response()->json($this->account($request->user()));
    }

    #[OA\Post(path: '/api/sign-out', operationId: 'signOut', responses: [new OA\Response(response: 204, description: 'signed out')])]
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
        $formats = array_map(static fn (array $f): array => ['key' => $f['key'], 'name' => $f['name'], 'width' => (float) $f['width'], 'height' => (float) $f['height'], 'grammage' => $f['grammage'], 'kind' => $f['kind'], 'sides' => $f['sides'], 'source' => $f['source']], $this->files->formats());

        return new AccountData($user->name, $user->organisation->name, $user->unit, $formats, $bands);
    }
}
