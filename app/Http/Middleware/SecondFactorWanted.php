<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Session\SecondFactor;
use App\Exceptions\AccountRefused;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Whoever must have a second factor and has none sets one up first: of the rest nothing is shown or done. */
final class SecondFactorWanted
{
    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user();
        $isOwn = $request->is('api/v1/session', 'api/v1/account/*');
        if ($person instanceof User && ! $isOwn && SecondFactor::isMissing($person)) {
            throw AccountRefused::secondFactorWanted();
        }

        return $next($request);
    }
}
