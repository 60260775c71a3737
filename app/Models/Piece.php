<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Ordotype\Core\Standard\Family;

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
 * @property int|null $batch_id the batch it is painted in
 * @property int $revision
 * @property-read Unit $unit
 * @property-read Collection<int, StepLog> $logs
 * @property-read Collection<int, SignOff> $signOffs
 * @property-read Collection<int, StepLog> $standing
 * @property-read Collection<int, Check> $checks
 * @property-read Collection<int, User> $painters
 * @property-read Collection<int, Photograph> $photographs
 * @property-read Collection<int, GateAnswer> $gateAnswers
 * @property-read StepLog|null $lastPaintedOver
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

    /** @return BelongsToMany<SignOff, $this> */
    public function signOffs(): BelongsToMany
    {
        return $this->belongsToMany(SignOff::class, 'sign_off_pieces');
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

    /**
     * @return BelongsToMany<User, $this> those whose work on it makes it their own; what was taken back or left out is
     * nobody's
     */
    public function painters(): BelongsToMany
    {
        $own = array_filter(Family::cases(), fn (Family $f) => $f->isOwnWork());

        return $this->belongsToMany(User::class, 'step_logs')
            ->wherePivotIn('family', array_values(array_map(fn (Family $f) => $f->value, $own)))
            ->wherePivotNull('skipped')
            ->wherePivotNull('undoes')
            ->wherePivotNull('undone_by')
            ->orderBy('name')
            ->distinct();
    }

    /** @return HasMany<Photograph, $this> */
    public function photographs(): HasMany
    {
        return $this->hasMany(Photograph::class)->orderBy('id');
    }

    /** @return HasMany<GateAnswer, $this> */
    public function gateAnswers(): HasMany
    {
        return $this->hasMany(GateAnswer::class)->orderBy('id');
    }

    /** @return HasOne<StepLog, $this> by which release painting of it was covered last; varnish and looks apart */
    public function lastPaintedOver(): HasOne
    {
        $over = array_filter(Family::cases(), fn (Family $f) => ! $f->isDoneAgain());

        return $this->hasOne(StepLog::class)
            ->selectRaw('piece_id, max(covered_by) as covered_by')
            ->whereNotNull('covered_by')
            ->whereIn('family', array_map(fn (Family $f) => $f->value, $over))
            ->groupBy('piece_id');
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
