<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\RequestRefused;
use App\Http\ToldAgain;
use Closure;
use Illuminate\Database\DeadlockException;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * A write that names an `Idempotency-Key` happens once: sent again by the same person, it gets the answer it got the
 * first time. The key, what was done and the answer are kept in one transaction, so that a crash on the way leaves
 * none of them; a second one that comes meanwhile waits for the first. What was refused or broke is not kept, so it can
 * be put right and sent again. A deadlock is tried again.
 */
final class AnsweredOnce
{
    private const TRIES = 3;

    /** MariaDB's numbers for a deadlock and for a lock that was not to be had in time. */
    private const LOCKED = [1213, 1205];

    private const KEPT_DAYS = 3;

    /** One write in so many clears away what is older. */
    private const CLEARED_ONE_IN = 50;

    public function __construct(private readonly ToldAgain $told)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->header('Idempotency-Key');
        $user = $request->user();
        if (! is_string($key) || $user === null || $request->isMethodSafe()) {
            return $next($request);
        }
        if (preg_match('/^[\x21-\x7e]{8,100}$/D', $key) !== 1) {
            throw RequestRefused::badIdempotencyKey();
        }
        if (random_int(1, self::CLEARED_ONE_IN) === 1) {
            DB::table('answered_writes')->where('created_at', '<', now()->subDays(self::KEPT_DAYS))->delete();
        }
        $mine = ['user_id' => $user->getAuthIdentifier(), 'key' => $key];
        for ($try = 1; ; $try++) {
            $response = $this->once($request, $next, $mine);
            if ($try === self::TRIES || ! self::wasLockedOut($response)) {
                return $response;
            }
        }
    }

    /** @param  array{user_id: mixed, key: string}  $mine */
    private function once(Request $request, Closure $next, array $mine): Response
    {
        $fingerprint = hash('sha256', $request->method()."\n".$request->path()."\n".$request->getContent());
        $outside = DB::transactionLevel();
        DB::beginTransaction();
        try {
            $row = $mine + ['request' => $fingerprint, 'created_at' => now()];
            if (DB::table('answered_writes')->insertOrIgnore($row) === 0) {
                $before = (object) DB::table('answered_writes')->where($mine)->first();

                $response = $this->again($request, $before, $fingerprint, $next);
            } else {
                $response = $next($request);
            }
            if ($response->isSuccessful()) {
                DB::table('answered_writes')->where($mine)->update([
                    'status' => $response->getStatusCode(),
                    'body' => ToldAgain::holdsASecret($request)
                        ? ToldAgain::kept($response)
                        : (string) $response->getContent(),
                ]);
                DB::commit();
            }

            return $response;
        } catch (QueryException $e) {
            // Somebody else's write with this key has not ended in all the time that a lock is waited for.
            throw self::isLock($e) ? RequestRefused::stillBeingAnswered() : $e;
        } finally {
            while (DB::transactionLevel() > $outside) {
                DB::rollBack();
            }
        }
    }

    private function again(Request $request, object $before, string $fingerprint, Closure $next): Response
    {
        if (($before->request ?? null) !== $fingerprint) {
            throw RequestRefused::idempotencyKeyReused();
        }
        if (($before->status ?? null) === null) {
            throw RequestRefused::stillBeingAnswered();
        }
        if (ToldAgain::holdsASecret($request)) {
            return $this->told->answer($request, (string) ($before->body ?? ''), $next);
        }

        return new Response((string) $before->body, (int) $before->status, [
            'Content-Type' => 'application/json',
            'Idempotent-Replay' => 'true',
        ]);
    }

    private static function wasLockedOut(Response $response): bool
    {
        $why = $response instanceof JsonResponse ? $response->exception : null;

        // Within another transaction the framework gives a deadlock a name of its own.
        return $why instanceof DeadlockException || ($why instanceof QueryException && self::isLock($why));
    }

    private static function isLock(QueryException $e): bool
    {
        return in_array($e->errorInfo[1] ?? null, self::LOCKED, true);
    }
}
