<?php

declare(strict_types=1);

use App\Accounts\InvitationController;
use App\Accounts\OrganisationController;
use App\Accounts\PasswordController;
use App\Accounts\SessionController;
use App\Bin\BinController;
use App\Groups\GroupController;
use App\Home\FirstLessonController;
use App\Home\HomeController;
use App\Lessons\LessonController;
use App\Pacing\LearnedController;
use App\Pacing\UsualPoliciesController;
use App\Paper\BenchController;
use App\Paper\MeasureController;
use App\Paper\StockController;
use App\Shelf\FoldController;
use App\Shelf\ModelController;
use App\Support\HealthController;
use App\Teaching\EventController;
use App\Teaching\FaultSightings;
use App\Terms\TermController;
use App\Ways\WaysController;
use Illuminate\Support\Facades\Route;

Route::get('ping', fn () => response()->json(['ok' => true]));
Route::get('health', HealthController::class);
Route::post('sign-in', [SessionController::class, 'store'])->middleware('throttle:30,1');
Route::middleware('throttle:30,1')->where(['token' => '[A-Za-z0-9]{20,60}'])->group(function (): void {
    Route::get('join/{token}', [InvitationController::class, 'show']);
    Route::post('join/{token}', [InvitationController::class, 'join']);
});

Route::middleware(['auth', 'limits', 'quota'])->group(function (): void {
    Route::get('me', [SessionController::class, 'show']);
    Route::put('me', [SessionController::class, 'update']);
    Route::put('me/password', PasswordController::class);
    Route::get('people', [InvitationController::class, 'index']);
    Route::post('invitations', [InvitationController::class, 'store']);
    Route::delete('invitations/{invitation}', [InvitationController::class, 'destroy'])
        ->where('invitation', '[0-9]{1,18}');
    Route::put('organisation', [OrganisationController::class, 'update']);
    Route::post('sign-out', [SessionController::class, 'destroy']);
    Route::get('home', HomeController::class);

    Route::get('models', [ModelController::class, 'index']);
    Route::get('models/{model}', [ModelController::class, 'show']);
    Route::get('models/{model}/ways', WaysController::class)->middleware('heavy');
    Route::put('models/{model}/ways', [WaysController::class, 'keep']);
    Route::get('models/{model}/steps/{step}.svg', [ModelController::class, 'picture'])->where('step', '[0-9]{1,3}');
    Route::get('models/{model}/steps/{step}/motion', [ModelController::class, 'motion'])->where('step', '[0-9]{1,3}');
    Route::get('models/{model}/steps/{step}/faults', [FaultSightings::class, 'ofStep'])->where('step', '[0-9]{1,3}');
    Route::get('models/{model}/sheet-map', [ModelController::class, 'sheetMap']);
    Route::get('models/{model}/creases.svg', [ModelController::class, 'pattern']);
    Route::get('models/{model}/fold', [ModelController::class, 'fold']);
    Route::get('folds', [FoldController::class, 'index']);
    Route::get('fold-pictures', [FoldController::class, 'pictures']);
    Route::get('folds/{kind}', [FoldController::class, 'show']);
    Route::post('patterns', [ModelController::class, 'check'])->middleware('heavy');

    Route::apiResource('groups', GroupController::class)->except('show');
    Route::delete('groups/{group}/learners/{learner}', [GroupController::class, 'removeLearner']);
    Route::get('groups/{group}/times', [GroupController::class, 'times'])->middleware('heavy');
    Route::get('groups/{group}/fit', [GroupController::class, 'fit'])->middleware('heavy');
    Route::get('groups/{group}/next', [GroupController::class, 'next'])->middleware('heavy');
    Route::get('groups/{group}/records.csv', [GroupController::class, 'records']);
    Route::get('groups/{group}/wall', [GroupController::class, 'wall']);
    Route::get('groups/{group}/folds', [GroupController::class, 'folds']);
    Route::get('groups/{group}/paper', [GroupController::class, 'paper']);

    Route::apiResource('stocks', StockController::class)->except('show');
    Route::get('stocks/{stock}/changes', [StockController::class, 'changes']);
    Route::post('stocks/{stock}/undo', [StockController::class, 'undo']);
    Route::post('stocks/{stock}/offcuts', [StockController::class, 'offcuts']);
    Route::post('cut-plan', [BenchController::class, 'plan'])->middleware('heavy');
    Route::get('paper-ahead', [BenchController::class, 'ahead'])->middleware('heavy');
    Route::get('paper-needs', [StockController::class, 'needs']);
    Route::get('square-check', [MeasureController::class, 'square']);
    Route::get('display-string', [MeasureController::class, 'display']);

    Route::post('terms/plan', [TermController::class, 'plan'])->middleware('heavy');
    Route::post('terms', [TermController::class, 'make'])->middleware('heavy');
    Route::get('lessons/{lesson}/calendar.ics', [TermController::class, 'lesson']);
    Route::get('groups/{group}/calendar.ics', [TermController::class, 'group']);
    Route::get('learned', [LearnedController::class, 'show'])->middleware('heavy');
    Route::put('lessons/{lesson}/odd', [LearnedController::class, 'leaveOut']);
    Route::get('first-lesson', [FirstLessonController::class, 'offers'])->middleware('heavy');
    Route::post('first-lesson', [FirstLessonController::class, 'make'])->middleware('heavy');
    Route::put('usual-policies', UsualPoliciesController::class);
    Route::apiResource('lessons', LessonController::class);
    Route::post('lessons/{lesson}/copies', [LessonController::class, 'copy']);
    Route::get('lessons/{lesson}/forecast', [LessonController::class, 'forecast'])->middleware('heavy');
    Route::get('lessons/{lesson}/rest', [LessonController::class, 'rest']);
    Route::get('lessons/{lesson}/cast', [LessonController::class, 'cast']);
    Route::put('lessons/{lesson}/ticks', [LessonController::class, 'tick']);
    Route::get('lessons/{lesson}/ways/{model}', [WaysController::class, 'lesson'])->middleware('heavy');
    Route::get('lessons/{lesson}/kits', [BenchController::class, 'kits']);
    Route::get('lessons/{lesson}/measures', [MeasureController::class, 'show']);
    Route::put('lessons/{lesson}/readings', [MeasureController::class, 'read']);
    Route::get('lessons/{log}/events', [EventController::class, 'index'])->where('log', '[0-9]{1,18}');
    Route::post('lessons/{lesson}/events', [EventController::class, 'store']);
    Route::get('lessons/{lesson}/faults', [FaultSightings::class, 'index']);
    Route::put('lessons/{lesson}/faults', [FaultSightings::class, 'tick']);

    Route::get('bin', [BinController::class, 'index']);
    Route::post('bin/{kind}/{id}/restore', [BinController::class, 'restore']);
    Route::delete('bin/{kind}/{id}', [BinController::class, 'erase']);
});
