<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use LogicException;

/**
 * A photograph from one side of one model, or of a figure in undercoat or bare.
 *
 * @property int $id
 * @property int|null $piece_id
 * @property int|null $sculpt_id
 * @property string $view
 * @property string $shows painted, undercoated or bare
 * @property string $sha256
 * @property array{base_left: list<float>, base_right: list<float>, top: list<float>,
 *     card: list<int>|null, shifts?: array<string, list<float>>}|null $placement
 * @property string $state
 * @property string|null $measures in ordotype/measures@1
 * @property string|null $reference the drawn plan, measured likewise
 * @property string|null $said why it could not be measured
 * @property int $revision of the placement
 * @property int $made_by
 * @property-read Piece|null $piece
 * @property-read Sculpt|null $sculpt
 * @property-read Picture $picture
 * @property-read User $maker
 */
final class Photograph extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['placement' => 'array'];

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    /** @return BelongsTo<Sculpt, $this> */
    public function sculpt(): BelongsTo
    {
        return $this->belongsTo(Sculpt::class);
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

    /** Whose outlines are laid over it. */
    public function figure(): Sculpt
    {
        return $this->piece->unit->sculpt ?? $this->sculpt ?? throw new LogicException('Of nothing.');
    }
}
