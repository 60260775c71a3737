<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A name that a record of the chain holds only as a salted hash, so that it can be erased and the chain still fits.
 *
 * @property int $id
 * @property int $sign_off_id
 * @property string $token
 * @property string|null $salt
 * @property string|null $name
 */
final class RecordName extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** Whether the name gives the salted hash that the record holds; one that was erased gives none. */
    public function isTheOneSigned(): bool
    {
        return $this->name === null || hash_equals($this->token, hash('sha256', $this->salt.$this->name));
    }
}
