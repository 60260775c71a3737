<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The studio's own figures: one row.
 *
 * @property int $id
 * @property string $hourly_rate
 */
final class Studio extends Model
{
    protected $table = 'studio';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    public static function row(): self
    {
        return self::query()->findOrFail(1);
    }
}
