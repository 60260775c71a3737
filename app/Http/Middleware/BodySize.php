<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\RequestRefused;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Judges the size of a JSON body before anybody reads it: a few megabytes of nothing but brackets would fill the memory
 * of a worker once they are values.
 */
final class BodySize
{
    private const BYTES = 8 * 1024 * 1024;

    private const VALUES = 500_000;

    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isJson() || str_starts_with((string) $request->header('Content-Type'), 'text/')) {
            $body = (string) $request->getContent();
            if (strlen($body) > self::BYTES) {
                throw RequestRefused::bodyTooLarge('8 MB');
            }
            // Every value but the first follows one of these.
            if (substr_count($body, ',') + substr_count($body, '[') + substr_count($body, '{') > self::VALUES) {
                throw RequestRefused::bodyTooLarge(number_format(self::VALUES, 0, '', ' ').' values');
            }
        }

        return $next($request);
    }
}
