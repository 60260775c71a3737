<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One physical model.
 *
 * @property int $id
 * @property int $unit_id
 * @property int $number
 * @property string $code
 * @property string $stage
 * @property list<string>|null $lacks
 * @property array<string, list<array{technique: string, passes: int, extent: string}>>|null $edits
 * @property string|null $held_from
 * @property int $revision
 * @property-read Unit $unit
 * @property-read Collection<int, StepLog> $logs
 * @property-read Collection<int, StepLog> $standing
 * @property-read Collection<int, Check> $checks
 * @property-read Check|null $lastClosed
 */
final class Piece extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['lacks' => 'array', 'edits' => 'array'];

    /** @return BelongsTo<Unit, $this> */
    public function unit(): BelongsTo
    {
        return $this->belongsTo(Unit::class);
    }

    /** @return HasMany<StepLog, $this> */
    public function logs(): HasMany
    {
        return $this->hasMany(StepLog::class);
    }

    /** @return HasMany<StepLog, $this> those that nothing was painted over, as the index has them */
    public function standing(): HasMany
    {
        return $this->logs()->whereNotNull('standing')->orderBy('id');
    }

    /** @return HasOne<Check, $this> */
    public function lastClosed(): HasOne
    {
        return $this->hasOne(Check::class)
            ->ofMany(['round' => 'max'], fn (Builder $of) => $of->whereNotNull('closed_at'));
    }

    /** @return HasMany<Check, $this> */
    public function checks(): HasMany
    {
        return $this->hasMany(Check::class);
    }
}
