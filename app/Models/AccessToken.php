<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * A person's token for scripts; only its hash is kept.
 *
 * @property int $id
 * @property int $tokenable_id
 * @property string $name
 * @property list<string> $abilities
 * @property Carbon|null $last_used_at
 * @property Carbon|null $expires_at
 * @property Carbon|null $revoked_at
 * @property-read User $tokenable
 */
final class AccessToken extends PersonalAccessToken
{
    protected $table = 'personal_access_tokens';

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = [
        'abilities' => 'json',
        'last_used_at' => 'datetime',
        'expires_at' => 'datetime',
        'revoked_at' => 'datetime',
    ];

    /** Whether it lets somebody in today. */
    public function holds(): bool
    {
        return $this->revoked_at === null &&
            $this->expires_at?->isFuture() === true &&
            $this->tokenable->set_aside_at === null;
    }
}
