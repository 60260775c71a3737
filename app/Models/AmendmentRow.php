<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An amendment of an order, a unit or a piece, or where it names none of the whole studio, as in ordotype/amendment@1.
 *
 * @property int $id
 * @property int|null $order_id
 * @property int|null $unit_id
 * @property int|null $piece_id
 * @property string $body
 * @property int|null $made_by
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property \Illuminate\Support\Carbon|null $ended_at
 * @property-read Piece|null $piece
 */
final class AmendmentRow extends Model
{
    protected $table = 'amendments';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['ended_at' => 'datetime'];

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    public function level(): string
    {
        return match (true) {
            $this->piece_id !== null => 'piece',
            $this->unit_id !== null => 'unit',
            $this->order_id !== null => 'order',
            default => 'studio',
        };
    }
}
