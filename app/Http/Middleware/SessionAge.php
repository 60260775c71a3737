<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Whoever signed in does so again after a day's work, however busy the session was; one that rests ends sooner. */
final class SessionAge
{
    public const SIGNED_IN = 'signed_in';

    public const HOURS = 12;

    public function handle(Request $request, Closure $next): Response
    {
        if ($request->hasSession() && $request->attributes->get('token') !== true && Auth::guard('web')->check()) {
            $since = $request->session()->get(self::SIGNED_IN);
            if (! is_int($since)) {
                $request->session()->put(self::SIGNED_IN, now()->getTimestamp());
            } elseif (now()->getTimestamp() - $since > self::HOURS * 3600) {
                Auth::guard('web')->logout();
                $request->session()->invalidate();
            }
        }

        return $next($request);
    }
}
