<?php

declare(strict_types=1);

namespace App\Queries\Standard;

use App\Exceptions\TierRefused;
use App\Repositories\Colours;
use App\Repositories\Figures;
use App\Repositories\Standards;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Words\Voices;

/** What a tier asks of a figure that another does not: for painters, and for clients. */
final class TiersCompared
{
    public function __construct(
        private readonly Standards $standards,
        private readonly Figures $figures,
        private readonly Colours $colours,
        private readonly Planner $planner,
    ) {
    }

    /**
     * @param  string  $sculpt  a slug
     * @return array<string, mixed>
     *
     * @throws TierRefused
     */
    public function on(string $sculpt, string $from, string $to): array
    {
        $standard = $this->standards->core($this->standards->open());
        foreach (['from' => $from, 'to' => $to] as $end => $tier) {
            $standard->hasTier($tier) || throw TierRefused::noSuchTier($tier, "/$end");
        }
        $figure = $this->figures->named($sculpt);
        $scheme = $this->colours->usual();
        $shelf = $this->colours->shelf();
        $plan = fn (string $tier): Plan => $this->planner->plan(
            new PlanRequest($standard, $standard->tier($tier), $figure, $scheme, shelf: $shelf),
        );
        $difference = new TierDifference($plan($from), $plan($to));
        $voices = new Voices($difference);
        [$low, $high] = $difference->prices();

        return [
            'sculpt' => $figure->name,
            'currency' => $standard->currency,
            'from' => self::end($difference->from, $low),
            'to' => self::end($difference->to, $high),
            'painter' => $voices->painters(),
            'techniques' => (object) $voices->techniques(),
            'gains' => $voices->gains(),
            'losses' => $voices->losses(),
        ];
    }

    /** @return array{name: string, minutes: float, price: array{low: string, high: string}|null} */
    private static function end(Plan $plan, ?PriceRange $price): array
    {
        return [
            'name' => $plan->request->tier->name,
            'minutes' => round($plan->minutesByPasses(), 2),
            'price' => $price === null ? null : ['low' => $price->low, 'high' => $price->high],
        ];
    }
}
