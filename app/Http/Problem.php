<?php

declare(strict_types=1);

namespace App\Http;

use App\Exceptions\Conflict;
use App\Exceptions\Refusal;
use App\Exceptions\RequestRefused;
use App\Studio\Room;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\LostConnectionDetector;
use Illuminate\Database\QueryException;
use Illuminate\Http\Exceptions\MalformedUrlException;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use League\Flysystem\FilesystemException;
use Ordotype\Core\Foundation\FormatException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Every error of the API as application/problem+json (RFC 9457), with a pointer to each field that is wrong. */
final class Problem
{
    private const NOTHING_HERE = 'There is nothing at this address.';

    public static function from(Throwable $e): JsonResponse
    {
        $problem = self::ofTheStudio($e) ?? self::ofTheFramework($e);
        if ($problem->getStatusCode() === 403) {
            $asked = request();
            Log::notice('Not allowed.', [
                'person' => Auth::id(),
                'asked' => $asked->method().' '.($asked->route()?->uri() ?? '?'),
                'ip' => $asked->ip(),
            ]);
        }

        return $problem;
    }

    /** What the application itself refuses, with its data. */
    private static function ofTheStudio(Throwable $e): ?JsonResponse
    {
        return match (true) {
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
            default => null,
        };
    }

    private static function ofTheFramework(Throwable $e): JsonResponse
    {
        // The framework wraps some of its own refusals; what they were is inside.
        $cause = $e->getPrevious();

        return match (true) {
            $e instanceof ValidationException => self::make(
                422,
                'Some fields are not right',
                $e->getMessage(),
                self::fields($e),
            ),
            $e instanceof AuthenticationException => self::make(401, 'Not signed in', 'Sign in first.'),
            $e instanceof AuthorizationException, $cause instanceof AuthorizationException => self::make(
                403,
                'Not allowed',
                'Your role does not allow this.',
            ),
            $e instanceof ModelNotFoundException, $cause instanceof ModelNotFoundException => self::make(
                404,
                'Not there',
                self::NOTHING_HERE,
            ),
            $e instanceof TokenMismatchException, $cause instanceof TokenMismatchException => self::make(
                419,
                'The page is out of date',
                'Reload the page and try again; what you typed is kept.',
            ),
            $e instanceof ThrottleRequestsException => self::make(
                429,
                'Too many tries',
                'Wait a minute and try again.',
            ),
            $e instanceof HttpExceptionInterface => self::ofHttp($e),
            // What the database itself keeps from being changed, whoever asks: its guards say why.
            $e instanceof QueryException && $e->getCode() === '45000' => self::make(
                422,
                'That cannot be done as things stand',
                ($e->errorInfo[2] ?? '').'.',
            ),
            $e instanceof FilesystemException, self::isFull($e) => self::from(RequestRefused::noRoom()),
            $e instanceof QueryException && (new LostConnectionDetector())->causedByLostConnection($e) => self::make(
                503,
                'The database cannot be reached',
                'Nothing you entered was changed. Try again in a moment; if it stays like this, ask whoever runs '.
                    'the server.',
            ),
            default => self::make(
                500,
                'Something broke here',
                'It was written to the log. Nothing you entered was changed.',
            ),
        };
    }

    /** MariaDB's numbers for a table that has no room or is read only; 1030 names errors 28 and 30 of the system. */
    private static function isFull(Throwable $e): bool
    {
        // A database that cannot write ends itself.
        return $e instanceof QueryException &&
            (Room::left() === 'none' ||
                in_array($e->errorInfo[1] ?? null, [1021, 1036, 1114], true) ||
                preg_match('/error (28|30)\\b/', $e->getMessage()) === 1);
    }

    private static function ofHttp(HttpExceptionInterface $e): JsonResponse
    {
        $detail = match (true) {
            $e->getStatusCode() === 404 => self::NOTHING_HERE,
            $e->getStatusCode() === 405 => 'This cannot be asked of this address.',
            $e instanceof MalformedUrlException => 'This address cannot be read: it is no UTF-8.',
            $e->getMessage() === '' => 'The request was refused.',
            default => $e->getMessage(),
        };

        return self::make($e->getStatusCode(), 'That did not work', $detail);
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
