<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\RequestRefused;
use App\Models\Studio;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Answers only to the names that this installation has: a link made from a foreign Host header leads nowhere. */
final class KnownHost
{
    private const OWN = ['localhost', '127.0.0.1', '[::1]'];

    public function handle(Request $request, Closure $next): Response
    {
        $address = config('app.url');
        $named = config('ordotype.hosts');
        $known = [
            ...self::OWN,
            (string) parse_url(is_string($address) ? $address : '', PHP_URL_HOST),
            ...(is_array($named) ? $named : []),
        ];
        // The address that a lead gave for links is asked for only where the machine's own names are not meant.
        if (! in_array($request->getHost(), $known, true) && $request->getHost() !== Studio::row()->host()) {
            throw RequestRefused::hostUnknown();
        }

        return $next($request);
    }
}
