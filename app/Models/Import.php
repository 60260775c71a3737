<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A long file on its way in.
 *
 * @property int $id
 * @property int $user_id
 * @property string|null $text null: over and done with
 * @property string $state
 * @property int $done
 * @property int $all
 * @property bool $called_off
 * @property string|null $said what was taken in, or why not
 * @property list<array{pointer: string, detail: string}>|null $problems
 */
final class Import extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['called_off' => 'boolean', 'problems' => 'array', 'done' => 'integer', 'all' => 'integer'];
}
