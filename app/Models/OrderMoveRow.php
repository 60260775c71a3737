<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\OrderStatus;

/**
 * One move of an order, as it was made.
 *
 * @property int $id
 * @property int $order_id
 * @property OrderStatus $from_status
 * @property OrderStatus $to_status
 * @property Mover $mover
 * @property int|null $user_id
 * @property array{reason?: string, who?: string, how?: string, price?: string, until?: string, before?: bool} $facts
 * @property \Illuminate\Support\Carbon $at
 */
final class OrderMoveRow extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $table = 'order_moves';

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = [
        'from_status' => OrderStatus::class,
        'to_status' => OrderStatus::class,
        'mover' => Mover::class,
        'facts' => 'array',
        'at' => 'datetime',
    ];
}
