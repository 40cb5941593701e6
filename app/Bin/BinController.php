<?php

declare(strict_types=1);

namespace App\Bin;

use App\Models\Group;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Stock;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The bin: what lies there, putting back, erasing for good. */
final class BinController extends Controller
{
    public function __construct(private readonly Bin $bin)
    {
    }

    public function index(Request $request): JsonResponse
    {
        return response()->json($this->bin->entries($this->user($request)->organisation_id));
    }

    public function restore(Request $request, BinKind $kind, int $id): Response
    {
        $this->bin->restore($this->thing($request, $kind, $id));

        return response()->noContent();
    }

    public function erase(Request $request, BinKind $kind, int $id): Response
    {
        $this->bin->erase($this->thing($request, $kind, $id));

        return response()->noContent();
    }

    private function thing(Request $request, BinKind $kind, int $id): Lesson|Group|Learner|Stock
    {
        return $kind->inBin($this->user($request)->organisation_id, $id)->first()
            ?? throw new NotFoundHttpException;
    }
}
