<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An answer to a question of a check.
 *
 * @property int $id
 * @property int $check_id
 * @property string $question
 * @property string $answer
 * @property string|null $note
 * @property string|null $look
 * @property int $user_id
 * @property \Illuminate\Support\Carbon $answered_at
 * @property-read User $user
 */
final class Answer extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['answered_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
