<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One version of a scheme, and how its test model came out.
 *
 * @property int $id
 * @property int $scheme_id
 * @property int $number
 * @property string $document
 * @property string|null $note
 * @property string $outcome
 * @property string|null $outcome_note
 * @property string|null $repaint_minutes
 * @property int|null $outcome_by
 * @property \Illuminate\Support\Carbon|null $outcome_at
 * @property int|null $made_by
 * @property \Illuminate\Support\Carbon|null $created_at
 */
final class SchemeVersion extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['outcome_at' => 'datetime'];
}
