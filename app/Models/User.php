<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Foundation\Auth\User as Authenticatable;
use Laravel\Sanctum\HasApiTokens;

/**
 * Somebody who works in the studio.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property bool $may_sign
 * @property int $skill
 * @property string|null $hours_week at the bench
 * @property int|null $largest_batch models
 * @property list<array{from: string, to: string}>|null $away days, with the last
 * @property \Illuminate\Support\Carbon|null $joined_at null: invited, no password yet
 * @property \Illuminate\Support\Carbon|null $set_aside_at
 * @property int $revision
 * @property string|null $second_factor the secret, in base 32
 * @property \Illuminate\Support\Carbon|null $second_factor_since null: none that was confirmed
 * @property int $second_factor_step of the last code that was used
 * @property list<string>|null $recovery_codes hashes of those that were not used
 */
final class User extends Authenticatable
{
    /** @use HasApiTokens<AccessToken> */
    use HasApiTokens;

    protected $fillable = [
        'name', 'email', 'password', 'role', 'may_sign', 'skill', 'hours_week', 'largest_batch', 'away', 'joined_at',
        'set_aside_at', 'revision', 'second_factor', 'second_factor_since', 'second_factor_step', 'recovery_codes',
    ];

    protected $hidden = ['password', 'remember_token', 'second_factor', 'recovery_codes'];

    /** @var array<string, string> */
    protected $casts = [
        'password' => 'hashed',
        'role' => Role::class,
        'may_sign' => 'boolean',
        'skill' => 'integer',
        'joined_at' => 'datetime',
        'set_aside_at' => 'datetime',
        'second_factor' => 'encrypted',
        'second_factor_since' => 'datetime',
        'second_factor_step' => 'integer',
        'recovery_codes' => 'array',
        'away' => 'array',
    ];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** Nobody else is invited or at work: then there is nobody else to check and sign. */
    public function isAlone(): bool
    {
        return self::query()->whereKeyNot($this->id)->whereNull('set_aside_at')->doesntExist();
    }

    /** Whether somebody is not there on a day, such as 2026-12-02. */
    public function isAway(string $day): bool
    {
        foreach ($this->away ?? [] as $days) {
            if ($days['from'] <= $day && $day <= $days['to']) {
                return true;
            }
        }

        return false;
    }
}
