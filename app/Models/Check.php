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
 * @property string|null $verdict
 * @property string|null $reason
 * @property int|null $closed_by
 * @property \Illuminate\Support\Carbon|null $closed_at
 * @property int $revision
 * @property-read Piece $piece
 * @property-read Collection<int, Answer> $answers
 * @property-read Collection<int, FaultRow> $faults
 */
final class Check extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['questions' => 'array', 'closed_at' => 'datetime'];

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
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
