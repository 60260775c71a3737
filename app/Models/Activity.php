<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A line of the log of what was changed, by whom, from what to what.
 *
 * @property int $id
 * @property int|null $user_id
 * @property string $action
 * @property string $subject
 * @property int $subject_id
 * @property string|null $before
 * @property string|null $after
 * @property \Illuminate\Support\Carbon $at
 */
final class Activity extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['at' => 'datetime'];
}
