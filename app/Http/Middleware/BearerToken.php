<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\UnknownToken;
use App\Models\AccessToken;
use Closure;
use Illuminate\Database\Eloquent\Builder;
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
        $token = AccessToken::query()
            ->with('user')
            ->where('hash', hash('sha256', $secret))
            ->whereNull('revoked_at')
            ->whereHas('user', fn (Builder $people) => $people->whereNull('set_aside_at'))
            ->first();
        if ($token === null) {
            throw new UnknownToken();
        }
        $token->update(['last_used_at' => now()]);
        $token->user->limitedTo = $token->abilities;
        $request->cookies->replace([]);
        $request->attributes->set('token', true);
        Auth::setUser($token->user);

        return $next($request);
    }
}
