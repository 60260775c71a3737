<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a unit went to the bench with.
 *
 * @property int $id
 * @property int $unit_id
 * @property int $number
 * @property string $document
 * @property string $sha256
 * @property int $steps how many its unit's work has
 * @property int $passes
 * @property bool $reconstructed
 * @property bool $is_sampled whether only some of its models are checked
 * @property int|null $released_by
 * @property \Illuminate\Support\Carbon $released_at
 * @property \Illuminate\Support\Carbon|null $taken_back_at
 * @property-read Unit $unit
 */
final class ReleaseRow extends Model
{
    protected $table = 'releases';

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = [
        'released_at' => 'datetime',
        'taken_back_at' => 'datetime',
        'reconstructed' => 'boolean',
        'is_sampled' => 'boolean',
    ];

    /** @return BelongsTo<Unit, $this> */
    public function unit(): BelongsTo
    {
        return $this->belongsTo(Unit::class);
    }
}
