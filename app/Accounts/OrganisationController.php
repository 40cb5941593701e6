<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Support\Controller;
use Cathedra\Core\Wording\Directions;
use Cathedra\Core\Wording\FoldNames;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** What holds for everybody of a place: how steps are said. */
final class OrganisationController extends Controller
{
    public function update(Request $request, Account $account): JsonResponse
    {
        $given = $request->validate(
            [
                'directions' => ['required', Rule::enum(Directions::class)],
                'fold_names' => ['required', Rule::enum(FoldNames::class)],
                'letters' => ['required', 'boolean'],
            ],
            [
                'directions' => 'Directions are those of the folder or of the wall.',
                'fold_names' => 'Folds are called by term, likeness or both.',
                'letters' => 'Say whether places have letters.',
            ],
        );
        $this->organisation($request)->update($given);

        return response()->json($account($request->user() ?? abort(401)));
    }
}
