<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A clause of one version, with a revision of its own.
 *
 * @property int $id
 * @property int $standard_version_id
 * @property string $tier
 * @property string $clause
 * @property int $position
 * @property string $body
 * @property int $revision
 * @property int|null $changed_by
 * @property-read StandardVersion $version
 */
final class ClauseRow extends Model
{
    protected $table = 'clauses';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return BelongsTo<StandardVersion, $this> */
    public function version(): BelongsTo
    {
        return $this->belongsTo(StandardVersion::class, 'standard_version_id');
    }
}
