<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A studio's rule book, kept in versions.
 *
 * @property int $id
 * @property string $name
 */
final class Standard extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';
}
