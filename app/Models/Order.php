<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Ordotype\Core\Studio\OrderStatus;

/**
 * What a client has ordered.
 *
 * @property int $id
 * @property string $number
 * @property string $client
 * @property string $title
 * @property string|null $client_reference
 * @property string|null $brief
 * @property OrderStatus $status
 * @property \Illuminate\Support\Carbon|null $due_on
 * @property int $standard_version_id
 * @property int|null $scheme_id
 * @property string|null $method
 * @property string|null $reference
 * @property int $revision
 * @property-read Collection<int, Unit> $units
 * @property-read StandardVersion $version
 * @property-read Scheme|null $scheme
 * @property-read Collection<int, AmendmentRow> $amendments
 * @property-read Collection<int, OverruleRow> $overrules
 */
final class Order extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['due_on' => 'date', 'status' => OrderStatus::class];

    /** @return array<string, string|null> what was written down of it, by the names of the contract */
    public function facts(): array
    {
        return [
            'client' => $this->client,
            'title' => $this->title,
            'client_reference' => $this->client_reference,
            'brief' => $this->brief,
            'due_on' => $this->due_on?->format('Y-m-d'),
        ];
    }

    /** @return HasMany<Unit, $this> */
    public function units(): HasMany
    {
        return $this->hasMany(Unit::class);
    }

    /** @return BelongsTo<StandardVersion, $this> */
    public function version(): BelongsTo
    {
        return $this->belongsTo(StandardVersion::class, 'standard_version_id');
    }

    /** @return BelongsTo<Scheme, $this> */
    public function scheme(): BelongsTo
    {
        return $this->belongsTo(Scheme::class);
    }

    /** @return HasMany<OverruleRow, $this> the rules of order that do not hold for it */
    public function overrules(): HasMany
    {
        return $this->hasMany(OverruleRow::class, 'order_id')->orderBy('id');
    }

    /** Of this order as it is now; nobody else changes it until the transaction ends. */
    public function locked(): self
    {
        return self::query()->lockForUpdate()->findOrFail($this->id);
    }

    /** @return HasMany<AmendmentRow, $this> */
    public function amendments(): HasMany
    {
        return $this->hasMany(AmendmentRow::class);
    }
}
