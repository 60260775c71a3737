<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ordotype\Core\Studio\QuoteState;

/**
 * A version of a quote, as it went out: what it says is never changed, only what became of it.
 *
 * @property int $id
 * @property int $order_id
 * @property int $number
 * @property array<string, mixed> $body
 * @property \Illuminate\Support\Carbon $valid_until
 * @property QuoteState $state
 * @property int|null $made_by
 * @property \Illuminate\Support\Carbon $made_at
 * @property \Illuminate\Support\Carbon|null $answered_at
 * @property string|null $answered_by
 * @property string|null $answered_how  null: by the client's page
 * @property list<string>|null $ticks  ids of the extras that were taken
 * @property string|null $reason
 * @property \Illuminate\Support\Carbon|null $settled_at
 * @property list<string>|null $came_true  ids of what moved the price
 * @property-read Order $order
 */
final class QuoteRow extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $table = 'quotes';

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = [
        'body' => 'array',
        'valid_until' => 'date',
        'state' => QuoteState::class,
        'made_at' => 'datetime',
        'answered_at' => 'datetime',
        'settled_at' => 'datetime',
        'ticks' => 'array',
        'came_true' => 'array',
    ];

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    public function hasRunOut(string $day): bool
    {
        return $this->state === QuoteState::Open && $this->valid_until->format('Y-m-d') < $day;
    }
}
