<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A parcel of an order, in or out.
 *
 * @property int $id
 * @property int $order_id
 * @property string $direction  in or out
 * @property \Illuminate\Support\Carbon $on_day
 * @property string $way
 * @property string|null $tracking
 * @property string|null $recipient
 * @property string|null $insured
 * @property list<int> $pieces  ids
 * @property int|null $user_id
 * @property \Illuminate\Support\Carbon $made_at
 */
final class Parcel extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['on_day' => 'date', 'pieces' => 'array', 'made_at' => 'datetime'];
}
