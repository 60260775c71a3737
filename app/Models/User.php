<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * Somebody who works in the studio.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property bool $may_sign
 * @property int $skill
 */
final class User extends Authenticatable
{
    /** @var list<string>|null abilities a token is limited to; null: all that the role has */
    public ?array $limitedTo = null;

    protected $fillable = ['name', 'email', 'password', 'role', 'may_sign', 'skill'];

    protected $hidden = ['password', 'remember_token'];

    /** @var array<string, string> */
    protected $casts = ['password' => 'hashed', 'role' => Role::class, 'may_sign' => 'boolean', 'skill' => 'integer'];
}
