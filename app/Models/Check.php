<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One inspection of one piece.
 *
 * @property int $id
 * @property int $piece_id
 * @property int $round
 * @property int $standard_version_id
 * @property int|null $release_id
 * @property list<array<string, mixed>> $questions
 * @property int $opened_by
 * @property int|null $held_by
 * @property \Illuminate\Support\Carbon|null $held_until
 * @property string|null $verdict
 * @property string|null $reason
 * @property string|null $consent
 * @property int|null $closed_by
 * @property \Illuminate\Support\Carbon|null $closed_at
 * @property int $revision
 * @property-read Piece $piece
 * @property-read User|null $holder
 * @property-read ReleaseRow|null $release
 * @property-read Collection<int, Answer> $answers
 * @property-read Collection<int, FaultRow> $faults
 */
final class Check extends Model
{
    /** How long one who looked last keeps a check to themselves. */
    private const HELD_MINUTES = 10;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['questions' => 'array', 'closed_at' => 'datetime', 'held_until' => 'datetime'];

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    /** @return BelongsTo<User, $this> */
    public function holder(): BelongsTo
    {
        return $this->belongsTo(User::class, 'held_by');
    }

    public function isFreeFor(User $user): bool
    {
        return $this->held_by === null || $this->held_by === $user->id || $this->held_until?->isPast() !== false;
    }

    /** @return array{held_by: int, held_until: \Illuminate\Support\Carbon} */
    public static function heldBy(User $user): array
    {
        return ['held_by' => $user->id, 'held_until' => now()->addMinutes(self::HELD_MINUTES)];
    }

    public function hold(User $user): void
    {
        $this->update(self::heldBy($user));
    }

    /** @return BelongsTo<ReleaseRow, $this> what it was opened against */
    public function release(): BelongsTo
    {
        return $this->belongsTo(ReleaseRow::class);
    }

    /** @return HasMany<Answer, $this> */
    public function answers(): HasMany
    {
        return $this->hasMany(Answer::class);
    }

    /** @return HasMany<FaultRow, $this> */
    public function faults(): HasMany
    {
        return $this->hasMany(FaultRow::class);
    }
}
