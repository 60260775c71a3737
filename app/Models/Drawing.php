<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A drawing of the booth: what it is drawn from, and how far it is.
 *
 * @property string $hash
 * @property string $spec
 * @property string $state
 * @property int|null $bytes
 * @property \Illuminate\Support\Carbon|null $asked_at
 * @property \Illuminate\Support\Carbon|null $ready_at
 */
final class Drawing extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'hash';

    protected $keyType = 'string';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['bytes' => 'integer', 'asked_at' => 'datetime', 'ready_at' => 'datetime'];
}
