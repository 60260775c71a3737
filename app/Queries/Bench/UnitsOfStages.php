<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Exceptions\RequestRefused;
use App\Models\StandardVersion;
use App\Models\Unit;
use App\Queries\Keyset;
use App\Queries\Like;
use App\Repositories\Standards;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\DB;

/**
 * Units of open orders that have pieces of certain stages, by the day on which their order is due: what the bench and
 * the check list page by page. No plan and no log is read for it, and no more orders than the page needs: the orders
 * are found first, along their index, and no further than there are units to show.
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
     * @return array{list<Unit>, string|null} a page, and the cursor of the next
     *
     * @throws RequestRefused
     */
    public function page(
        string $list,
        array $stages,
        bool $released,
        ?string $find,
        ?string $cursor,
        array $with,
    ): array {
        $keyset = new Keyset($list, ['orders.due_key' => false, 'orders.order_id' => false, 'units.id' => false]);
        $orders = $this->orders($stages, $released, $keyset->place($cursor));
        // One of them may be the order at which the last page ended.
        $enough = fn (QueryBuilder $q) => $q->limit(self::PAGE + 2);
        $version = 'order.version:'.implode(',', StandardVersion::BRIEF);
        $units = Unit::query()
            ->joinSub($orders->when($find === null, $enough), 'orders', 'orders.order_id', 'units.order_id')
            ->select(['units.id', 'units.order_id', 'units.sculpt_id', 'units.tier', 'units.released_at'])
            ->addSelect('orders.due_key')
            ->with([
                'order:id,number,title,due_on,promised_on,standard_version_id',
                $version,
                'sculpt:id,name',
                ...$with,
            ])
            ->when($released, fn (Builder $q) => $q->whereNotNull('units.released_at'))
            ->whereHas('pieces', fn (Builder $q) => $q->whereIn('stage', $stages));
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

        return $keyset->page($units, $cursor, self::PAGE);
    }

    /**
     * Open orders with such units, from the place on where the last page ended: as many orders as a page has rows hold
     * enough units for it.
     *
     * @param  list<string>  $stages
     * @param  list<string|int>|null  $place
     */
    private function orders(array $stages, bool $released, ?array $place): QueryBuilder
    {
        // A value, not "exists": that would be turned into a list of all such units of the studio first.
        $has = DB::table('units')
            ->selectRaw('1')
            ->join('pieces', 'pieces.unit_id', '=', 'units.id')
            ->whereColumn('units.order_id', 'orders.id')
            ->whereIn('pieces.stage', $stages)
            ->when($released, fn (QueryBuilder $q) => $q->whereNotNull('units.released_at'))
            ->limit(1);

        return DB::table('orders')
            ->forceIndex('orders_by_due')
            ->select(['id as order_id', 'due_key', 'title', 'number'])
            ->where('settled', 0)
            ->when($place, fn (QueryBuilder $q, array $at) => $q->where(
                fn (QueryBuilder $or) => $or
                    ->where('due_key', '>', $at[0])
                    ->orWhere(fn (QueryBuilder $same) => $same->where('due_key', $at[0])->where('id', '>=', $at[1])),
            ))
            ->whereRaw('('.$has->toSql().') = 1', $has->getBindings())
            ->orderBy('due_key')
            ->orderBy('id');
    }

    /** @return array<string, mixed> what every list says of a unit */
    public function brief(Unit $unit): array
    {
        return [
            'id' => $unit->id,
            'order_number' => $unit->order->number,
            'title' => $unit->order->title,
            'due_on' => $unit->order->day()?->format('Y-m-d'),
            'sculpt' => $unit->sculpt->name,
            'tier' => $this->standards->tierNames($unit->order->version)[$unit->tier] ?? $unit->tier,
        ];
    }
}
