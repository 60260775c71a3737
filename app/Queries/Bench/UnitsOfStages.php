<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Exceptions\RequestRefused;
use App\Models\StandardVersion;
use App\Models\Unit;
use App\Queries\Keyset;
use App\Queries\Like;
use App\Repositories\Standards;
use Closure;
use Illuminate\Database\Eloquent\Builder;

/**
 * Units that have pieces of certain stages, by the day on which their order is due: what the bench and the check list
 * page by page. No plan and no log is read for it.
 */
final class UnitsOfStages
{
    private const PAGE = 30;

    public function __construct(private readonly Standards $standards)
    {
    }

    /**
     * @param  string  $list  its name, for its cursors
     * @param  list<string>  $stages
     * @param  array<array-key, mixed>  $with  of the unit
     * @param  (Closure(Builder<Unit>): mixed)|null  $only  what else a unit must be
     * @return array{list<Unit>, string|null} a page, and the cursor of the next
     *
     * @throws RequestRefused
     */
    public function page(
        string $list,
        array $stages,
        ?string $find,
        ?string $cursor,
        array $with,
        ?Closure $only = null,
    ): array {
        $version = 'order.version:'.implode(',', StandardVersion::BRIEF);
        $units = Unit::query()
            ->join('orders', 'orders.id', '=', 'units.order_id')
            ->select(['units.id', 'units.order_id', 'units.sculpt_id', 'units.tier', 'units.released_at'])
            ->addSelect('orders.due_key')
            ->with(['order:id,number,title,due_on,standard_version_id', $version, 'sculpt:id,name', ...$with])
            ->whereHas('pieces', fn (Builder $q) => $q->whereIn('stage', $stages));
        if ($only !== null) {
            $only($units);
        }
        if ($find !== null) {
            $like = Like::holding($find);
            $units->where(
                fn (Builder $any) => $any
                    ->where('orders.title', 'like', $like)
                    ->orWhere('orders.number', 'like', $like)
                    ->orWhereHas('sculpt', fn (Builder $q) => $q->where('name', 'like', $like))
                    ->orWhereHas('pieces', fn (Builder $q) => $q->where('code', 'like', $like)),
            );
        }

        return (new Keyset($list, ['orders.due_key' => false, 'units.id' => false]))
            ->page($units, $cursor, self::PAGE);
    }

    /** @return array<string, mixed> what every list says of a unit */
    public function brief(Unit $unit): array
    {
        return [
            'id' => $unit->id,
            'order_number' => $unit->order->number,
            'title' => $unit->order->title,
            'due_on' => $unit->order->due_on?->format('Y-m-d'),
            'sculpt' => $unit->sculpt->name,
            'tier' => $this->standards->tierNames($unit->order->version)[$unit->tier] ?? $unit->tier,
        ];
    }
}
