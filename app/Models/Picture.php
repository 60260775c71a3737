<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A picture that was taken in: decoded, and written anew without anything but its pixels. The file is named by its
 * hash.
 *
 * @property string $sha256
 * @property string $mime
 * @property int $width
 * @property int $height
 * @property int $bytes
 * @property bool $is_drawn of the booth, whatever it is used as
 */
final class Picture extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'sha256';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['is_drawn' => 'boolean'];
}
