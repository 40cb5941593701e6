<?php

declare(strict_types=1);

use App\Accounts\SessionController;
use App\Groups\GroupController;
use App\Lessons\HomeController;
use App\Lessons\LessonController;
use App\Paper\BenchController;
use App\Paper\MeasureController;
use App\Paper\StockController;
use App\Shelf\ModelController;
use Illuminate\Support\Facades\Route;

Route::get('ping', fn () => response()->json(['ok' => true]));
Route::post('sign-in', [SessionController::class, 'store'])->middleware('throttle:30,1');

Route::middleware(['auth', 'throttle:api'])->group(function (): void {
    Route::get('me', [SessionController::class, 'show']);
    Route::put('me', [SessionController::class, 'update']);
    Route::post('sign-out', [SessionController::class, 'destroy']);
    Route::get('home', HomeController::class);

    Route::get('models', [ModelController::class, 'index']);
    Route::get('models/{model}', [ModelController::class, 'show'])->where('model', '[a-z0-9-]+');
    Route::get('models/{model}/steps/{step}.svg', [ModelController::class, 'picture'])->where([
        'model' => '[a-z0-9-]+',
        'step' => '\d{1,3}',
    ]);

    Route::get('models/{model}/creases.svg', [ModelController::class, 'pattern'])->where('model', '[a-z0-9-]+');
    Route::get('models/{model}/fold', [ModelController::class, 'fold'])->where('model', '[a-z0-9-]+');
    Route::post('patterns', [ModelController::class, 'check']);

    Route::get('groups/{group}/times', [GroupController::class, 'times']);
    Route::get('groups/{group}/wall', [GroupController::class, 'wall']);
    Route::apiResource('groups', GroupController::class)->except('show');
    Route::get('stocks/{stock}/changes', [StockController::class, 'changes']);
    Route::post('stocks/{stock}/undo', [StockController::class, 'undo']);
    Route::post('stocks/{stock}/offcuts', [StockController::class, 'offcuts']);
    Route::get('groups/{group}/paper', [GroupController::class, 'paper']);
    Route::apiResource('stocks', StockController::class)->except('show');
    Route::apiResource('lessons', LessonController::class);
    Route::put('lessons/{lesson}/position', [LessonController::class, 'position']);
    Route::get('lessons/{lesson}/measures', [MeasureController::class, 'show']);
    Route::put('lessons/{lesson}/readings', [MeasureController::class, 'read']);
    Route::get('square-check', [MeasureController::class, 'square']);
    Route::get('display-string', [MeasureController::class, 'display']);
    Route::put('lessons/{lesson}/ticks', [LessonController::class, 'tick']);
    Route::get('lessons/{lesson}/kits', [BenchController::class, 'kits']);
    Route::post('cut-plan', [BenchController::class, 'plan']);
    Route::get('paper-ahead', [BenchController::class, 'ahead']);
    Route::get('paper-needs', [StockController::class, 'needs']);
    Route::post('lessons/{lesson}/marks', [LessonController::class, 'mark']);
    Route::delete('lessons/{lesson}/marks/{key}', [LessonController::class, 'unmark'])->whereUuid('key');
    Route::post('lessons/{lesson}/close', [LessonController::class, 'close']);
    Route::put('lessons/{lesson}/finishes', [LessonController::class, 'finish']);
});
