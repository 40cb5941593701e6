<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Looks at a request before anything else does: addresses and text are UTF-8 without NUL, numbers are finite, bodies
 * and lists have a size that something here could mean, and the host is one of ours. What passes may still be wrong,
 * but nothing behind this is held up or broken by its form.
 */
final class SaneInput
{
    /** Bytes of a body; a group of sixty has 6 kB, a hundred deeds 30 kB. */
    private const BYTES = 300_000;

    /** Bytes where a whole file is sent (a crease pattern, written as JSON text). */
    private const FILE_BYTES = 9_000_000;

    /** Entries of one list; the longest meant is a hundred deeds. */
    private const ENTRIES = 250;

    /** Values of one request. */
    private const VALUES = 6_000;

    private const DEPTH = 12;

    public function handle(Request $request, Closure $next): Response
    {
        if (! in_array(strtolower($request->getHost()), config('cathedra.hosts'), true)) {
            return self::refuse(
                400,
                '',
                'This address is not known here. Ask for the one the application was started with.',
            );
        }
        $path = rawurldecode($request->getPathInfo());
        if (! self::isText($path)) {
            return self::refuse(404, '', 'There is nothing here: the address is not text.');
        }
        $most = $request->is('api/patterns') ? self::FILE_BYTES : self::BYTES;
        if (max((int) $request->header('Content-Length'), strlen($request->getContent())) > $most) {
            return self::refuse(413, '', 'This is too much at once: at most '.intdiv($most, 1000).' kB are taken.');
        }
        $fault = $this->fault($request);

        return $fault === null ? $next($request) : self::refuse(422, ...$fault);
    }

    /** @return array{string, string}|null pointer and what is wrong */
    private function fault(Request $request): ?array
    {
        $body = [];
        if ($request->isJson() && $request->getContent() !== '') {
            $body = json_decode($request->getContent(), true, self::DEPTH + 1);
            if (json_last_error() !== JSON_ERROR_NONE) {
                return ['', 'The body is not JSON that can be read here: '.json_last_error_msg().'.'];
            }
            if (! is_array($body)) {
                return ['', 'The body must be a JSON object.'];
            }
        }
        $values = 0;

        return $this->faultIn($body, '', $values) ??
            $this->faultIn($request->query->all() + $request->request->all(), '', $values);
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return array{string, string}|null
     */
    private function faultIn(array $values, string $at, int &$seen, int $depth = 1): ?array
    {
        if (count($values) > self::ENTRIES) {
            return [$at, 'This list is too long: at most '.self::ENTRIES.' entries are looked at.'];
        }
        if ($depth > self::DEPTH) {
            return [$at, 'This is nested too deeply.'];
        }
        foreach ($values as $key => $value) {
            $here = "$at/".self::pointed((string) $key);
            if (++$seen > self::VALUES) {
                return ['', 'This is too much at once: at most '.self::VALUES.' values are looked at.'];
            }
            $fault = match (true) {
                ! self::isText((string) $key) => [$at, 'Names of fields must be text.'],
                is_string($value) && ! self::isText($value) => [
                    $here,
                    'This must be text, without signs that are none.',
                ],
                is_float($value) && ! is_finite($value) => [$here, 'This number is too large.'],
                is_array($value) => $this->faultIn($value, $here, $seen, $depth + 1),
                default => null,
            };
            if ($fault !== null) {
                return $fault;
            }
        }

        return null;
    }

    private static function isText(string $text): bool
    {
        return ! str_contains($text, "\0") && mb_check_encoding($text, 'UTF-8');
    }

    private static function pointed(string $key): string
    {
        return strtr(mb_substr(mb_scrub($key), 0, 80), ['~' => '~0', '/' => '~1']);
    }

    private static function refuse(int $status, string $pointer, string $message): JsonResponse
    {
        return new JsonResponse(
            ['message' => $message, 'errors' => [['pointer' => $pointer, 'message' => $message]]],
            $status,
        );
    }
}
