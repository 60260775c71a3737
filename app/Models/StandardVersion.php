<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One version of a standard: an open draft, or published and never changed again.
 *
 * @property int $id
 * @property int $standard_id
 * @property int $number
 * @property string $status
 * @property int $revision
 * @property string $frame
 * @property string|null $document
 * @property string|null $sha256
 * @property string|null $note
 * @property int|null $published_by
 * @property \Illuminate\Support\Carbon|null $published_at
 * @property-read Collection<int, ClauseRow> $clauses
 * @property-read Standard $standard
 */
final class StandardVersion extends Model
{
    /** What names a version, without its document. */
    public const BRIEF = ['id', 'number', 'status', 'sha256'];

    protected $table = 'standard_versions';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['published_at' => 'datetime'];

    /** @return HasMany<ClauseRow, $this> */
    public function clauses(): HasMany
    {
        return $this->hasMany(ClauseRow::class, 'standard_version_id');
    }

    /** @return BelongsTo<Standard, $this> */
    public function standard(): BelongsTo
    {
        return $this->belongsTo(Standard::class);
    }
}
