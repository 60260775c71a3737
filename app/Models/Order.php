<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What a client has ordered.
 *
 * @property int $id
 * @property string $number
 * @property string $client
 * @property string $title
 * @property string|null $brief
 * @property string $status
 * @property \Illuminate\Support\Carbon|null $due_on
 * @property int $standard_version_id
 * @property int|null $scheme_id
 * @property string|null $method
 * @property list<array{
 *     rule: string, earlier: string, later: string, reason: string, by: string, at: string
 * }>|null $overrules
 * @property string|null $reference
 * @property int $revision
 * @property-read Collection<int, Unit> $units
 * @property-read StandardVersion $version
 * @property-read Scheme|null $scheme
 * @property-read Collection<int, AmendmentRow> $amendments
 */
final class Order extends Model
{
    /** Where nothing is left to do. */
    public const FINISHED = ['done', 'delivered', 'closed', 'cancelled'];

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['due_on' => 'date', 'overrules' => 'array'];

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

    /** @return HasMany<AmendmentRow, $this> */
    public function amendments(): HasMany
    {
        return $this->hasMany(AmendmentRow::class);
    }
}
