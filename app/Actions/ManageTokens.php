<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AccessToken;
use App\Models\User;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Makes tokens for a person's scripts, and revokes them. A token is told once: only its hash is kept. */
final class ManageTokens
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * @param  list<string>  $abilities  some of the person's own
     * @return array{AccessToken, string} the row and the token itself
     */
    public function make(User $person, string $name, array $abilities): array
    {
        $secret = 'ordo_'.bin2hex(random_bytes(24));
        $token = DB::transaction(function () use ($person, $name, $abilities, $secret): AccessToken {
            $token = AccessToken::query()->create([
                'user_id' => $person->id,
                'name' => $name,
                'hash' => hash('sha256', $secret),
                'abilities' => $abilities,
            ]);
            $this->log->write('token.made', $token, null, ['name' => $name, 'abilities' => $abilities]);

            return $token;
        });

        return [$token, $secret];
    }

    public function revoke(User $person, int $id): void
    {
        DB::transaction(function () use ($person, $id): void {
            $token = AccessToken::query()->where('user_id', $person->id)->findOrFail($id);
            $token->update(['revoked_at' => $token->revoked_at ?? now()]);
            $this->log->write('token.revoked', $token, null, null);
        });
    }
}
