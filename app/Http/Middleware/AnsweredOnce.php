<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\BadIdempotencyKey;
use App\Exceptions\IdempotencyKeyReused;
use App\Exceptions\StillBeingAnswered;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * A write that names an `Idempotency-Key` happens once: sent again by the same person, it gets the answer it got the
 * first time. What was refused or broke is not kept, so it can be put right and sent again.
 */
final class AnsweredOnce
{
    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->header('Idempotency-Key');
        $user = $request->user();
        if (! is_string($key) || $user === null || $request->isMethodSafe()) {
            return $next($request);
        }
        if (preg_match('/^[\x21-\x7e]{8,100}$/D', $key) !== 1) {
            throw new BadIdempotencyKey();
        }
        $mine = ['user_id' => $user->getAuthIdentifier(), 'key' => $key];
        $fingerprint = hash('sha256', $request->method()."\n".$request->path()."\n".$request->getContent());
        if (
            DB::table('answered_writes')->insertOrIgnore(
                $mine + ['request' => $fingerprint, 'created_at' => now()],
            ) === 0
        ) {
            return $this->again((object) DB::table('answered_writes')->where($mine)->first(), $fingerprint);
        }
        $response = $next($request);
        if ($response->isSuccessful()) {
            DB::table('answered_writes')
                ->where($mine)
                ->update(['status' => $response->getStatusCode(), 'body' => (string) $response->getContent()]);
        } else {
            DB::table('answered_writes')->where($mine)->delete();
        }

        return $response;
    }

    private function again(object $before, string $fingerprint): Response
    {
        if (($before->request ?? null) !== $fingerprint) {
            throw new IdempotencyKeyReused();
        }
        if (($before->status ?? null) === null) {
            throw new StillBeingAnswered();
        }

        return new Response((string) $before->body, (int) $before->status, [
            'Content-Type' => 'application/json',
            'Idempotent-Replay' => 'true',
        ]);
    }
}
