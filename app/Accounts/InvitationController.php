<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Invitation;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;

/** Inviting somebody to one's own place, and coming in by such a link. */
final class InvitationController extends Controller
{
    public function __construct(private readonly Invitations $invitations)
    {
    }

    public function index(Request $request): JsonResponse
    {
        return response()->json($this->invitations->of($this->user($request)->organisation));
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(
            ['whom' => ['sometimes', 'nullable', 'string', 'max:80']],
            ['whom.*' => 'Say in at most 80 letters who it is for.'],
        );
        $path = $this->invitations->invite($this->user($request), trim((string) ($given['whom'] ?? '')));

        return response()->json(['path' => $path, 'days' => Invitations::DAYS], 201);
    }

    public function destroy(Request $request, int $invitation): Response
    {
        Invitation::open()
            ->where('organisation_id', $this->user($request)->organisation_id)
            ->whereKey($invitation)
            ->firstOrFail()
            ->delete();

        return response()->noContent();
    }

    /** What stands behind a link, for who holds it. */
    public function show(string $token): JsonResponse
    {
        $found = $this->invitations->behind($token);

        return response()->json([
            'organisation' => $found->organisation->name,
            'by' => $found->user === null ? '' : $found->user->name,
        ]);
    }

    public function join(Request $request, string $token, Account $account): JsonResponse
    {
        $this->invitations->behind($token); // before anything is asked of who has no invitation
        $given = $request->validate(
            [
                'name' => ['required', 'string', 'max:80'],
                'email' => ['required', 'string', 'email', 'max:190'],
                'password' => NewPassword::rules(),
            ],
            [
                'name.*' => 'Enter your name, in at most 80 letters.',
                'email.*' => 'Enter your e-mail address.',
            ] + NewPassword::messages(),
        );
        $user = $this->invitations->join($token, [
            'name' => (string) $given['name'],
            'email' => (string) $given['email'],
            'password' => (string) $given['password'],
        ]);
        Auth::login($user);
        $request->session()->regenerate();
        SessionLimits::begin($request, $user);

        return response()->json($account($user), 201);
    }
}
