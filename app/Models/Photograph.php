<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A photograph of one model from one side.
 *
 * @property int $id
 * @property int $piece_id
 * @property string $view
 * @property string $sha256
 * @property array{base_left: list<float>, base_right: list<float>, top: list<float>,
 *     card: list<int>|null}|null $placement
 * @property string $state
 * @property list<array<string, mixed>>|null $measures
 * @property string|null $said why it could not be measured
 * @property int $made_by
 * @property-read Piece $piece
 * @property-read Picture $picture
 * @property-read User $maker
 */
final class Photograph extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['placement' => 'array', 'measures' => 'array'];

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    /** @return BelongsTo<Picture, $this> */
    public function picture(): BelongsTo
    {
        return $this->belongsTo(Picture::class, 'sha256', 'sha256');
    }

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }
}
