<?php

declare(strict_types=1);

use App\Accounts\Quota;
use App\Accounts\SessionLimits;
use App\Bin\InTheBin;
use App\Support\ApiErrors;
use App\Support\Conflict;
use App\Support\Headers;
use App\Support\HeavyLane;
use App\Support\Packed;
use App\Support\SaneInput;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;

// Logs, sessions and what is kept are for the one who runs the application alone, however it was started.
umask(0077);

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        then: fn () => Route::middleware('web')->prefix('api')->group(base_path('routes/api.php')),
    )
    ->withCommands(
        array_map(static fn (string $room): string => __DIR__."/../app/$room", [
            'Accounts',
            'Bin',
            'Pacing',
            'Paper',
            'Shelf',
            'Support',
            'Teaching',
        ]),
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Same-origin application: no CORS, and the package behind the middleware is missing (packages/registry-gaps).
        $middleware->remove(HandleCors::class);
        $middleware->prepend([Headers::class, Packed::class, SaneInput::class]);
        // Nobody's forwarded headers are believed unless named (config/cathedra.php).
        $middleware->trustProxies(at: array_values(array_filter(explode(',', (string) env('CATHEDRA_PROXIES', '')))));
        $middleware->alias(['heavy' => HeavyLane::class, 'limits' => SessionLimits::class, 'quota' => Quota::class]);
        $middleware->redirectGuestsTo('/sign-in');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // What somebody is asked back is no fault of the application.
        $exceptions->dontReport([Conflict::class, InTheBin::class]);
        $exceptions->shouldRenderJsonWhen(
            fn (Request $request): bool => $request->is('api/*') || $request->expectsJson(),
        );
        $exceptions->render(fn (Throwable $error, Request $request) => ApiErrors::render($error, $request));
    })
    ->create();
