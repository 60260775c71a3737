<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A kind of model with its map of areas, as a document in ordotype/sculpt@1.
 *
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $role
 * @property string $size
 * @property string $document
 * @property int $revision
 * @property string|null $picture_front
 * @property string|null $picture_back
 */
final class Sculpt extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';
}
