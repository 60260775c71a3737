<?php

declare(strict_types=1);

namespace App\Queries\Standard;

use App\Exceptions\TierRefused;
use App\Repositories\Figures;
use Ordotype\Core\Format\DocumentEdit;
use Ordotype\Core\Ladder\RequirementChange;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Choice\Conflict;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Words\PlanWords;

/**
 * What changes that are not kept yet do to a figure: minutes before and after, and what is asked for more or less.
 */
final class EditOnFigure
{
    public function __construct(
        private readonly TriedDraft $draft,
        private readonly Figures $figures,
        private readonly Planner $planner,
    ) {
    }

    /**
     * @param  list<DocumentEdit>  $edits
     * @return array<string, mixed>
     *
     * @throws TierRefused
     */
    public function of(array $edits, string $tier, string $sculpt): array
    {
        [$before, $after] = $this->draft->with($edits);
        $after->hasTier($tier) || throw TierRefused::noSuchTier($tier, '/tier');
        $to = $this->plan($after, $tier, $sculpt);
        $difference = new TierDifference(
            $before === $after || ! $before->hasTier($tier) ? $to : $this->plan($before, $tier, $sculpt),
            $to,
        );
        [$price, $now] = $difference->prices();
        $words = new PlanWords($to->request);

        return [
            'sculpt' => $to->request->sculpt->name,
            'tier' => $to->request->tier->name,
            'before' => round($difference->from->minutesByPasses(), 2),
            'after' => round($to->minutesByPasses(), 2),
            'steps_before' => count($difference->from->work->steps),
            'steps_after' => count($to->work->steps),
            'ceiling' => $to->whole->demand->ofModel(ModelFigure::Minutes)?->max,
            'price' => self::price($now, $after),
            'price_before' => self::price($price, $after),
            'changes' => array_map(fn (RequirementChange $c) => self::change($c, $to, $words), $difference->changes),
            'areas' => self::areas($difference),
            'conflicts' => array_map(
                fn (Conflict $c) => [
                    'area' => $c->area?->key,
                    'clauses' => Reason::ids($c->reasons),
                    'reason' => $words->conflict($c),
                ],
                $to->conflicts(),
            ),
        ];
    }

    private function plan(Standard $standard, string $tier, string $sculpt): Plan
    {
        return $this->planner->plan(
            new PlanRequest($standard, $standard->tier($tier), $this->figures->named($sculpt)),
        );
    }

    /** @return array{low: string, high: string, currency: string}|null */
    private static function price(?PriceRange $range, Standard $standard): ?array
    {
        return $range === null
            ? null
            : ['low' => $range->low, 'high' => $range->high, 'currency' => $standard->currency];
    }

    /** @return array{change: string, area: string|null, what: string} */
    private static function change(RequirementChange $change, Plan $plan, PlanWords $words): array
    {
        $any = $change->after ?? $change->before;

        return [
            'change' => $change->trend->value,
            'area' => $any?->area === null ? null : $plan->request->sculpt->area($any->area)->name,
            'what' => $any === null ? '' : $words->subject($any),
        ];
    }

    /** @return list<array{area: string, before: float|null, after: float|null}> */
    private static function areas(TierDifference $difference): array
    {
        $areas = [];
        foreach ($difference->areaMinutes() as $key => [$before, $after]) {
            $areas[] = [
                'area' => $difference->to->request->sculpt->area($key)->name,
                'before' => is_nan($before) ? null : round($before, 2),
                'after' => is_nan($after) ? null : round($after, 2),
            ];
        }

        return $areas;
    }
}
