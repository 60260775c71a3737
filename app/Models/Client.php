<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Somebody who orders, with what is kept of them.
 *
 * @property int $id
 * @property string $name
 * @property string|null $reach  how to reach them
 * @property string|null $notes
 * @property int $revision
 * @property int|null $orders_count
 * @property int|null $open_count
 * @property-read Collection<int, Order> $orders
 */
final class Client extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** The one of that name, made where there is none yet. */
    public static function named(string $name): self
    {
        return self::query()->firstOrCreate(['name' => $name]);
    }

    /** @return HasMany<Order, $this> */
    public function orders(): HasMany
    {
        return $this->hasMany(Order::class)->orderByDesc('id');
    }
}
