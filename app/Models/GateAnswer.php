<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was said of a piece at a gate.
 *
 * @property int $id
 * @property int $piece_id
 * @property string $gate
 * @property bool $passed
 * @property string|null $note
 * @property int $user_id
 * @property \Illuminate\Support\Carbon $answered_at
 * @property-read User $user
 */
final class GateAnswer extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['passed' => 'boolean', 'answered_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
