<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something that the client is asked, or asks the studio.
 *
 * @property int $id
 * @property int $order_id
 * @property int|null $unit_id
 * @property int|null $piece_id
 * @property string $text
 * @property bool $blocks
 * @property \Illuminate\Support\Carbon|null $waits_until
 * @property string|null $picture
 * @property array{x: float, y: float}|null $pin
 * @property int|null $asked_by  null: the client, by their page
 * @property string|null $asked_name  of the client who asks
 * @property array{tier?: string, go_ahead?: bool}|null $wish  a tier that the client would have the unit at, or their
 *     word on its test model
 * @property \Illuminate\Support\Carbon $asked_at
 * @property string|null $answer
 * @property string|null $answered_by
 * @property \Illuminate\Support\Carbon|null $answered_at
 * @property int|null $amendment_id
 * @property-read Order $order
 */
final class Question extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = [
        'blocks' => 'boolean',
        'waits_until' => 'date',
        'pin' => 'array',
        'wish' => 'array',
        'asked_at' => 'datetime',
        'answered_at' => 'datetime',
    ];

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    /** Whether it is about a unit, one of its models, or the whole order; null: about anything. */
    public function isAbout(?Unit $unit): bool
    {
        return $unit === null ||
            ($this->unit_id === null && $this->piece_id === null) ||
            $this->unit_id === $unit->id ||
            $unit->pieces->contains('id', $this->piece_id);
    }

    /** Whether the client asks the studio. */
    public function isFromClient(): bool
    {
        return $this->asked_by === null;
    }

    /** Whether it holds work up on a day. */
    public function holdsOn(string $day): bool
    {
        return $this->blocks &&
            $this->answered_at === null &&
            ($this->waits_until === null || $this->waits_until->format('Y-m-d') <= $day);
    }
}
