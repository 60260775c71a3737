<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A link that shows one thing to whoever has it, until it expires or is withdrawn.
 *
 * @property int $id
 * @property string $hash
 * @property string $what
 * @property array<string, mixed> $shows
 * @property int $made_by
 * @property \Illuminate\Support\Carbon $expires_at
 * @property \Illuminate\Support\Carbon|null $withdrawn_at
 */
final class ShareLink extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['shows' => 'array', 'expires_at' => 'datetime', 'withdrawn_at' => 'datetime'];

    public function holds(): bool
    {
        return $this->withdrawn_at === null && $this->expires_at->isFuture();
    }
}
