<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A detail of signed-off work that shows what a tier looks like.
 *
 * @property int $id
 * @property string $tier its key
 * @property string $material
 * @property string $area its name on the figure
 * @property string $sha256
 * @property int $photograph_id
 * @property-read Photograph $photograph
 */
final class Example extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return BelongsTo<Photograph, $this> */
    public function photograph(): BelongsTo
    {
        return $this->belongsTo(Photograph::class);
    }
}
