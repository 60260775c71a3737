<?php

declare(strict_types=1);

namespace App\Http;

use App\Studio\Conflict;
use App\Studio\Refusal;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\LostConnectionDetector;
use Illuminate\Database\QueryException;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use Ordotype\Core\Problem\FormatException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Every error of the API as application/problem+json (RFC 9457), with a pointer to each field that is wrong. */
final class Problem
{
    public static function from(Throwable $e): JsonResponse
    {
        $previous = $e->getPrevious();

        return match (true) {
            $e instanceof ValidationException => self::make(
                422,
                'Some fields are not right',
                $e->getMessage(),
                self::fields($e),
            ),
            $e instanceof FormatException => self::make(
                422,
                'The document is not right',
                $e->problems[0]->reason,
                array_map(fn ($p) => ['pointer' => $p->path, 'detail' => $p->reason], $e->problems),
            ),
            $e instanceof Conflict => self::make(
                409,
                'Changed in the meantime',
                $e->getMessage(),
                [],
                ['current' => $e->current],
            ),
            $e instanceof Refusal => self::make(
                $e->status,
                'That cannot be done as things stand',
                $e->getMessage(),
                $e->pointer === '' ? [] : [['pointer' => $e->pointer, 'detail' => $e->getMessage()]],
            ),
            $e instanceof AuthenticationException => self::make(401, 'Not signed in', 'Sign in first.'),
            $e instanceof AuthorizationException, $previous instanceof AuthorizationException => self::make(
                403,
                'Not allowed',
                'Your role does not allow this.',
            ),
            $e instanceof ModelNotFoundException, $previous instanceof ModelNotFoundException => self::make(
                404,
                'Not there',
                'There is nothing at this address.',
            ),
            $e instanceof TokenMismatchException, $previous instanceof TokenMismatchException => self::make(
                419,
                'The page is out of date',
                'Reload the page and try again; what you typed is kept.',
            ),
            $e instanceof ThrottleRequestsException => self::make(
                429,
                'Too many tries',
                'Wait a minute and try again.',
            ),
            $e instanceof HttpExceptionInterface => self::make(
                $e->getStatusCode(),
                'That did not work',
                $e->getStatusCode() === 404
                    ? 'There is nothing at this address.'
                    : ($e->getMessage() ?:
                    'The request was refused.'),
            ),
            $e instanceof QueryException && (new LostConnectionDetector())->causedByLostConnection($e) => self::make(
                503,
                'The database cannot be reached',
                'Nothing you entered was changed. Try again in a moment; if it stays like this, '.
                    'ask whoever runs the server.',
            ),
            default => self::make(
                500,
                'Something broke here',
                'It was written to the log. Nothing you entered was changed.',
            ),
        };
    }

    /**
     * @param  list<array{pointer: string, detail: string}>  $errors
     * @param  array<string, mixed>  $more
     */
    private static function make(
        int $status,
        string $title,
        string $detail,
        array $errors = [],
        array $more = [],
    ): JsonResponse {
        return new JsonResponse(
            [
                'type' => 'about:blank',
                'title' => $title,
                'status' => $status,
                'detail' => $detail,
                'errors' => $errors,
            ] + $more,
            $status,
            ['Content-Type' => 'application/problem+json'],
            JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
    }

    /** @return list<array{pointer: string, detail: string}> */
    private static function fields(ValidationException $e): array
    {
        $errors = [];
        foreach ($e->errors() as $field => $messages) {
            foreach ($messages as $message) {
                $errors[] = [
                    'pointer' => '/'.str_replace('.', '/', (string) $field),
                    'detail' => (string) $message,
                ];
            }
        }

        return $errors;
    }
}
