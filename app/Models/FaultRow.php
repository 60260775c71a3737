<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A fault found in a check, how it was judged and what puts it right.
 *
 * @property int $id
 * @property int $check_id
 * @property string $question
 * @property string $fault
 * @property string|null $area
 * @property string $spread
 * @property string|null $size_mm
 * @property string $severity
 * @property string $why
 * @property list<array{technique: string, area: string|null, minutes: float, why: string}> $repair
 * @property int $user_id
 */
final class FaultRow extends Model
{
    protected $table = 'faults';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['repair' => 'array'];
}
