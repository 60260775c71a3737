<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A paint on the shelf.
 *
 * @property int $id
 * @property string $name
 * @property string $kind
 * @property string $hex
 * @property string $hiding
 * @property string $ml
 * @property string|null $price  of a pot
 * @property string $pot_ml  what a full pot holds
 */
final class Paint extends Model
{
    /** What a paint is, as the shelf's file has it. */
    public const KINDS = ['opaque', 'wash', 'stain', 'metal'];

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';
}
