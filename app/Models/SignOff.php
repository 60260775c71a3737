<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * A sign-off or a withdrawal: a link of the chain that nobody can change.
 *
 * @property int $id
 * @property int $number
 * @property string $kind
 * @property string $previous
 * @property string $hash
 * @property string $record
 * @property string|null $secret
 * @property int $user_id
 * @property \Illuminate\Support\Carbon $signed_at
 * @property-read User $user
 * @property-read Collection<int, Piece> $pieces
 */
final class SignOff extends Model
{
    protected $table = 'sign_offs';

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['signed_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsToMany<Piece, $this> */
    public function pieces(): BelongsToMany
    {
        return $this->belongsToMany(Piece::class, 'sign_off_pieces');
    }
}
