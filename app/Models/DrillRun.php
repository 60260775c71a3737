<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ordotype\Core\Inspection\DrillPicture;

/**
 * One person's way through the pictures of a drill.
 *
 * @property int $id
 * @property int $user_id
 * @property int $sculpt_id
 * @property int $standard_version_id
 * @property string $tier
 * @property int $number
 * @property list<array{address: string, seed: int, fault: string|null, area: string|null, size: float|null,
 *     counts: bool}> $pictures
 * @property array<int, string|null> $calls by place of the picture
 * @property \Illuminate\Support\Carbon|null $finished_at
 * @property-read Sculpt $sculpt
 * @property-read StandardVersion $version
 * @property-read User $user
 */
final class DrillRun extends Model
{
    /** So many drills of a person are looked back on. */
    private const LOOKED_BACK_ON = 100;

    protected $table = 'drills';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['pictures' => 'array', 'calls' => 'array', 'finished_at' => 'datetime'];

    /**
     * @param  list<string>  $with
     * @return Collection<int, self> a person's last drills, the oldest first
     */
    public static function latestOf(int $user, array $with = []): Collection
    {
        return self::query()
            ->with($with)
            ->where('user_id', $user)
            ->orderByDesc('id')
            ->limit(self::LOOKED_BACK_ON)
            ->get()
            ->reverse()
            ->values();
    }

    /** @return BelongsTo<Sculpt, $this> */
    public function sculpt(): BelongsTo
    {
        return $this->belongsTo(Sculpt::class);
    }

    /** @return BelongsTo<StandardVersion, $this> */
    public function version(): BelongsTo
    {
        return $this->belongsTo(StandardVersion::class, 'standard_version_id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return list<DrillPicture> */
    public function planted(): array
    {
        return array_map(
            fn (array $p) => new DrillPicture(
                $p['seed'],
                $p['fault'],
                $p['area'],
                $p['size'] === null ? null : (float) $p['size'],
                $p['counts'],
            ),
            $this->pictures,
        );
    }
}
