<?php

declare(strict_types=1);

namespace App\Queries\Standard;

use App\Models\Studio;
use App\Models\Unit;
use App\Repositories\Figures;
use App\Repositories\FlatPaintCatalogue;
use App\Studio\UnitPlans;
use Ordotype\Core\Format\DocumentEdit;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Planning\Plan\Arrangement;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Studio\OrderStatus;

/**
 * Whether the ladder still holds after changes that are not kept yet, and what they would do to open orders if those
 * were moved on.
 */
final class EditOnStudio
{
    private const MOST_UNITS = 40;

    public function __construct(
        private readonly TriedDraft $draft,
        private readonly LadderShown $ladder,
        private readonly Figures $figures,
        private readonly UnitPlans $plans,
        private readonly Planner $planner,
        private readonly FlatPaintCatalogue $flat,
    ) {
    }

    /**
     * @param  list<DocumentEdit>  $edits
     * @return array<string, mixed>
     */
    public function of(array $edits): array
    {
        [, $after] = $this->draft->with($edits);
        $open = Unit::query()
            ->whereNull('released_at')
            ->whereHas('order', fn ($q) => $q->whereNotIn('status', OrderStatus::finished()))
            ->with(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces'])
            ->orderBy('id')
            ->limit(self::MOST_UNITS)
            ->get()
            ->filter(fn (Unit $u) => $after->hasTier($u->tier));
        $lint = new Lint(
            $after,
            $this->figures->all(),
            Money::of(Studio::row()->hourly_rate),
            $this->planner,
            $this->flat->table(),
        );

        return [
            'lint' => array_map(fn (Finding $f) => $this->ladder->finding($f, $after), $lint->findings()),
            'units' => array_values($open->map(fn (Unit $u) => $this->moved($u, $after))->all()),
            'on_bench' => Unit::query()
                ->whereNotNull('released_at')
                ->whereHas('order', fn ($q) => $q->whereNotIn('status', OrderStatus::finished()))
                ->count(),
        ];
    }

    /** @return array<string, mixed> */
    private function moved(Unit $unit, Standard $after): array
    {
        $request = $this->plans->request($unit);
        $moved = $request->under($after, $after->tier($unit->tier))->arranged(new Arrangement());
        try {
            $then = $this->planner->plan($moved);
        } catch (FormatException) {
            // An amendment of the unit names a clause that the changed tier has no more: it would go.
            $then = $this->planner->plan($moved->amended([]));
        }

        return [
            'unit' => $unit->id,
            'order' => $unit->order->number,
            'label' => "{$request->pieces} × {$request->sculpt->name}",
            'tier' => $after->tier($unit->tier)->name,
            'version' => $unit->order->version->number,
            'before' => round($this->planner->plan($request)->minutesByPasses(), 1),
            'after' => round($then->minutesByPasses(), 1),
        ];
    }
}
