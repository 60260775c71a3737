<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The studio's own figures: one row.
 *
 * @property int $id
 * @property string $name empty until somebody gave one
 * @property string $hourly_rate
 * @property string $time_zone by its name in the tz database
 * @property list<string> $second_factor_roles who must have one
 */
final class Studio extends Model
{
    protected $table = 'studio';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** What can be set. */
    public const FACTS = ['name', 'hourly_rate', 'time_zone', 'second_factor_roles'];

    /** @var array<string, string> */
    protected $casts = ['second_factor_roles' => 'array'];

    public static function row(): self
    {
        return self::query()->findOrFail(1);
    }
}
