<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * The colours of an army, as a document in ordotype/scheme@1.
 *
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $document  of the version in force
 * @property int $number  of the version in force
 * @property-read Collection<int, SchemeVersion> $versions
 * @property-read int|null $orders_count
 */
final class Scheme extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return HasMany<SchemeVersion, $this> */
    public function versions(): HasMany
    {
        return $this->hasMany(SchemeVersion::class);
    }

    /** Whether its test model was rejected and its colours are still those. */
    public function isStillRejected(): bool
    {
        $last = $this->versions()->orderByDesc('number')->limit(2)->get();

        return $last->count() === 2 &&
            $last[0]->outcome === 'untried' &&
            $last[1]->outcome === 'rejected' &&
            $last[0]->document === $last[1]->document;
    }

    /** @return HasMany<Order, $this> */
    public function orders(): HasMany
    {
        return $this->hasMany(Order::class);
    }
}
