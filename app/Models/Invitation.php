<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A link by which somebody sets a password: the first one, or another.
 *
 * @property int $id
 * @property int $user_id
 * @property string $hash
 * @property \Illuminate\Support\Carbon $expires_at
 * @property \Illuminate\Support\Carbon|null $used_at
 * @property \Illuminate\Support\Carbon|null $withdrawn_at
 * @property-read User $user
 */
final class Invitation extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['expires_at' => 'datetime', 'used_at' => 'datetime', 'withdrawn_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /**
     * @param  Builder<self>  $links
     * @return Builder<self> those that still open the door
     */
    public function scopeStanding(Builder $links): Builder
    {
        return $links->whereNull('used_at')->whereNull('withdrawn_at')->where('expires_at', '>', now());
    }
}
