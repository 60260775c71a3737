<?php

declare(strict_types=1);

namespace App\Actions\Session;

use App\Models\User;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;
use Laravel\Sanctum\NewAccessToken;

/** Makes tokens for a person's scripts, and revokes them. A token is told once: only its hash is kept. */
final class ManageTokens
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * @param  list<string>  $abilities  some of the person's own
     * @return NewAccessToken the row and the token itself
     */
    public function make(User $person, string $name, array $abilities, int $days): NewAccessToken
    {
        return DB::transaction(function () use ($person, $name, $abilities, $days): NewAccessToken {
            $made = $person->createToken($name, $abilities, now()->addDays($days));
            $this->log->write('token.made', $made->accessToken, null, [
                'name' => $name,
                'abilities' => $abilities,
                'days' => $days,
            ]);

            return $made;
        });
    }

    public function revoke(User $person, int $id): void
    {
        DB::transaction(function () use ($person, $id): void {
            $token = $person->tokens()->findOrFail($id);
            $token->forceFill(['revoked_at' => $token->revoked_at ?? now()])->save();
            $this->log->write('token.revoked', $token, null, null);
        });
    }
}
