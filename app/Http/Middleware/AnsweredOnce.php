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
    private const TRIES = 5;

    /** MariaDB's numbers for a deadlock and for a lock that was not to be had in time. */
    private const LOCKED = [1213, 1205];

    /** Before it is tried again, so that those that were in each other's way are not once more. */
    private const PAUSE_MS = 20;

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
            try {
                $response = $this->once($request, $next, $mine);
            } catch (QueryException $e) {
                // Several with one key that waited for a first one which was refused: one of them goes on at once.
                if (! self::isLock($e)) {
                    throw $e;
                }
                $response = null;
            }
            if ($response !== null && ! self::wasLockedOut($response)) {
                return $response;
            }
            if ($try === self::TRIES) {
                return $response ?? throw RequestRefused::stillBeingAnswered();
            }
            usleep(random_int(1, self::PAUSE_MS * $try) * 1000);
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
            $isFirst = self::insert($row);
            $response = $isFirst ? $next($request) : $this->again(
                $request,
                (object) DB::table('answered_writes')->where($mine)->first(),
                $fingerprint,
                $next,
            );
            // What is only told again changes nothing: several that do so would wait for each other.
            if ($response->isSuccessful() && ($isFirst || ToldAgain::holdsASecret($request))) {
                DB::table('answered_writes')->where($mine)->update([
                    'status' => $response->getStatusCode(),
                    'body' => ToldAgain::holdsASecret($request)
                        ? ToldAgain::kept($response)
                        : (string) $response->getContent(),
                ]);
                DB::commit();
            }

            return $response;
        } finally {
            while (DB::transactionLevel() > $outside) {
                DB::rollBack();
            }
        }
    }

    /**
     * Whether the key is new. One that is there is locked for writing at once: had several a lock for reading, none of
     * them could get the other.
     *
     * @param  array<string, mixed>  $row
     */
    private static function insert(array $row): bool
    {
        $into = DB::table('answered_writes')->getGrammar()->compileInsert(DB::table('answered_writes'), $row);

        return DB::affectingStatement("$into on duplicate key update request = request", array_values($row)) === 1;
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
