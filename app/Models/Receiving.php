<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What came in of a unit, and how it was.
 *
 * @property int $id
 * @property int $unit_id
 * @property int $count
 * @property bool $built
 * @property string|null $state
 * @property list<array{piece: int, part: string}> $missing
 * @property string|null $spares
 * @property string|null $base
 * @property string|null $lies
 * @property int $revision
 * @property int $user_id
 * @property \Illuminate\Support\Carbon $at
 */
final class Receiving extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['built' => 'boolean', 'missing' => 'array', 'at' => 'datetime'];
}
