<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Models that are painted together, by whom and when, and the runs that are in force for them. It holds its models
 * until it is ended.
 *
 * @phpstan-type Hand array{user: int, from: string, to: string, days: list<int>, largest: int|null}
 * @phpstan-type KeptRun array{painter: int, operations: list<array{int, string, int}>}
 *
 * @property int $id
 * @property string $name
 * @property int $revision
 * @property CarbonImmutable $starts_at
 * @property int $guns
 * @property bool $fan
 * @property list<Hand> $painters with the hours of a day by the studio's clock, and the days of a week from 1, Monday
 * @property list<KeptRun> $runs by id of the painter; each operation as id of the piece, step and coat
 * @property CarbonImmutable $laid_at
 * @property CarbonImmutable|null $expected_at the end that was expected when it was laid out or looked at last
 * @property int $made_by
 * @property CarbonImmutable|null $ended_at
 * @property-read Collection<int, Piece> $pieces
 */
final class BatchRow extends Model
{
    protected $table = 'batches';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = [
        'painters' => 'array',
        'runs' => 'array',
        'fan' => 'boolean',
        'starts_at' => 'immutable_datetime',
        'laid_at' => 'immutable_datetime',
        'expected_at' => 'immutable_datetime',
        'ended_at' => 'immutable_datetime',
    ];

    /** @return Collection<int, self> those that are not ended, with what is shown of their models */
    public static function open(): Collection
    {
        return self::query()
            ->whereNull('ended_at')
            ->with(['pieces.unit.order', 'pieces.unit.sculpt'])
            ->orderBy('id')
            ->get();
    }

    /** @return HasMany<Piece, $this> */
    public function pieces(): HasMany
    {
        return $this->hasMany(Piece::class, 'batch_id')->orderBy('unit_id')->orderBy('number');
    }
}
