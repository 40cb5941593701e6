<?php

declare(strict_types=1);

namespace App\Support;

use Cathedra\Core\CathedraException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/**
 * One shape for every error of the API: {"message": string, "errors": list<{"pointer": JSON pointer into the request,
 * "message": string}>}. Never a stack trace; what went wrong, what was kept, what to do.
 */
final class ApiErrors
{
    /**
     * MariaDB's numbers: shutting down, deadlock and lock time-out after all tries, connections refused, gone, lost.
     */
    private const AWAY = [1040, 1053, 1205, 1213, 1927, 2002, 2003, 2006, 2013];

    public static function render(Throwable $error, Request $request): ?JsonResponse
    {
        if (! $request->is('api/*') && ! $request->expectsJson()) {
            return null;
        }

        return match (true) {
            $error instanceof ValidationException => self::fields($error),
            $error instanceof Gone => self::json(
                410,
                $error->getMessage(),
                [['pointer' => $error->pointer, 'message' => $error->getMessage()]],
            ),
            $error instanceof Conflict => self::json(
                409,
                $error->getMessage(),
                [['pointer' => $error->pointer, 'message' => $error->getMessage()]],
                with: $error->with,
            ),
            $error instanceof UniqueConstraintViolationException => self::json(
                409,
                'The same was saved at this very moment by somebody else, or by a second press. Nothing was saved '
                    .'twice; look what is there now, then choose another name or go on with it.',
                [['pointer' => '/name', 'message' => 'There is one of this name already.']],
            ),
            self::isDatabaseAway($error) => self::json(
                503,
                'The database cannot be reached at the moment. What you did is kept on this device and sent again.',
                headers: ['Retry-After' => '2'],
            ),
            $error instanceof CathedraException => self::json(422, $error->getMessage()),
            $error instanceof AuthenticationException => self::json(
                401,
                'Please sign in. Nothing you did was lost: it is sent again after you have signed in.',
            ),
            $error instanceof TokenMismatchException => self::json(
                419,
                'This page was open too long to be sure it is you. Reload it and try again.',
            ),
            $error instanceof ModelNotFoundException, $error instanceof NotFoundHttpException => self::json(
                404,
                'There is nothing here (any more). It may have been deleted; go back and choose again.',
            ),
            $error instanceof HttpExceptionInterface => self::http($error),
            default => self::json(
                500,
                'Something went wrong on our side. What was saved before is kept; try again, and if it happens again, '
                    .'look into storage/logs.',
            ),
        };
    }

    private static function fields(ValidationException $error): JsonResponse
    {
        $errors = [];
        foreach ($error->errors() as $field => $messages) {
            foreach ($messages as $message) {
                $errors[] = ['pointer' => '/'.str_replace('.', '/', (string) $field), 'message' => $message];
            }
        }

        return self::json($error->status, 'Nothing was saved. '.($errors[0]['message'] ?? ''), $errors);
    }

    private static function http(HttpExceptionInterface $error): JsonResponse
    {
        $status = $error->getStatusCode();
        $message = match ($status) {
            403 => 'This belongs to somebody else.',
            409 => $error->getMessage() ?: 'This does not fit what is there now. Nothing was changed.',
            405 => 'This cannot be done here.',
            419 => 'This page was open too long to be sure it is you. Reload it and try again.',
            429 => 'Too many tries. Wait '.($error->getHeaders()['Retry-After'] ?? 60).' seconds, then try again.',
            default => 'This did not work. Nothing was changed.',
        };

        return self::json($status, $message, [], $error->getHeaders());
    }

    /** A lost, refused or dying connection, or a lock that was not got in time: worth trying again as it is. */
    private static function isDatabaseAway(Throwable $error): bool
    {
        for ($cause = $error; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof PDOException) {
                $code = (int) ($cause->errorInfo[1] ?? $cause->getCode());

                return in_array($code, self::AWAY, true) || str_contains($cause->getMessage(), 'server has gone away');
            }
        }

        return false;
    }

    /**
     * @param  list<array{pointer: string, message: string}>  $errors
     * @param  array<string, mixed>  $headers
     * @param  array<string, mixed>  $with
     */
    private static function json(
        int $status,
        string $message,
        array $errors = [],
        array $headers = [],
        array $with = [],
    ): JsonResponse {
        return new JsonResponse(['message' => $message, 'errors' => $errors] + $with, $status, $headers);
    }
}
