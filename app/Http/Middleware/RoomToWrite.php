<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\RequestRefused;
use App\Studio\Room;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses what would have to be kept where nothing can be kept, before any of it is done; one may still sign in. */
final class RoomToWrite
{
    public function handle(Request $request, Closure $next): Response
    {
        if (! $request->isMethodSafe() && ! $request->is('api/v1/session') && Room::left() === 'none') {
            throw RequestRefused::noRoom();
        }

        return $next($request);
    }
}
