<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A step done on a piece, by whom and when; or left out, and why. The log only grows: what was taken back has a later
 * entry that says so, and neither is counted.
 *
 * @property int $id
 * @property int $piece_id
 * @property string $step
 * @property string $technique
 * @property string $family
 * @property string|null $area
 * @property int|null $covered_by number of the release whose work goes over it
 * @property string|null $minutes as timed or entered
 * @property string|null $planned_minutes
 * @property-read string|null $spent minutes as they were told, or corrected since
 * @property-read Piece $piece
 * @property string|null $skipped
 * @property int|null $undoes the entry that this one takes back
 * @property int|null $undone_by the entry that takes this one back
 * @property int $user_id
 * @property \Illuminate\Support\Carbon $done_at
 * @property-read User $user
 */
final class StepLog extends Model
{
    /** The longest name of a step that is kept. */
    public const KEY_LENGTH = 190;

    protected $table = 'step_logs';

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['done_at' => 'datetime'];

    /** With those that were taken back, and those that take back. */
    public const HISTORY = 'counted';

    protected static function booted(): void
    {
        self::addGlobalScope(self::HISTORY, function (Builder $logs): void {
            $logs->whereNull('step_logs.undoes')->whereNull('step_logs.undone_by');
        });
    }

    /** @return BelongsTo<Piece, $this> */
    public function piece(): BelongsTo
    {
        return $this->belongsTo(Piece::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
