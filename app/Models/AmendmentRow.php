<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * An amendment of an order or a unit, as in ordotype/amendment@1.
 *
 * @property int $id
 * @property int|null $order_id
 * @property int|null $unit_id
 * @property string $body
 * @property int|null $made_by
 * @property \Illuminate\Support\Carbon|null $created_at
 */
final class AmendmentRow extends Model
{
    protected $table = 'amendments';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';
}
