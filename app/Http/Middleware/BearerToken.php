<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\AccountRefused;
use App\Models\AccessToken;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * A script signs in with `Authorization: Bearer …` instead of a session. Runs before the session is read: a request
 * with a token never uses a cookie, so it needs no CSRF token either.
 */
final class BearerToken
{
    public function handle(Request $request, Closure $next): Response
    {
        $secret = $request->bearerToken();
        if ($secret === null) {
            return $next($request);
        }
        $token = AccessToken::findToken($secret);
        if (! ($token instanceof AccessToken) || ! $token->holds()) {
            throw AccountRefused::unknownToken();
        }
        $token->forceFill(['last_used_at' => now()])->save();
        $person = $token->tokenable->withAccessToken($token);
        $request->cookies->replace([]);
        $request->attributes->set('token', true);
        Auth::setUser($person);

        return $next($request);
    }
}
