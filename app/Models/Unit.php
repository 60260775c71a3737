<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Ordotype\Core\Bench\Stage;

/**
 * A number of pieces of one sculpt at one tier.
 *
 * @property int $id
 * @property int $order_id
 * @property int $sculpt_id
 * @property string $tier
 * @property string|null $label
 * @property array<string, list<array{technique: string, passes: int, extent: string}>>|null $edits
 * @property array{sequence?: list<string>, paints?: array<string, string>, notes?: array<string, string>,
 *     practice?: string|null, aim?: string|null}|null $arrangement
 * @property string|null $variants
 * @property int|null $scheme_number
 * @property \Illuminate\Support\Carbon|null $released_at
 * @property int|null $released_by
 * @property int|null $test_piece_id its test model
 * @property int $revision
 * @property string|null $price  of a piece, as the lead set it; null: the middle of the card
 * @property string|null $ceiling  of a piece, where the card has no high end
 * @property string|null $agreed_price  of a piece, as it was accepted
 * @property-read Receiving|null $receiving
 * @property-read Order $order
 * @property-read Sculpt $sculpt
 * @property-read Collection<int, Piece> $pieces
 * @property-read Collection<int, AmendmentRow> $amendments
 * @property-read Collection<int, LotRow> $lots
 */
final class Unit extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['edits' => 'array', 'arrangement' => 'array', 'released_at' => 'datetime'];

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    /** Its order as it is now; nobody else changes it until the transaction ends. */
    public function lockedOrder(): Order
    {
        return Order::query()->lockForUpdate()->findOrFail($this->order_id);
    }

    /** @return BelongsTo<Sculpt, $this> */
    public function sculpt(): BelongsTo
    {
        return $this->belongsTo(Sculpt::class);
    }

    /** @return HasMany<Piece, $this> by their numbers: variants are dealt in that order, whatever index is read */
    public function pieces(): HasMany
    {
        return $this->hasMany(Piece::class)->orderBy('number');
    }

    /** @return HasOne<Receiving, $this> what came in */
    public function receiving(): HasOne
    {
        return $this->hasOne(Receiving::class);
    }

    /** @return HasMany<LotRow, $this> the newest first */
    public function lots(): HasMany
    {
        return $this->hasMany(LotRow::class)->orderByDesc('id');
    }

    /** @return HasMany<AmendmentRow, $this> */
    public function amendments(): HasMany
    {
        return $this->hasMany(AmendmentRow::class);
    }

    /** @return Collection<int, Piece> those that are still to be delivered, by number */
    public function standing(): Collection
    {
        return $this->pieces
            ->whereNotIn('stage', [Stage::Lost->value, Stage::Cancelled->value])
            ->sortBy('number')
            ->values();
    }
}
