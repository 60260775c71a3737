<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\MethodNotAllowedHttpException;

/** Nobody asks from elsewhere what they may (there is no CORS): OPTIONS is as unknown as any other method. */
final class KnownMethod
{
    private const KNOWN = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE'];

    public function handle(Request $request, Closure $next): Response
    {
        return in_array($request->getMethod(), self::KNOWN, true)
            ? $next($request)
            : throw new MethodNotAllowedHttpException(self::KNOWN);
    }
}
