<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A fault found in a check, how it was judged and what puts it right.
 *
 * @property int $id
 * @property int $check_id
 * @property string $question
 * @property string $fault
 * @property string|null $area
 * @property array{view: string, x: float, y: float}|null $pin  parts of the frame
 * @property string $spread
 * @property string|null $size_mm
 * @property string $severity
 * @property string $why
 * @property array{was: string, by: string, reason: string}|null $overruled
 * @property list<array{technique: string, area: string|null, minutes: float, why: string}> $repair
 * @property int $user_id
 * @property-read Check $check
 */
final class FaultRow extends Model
{
    protected $table = 'faults';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['repair' => 'array', 'pin' => 'array', 'overruled' => 'array'];

    /** @return BelongsTo<Check, $this> */
    public function check(): BelongsTo
    {
        return $this->belongsTo(Check::class);
    }
}
