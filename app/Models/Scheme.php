<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The colours of an army, as a document in ordotype/scheme@1.
 *
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $document
 */
final class Scheme extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';
}
