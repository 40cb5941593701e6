<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What every answer says to the browser about itself. Scripts come from files only; styles may be inline (Vuetify's
 * theme).
 */
final class Headers
{
    private const POLICY =
        "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:;".
        " font-src 'self'; connect-src 'self'; worker-src 'self'; object-src 'none'; base-uri 'none'; form-action "
            ."'self';".
        " frame-ancestors 'none'";

    /** Answers that hold nobody's name and may be kept, if asked about again. */
    private const NAMELESS = ['api/models*', 'api/ping', 'api/health'];

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $headers = $response->headers;
        $headers->set('Content-Security-Policy', self::POLICY);
        $headers->set('X-Frame-Options', 'DENY');
        $headers->set('Referrer-Policy', 'same-origin');
        $headers->set('X-Content-Type-Options', 'nosniff');
        if ($request->is('api/*')) {
            $headers->set('Cache-Control', $request->is(...self::NAMELESS) ? 'private, no-cache' : 'private, no-store');
        }

        return $response;
    }
}
