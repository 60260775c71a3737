<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Ordotype\Core\Inspection\Lot;
use Ordotype\Core\Inspection\SamplingPlan;

/**
 * Models that were offered together and of which a sample is checked.
 *
 * @property int $id
 * @property int $unit_id
 * @property int $seed
 * @property bool $is_tightened
 * @property list<int> $pieces numbers
 * @property list<int> $drawn numbers
 * @property array<string, array{n: int, accepts: int}> $plans
 * @property int|null $painter_id
 * @property int $drawn_by
 * @property string $verdict
 */
final class LotRow extends Model
{
    protected $table = 'lots';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['pieces' => 'array', 'drawn' => 'array', 'plans' => 'array', 'is_tightened' => 'boolean'];

    /** @return list<int>|null numbers of the models of a unit that are looked at now; null: all */
    public static function looked(int $unit): ?array
    {
        return self::query()->where('unit_id', $unit)->where('verdict', 'open')->first()?->drawn;
    }

    public function lot(): Lot
    {
        $plans = array_map(fn (array $p) => new SamplingPlan($p['n'], $p['accepts']), $this->plans);

        return Lot::kept(count($this->pieces), $this->drawn, $plans);
    }
}
