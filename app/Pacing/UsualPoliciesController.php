<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\User;
use App\Support\Controller;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

final class UsualPoliciesController extends Controller
{
    /** From now on lessons begin with these: of whoever asks, or of all of the place who have none of their own. */
    public function __invoke(Request $request): Response
    {
        $given = $request->validate(
            [
                'policies' => ['present', 'nullable', 'array', 'max:20', UsualPolicies::rule()],
                'for' => ['required', Rule::in(['me', 'place'])],
            ],
            ['policies.*' => 'Policies are one option each.', 'for.*' => 'It is usual for "me" or for the "place".'],
        );
        $user = $request->user();
        $user = $user instanceof User ? $user : throw new \LogicException('Somebody is signed in here.');
        if ($given['for'] === 'place') {
            $this->organisation($request)->update(['policies' => $given['policies']]);
        }
        // What one has of one's own goes before what the place has; who says it for all means oneself, too.
        $user->update(['policies' => $given['for'] === 'place' ? null : $given['policies']]);

        return response()->noContent();
    }
}
