<?php

declare(strict_types=1);

namespace App\Queries\Sharing;

use App\Models\Order;
use App\Models\Piece;
use App\Models\Unit;
use App\Pictures\Drawings;
use App\Queries\Photographs\ExamplesShown;
use App\Repositories\Standards;
use App\Studio\UnitPlans;
use App\Studio\UnitPrices;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Ladder\ClauseViews;
use Ordotype\Core\Ladder\Crop;
use Ordotype\Core\Ladder\Crops;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Words\ClientWords;
use Ordotype\Core\Words\Voices;

/** A unit in a client's eyes: what is painted, how it is meant to look at its tier and at the others, how far it is. */
final class UnitForClient
{
    /** Of the picture that crops are cut from, pixels across. */
    public const LARGE = 1200;

    private const CROPS = 2;

    public const CROPS_OF_ALL = 3;

    public function __construct(
        private readonly Standards $standards,
        private readonly UnitPlans $plans,
        private readonly UnitPrices $prices,
        private readonly Planner $planner,
        private readonly Drawings $drawings,
    ) {
    }

    /** @return list<array<string, mixed>> */
    public function all(Order $order): array
    {
        $kept = ExamplesShown::ofTiers($order->units->pluck('tier')->unique()->values()->all());
        $there = $order->units->filter(fn (Unit $u) => $u->standing()->isNotEmpty());

        return array_values(
            $there->map(fn (Unit $u) => $this->of($u->setRelation('order', $order), $kept[$u->tier] ?? []))->all(),
        );
    }

    /**
     * At every tier it can be at, with the same crops, the lowest first.
     *
     * @return array<string, mixed>
     */
    public function atAllTiers(Unit $unit): array
    {
        $unit->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces']);
        $now = $this->plans->plan($unit);
        $tiers = array_values(
            array_filter($now->request->standard->tiers, fn (Tier $t) => $t->status === TierStatus::Offered),
        );
        usort($tiers, fn (Tier $a, Tier $b) => $a->order <=> $b->order);
        $plans = array_map(fn (Tier $t) => $this->at($now, $t), $tiers);
        $kept = ExamplesShown::ofTiers(array_map(fn (Tier $t) => $t->key, $tiers));
        $nothing = $plans === [] ? null : $this->at($plans[0], $tiers[0]->saying([]));

        return [
            'figure' => $unit->sculpt->name,
            'count' => $unit->standing()->count(),
            'tier' => $unit->tier,
            'crops' => self::crops($plans, self::CROPS_OF_ALL),
            'tiers' => array_map(
                fn (Tier $t, int $i) => [
                    'key' => $t->key,
                    'name' => $t->name,
                    'order' => $t->order,
                    'status' => $t->status->value,
                    'intent' => $t->intent,
                    'distance_cm' => $t->viewing->distanceCm,
                    'adds' => $nothing === null
                        ? []
                        : (new Voices(new TierDifference($plans[$i - 1] ?? $nothing, $plans[$i])))->benefits(),
                    'drawn' => (object) $this->drawings->views($plans[$i], plain: true),
                    'large' => $this->drawings->views($plans[$i], width: self::LARGE, plain: true)['front'] ?? null,
                    'examples' => $kept[$t->key] ?? [],
                    ...$this->money($unit, $t),
                ],
                $tiers,
                array_keys($tiers),
            ),
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $kept  details of finished work at its tier
     * @return array<string, mixed>
     */
    private function of(Unit $unit, array $kept): array
    {
        $standard = $this->standards->core($unit->order->version);
        $tier = $standard->tier($unit->tier);
        $plan = $this->plans->inForce($unit)->plain();
        $views = new ClauseViews($standard);
        $seen = array_filter($standard->clausesOf($tier), fn (Clause $c) => ! $views->of($c)->group->isProcess());
        $promised = array_filter(
            array_map(fn (Clause $c) => $c->clientText, $seen),
            fn (?string $text) => $text !== null,
        );
        $progress = [];
        foreach ($unit->pieces as $piece) {
            $word = ClientWords::progress(Stage::from($piece->stage));
            if ($word !== null) {
                $progress[$word] = ($progress[$word] ?? 0) + 1;
            }
        }

        return [
            'id' => $unit->id,
            'figure' => $unit->sculpt->name,
            'label' => $unit->label,
            'count' => $unit->standing()->count(),
            'finished' => $unit->pieces->filter(fn (Piece $p) => Stage::from($p->stage)->isClosed())->count(),
            'progress' => array_map(
                fn (string $word, int $count) => ['words' => $word, 'count' => $count],
                array_keys($progress),
                $progress,
            ),
            'tier' => $tier->name,
            'order' => $tier->order,
            'status' => $tier->status->value,
            'intent' => $tier->intent,
            'distance_cm' => $tier->viewing->distanceCm,
            'width_mm' => $plan->request->sculpt->frameMm[0] ?? 60.0,
            'promised' => array_values(array_unique($promised)),
            'drawn' => (object) $this->drawings->views($plan, plain: true),
            'large' => $this->drawings->views($plan, width: self::LARGE, plain: true)['front'] ?? null,
            'crops' => self::crops([$this->below($plan), $plan], self::CROPS),
            'examples' => $kept,
        ];
    }

    /** The same one rung lower; of the lowest, with nothing asked of it. */
    private function below(Plan $plan): Plan
    {
        $own = $plan->request->tier;
        $lower = array_filter(
            $plan->request->standard->tiers,
            fn (Tier $t) => $t->order < $own->order && $t->status === TierStatus::Offered,
        );
        usort($lower, fn (Tier $a, Tier $b) => $b->order <=> $a->order);

        return $this->at($plan, $lower[0] ?? $own->saying([]));
    }

    private function at(Plan $plan, Tier $tier): Plan
    {
        return $tier === $plan->request->tier ? $plan : $this->planner->plan($plan->request->at($tier)->amended([]));
    }

    /** @return array{price: string|null, ceiling: string|null} of a model */
    private function money(Unit $unit, Tier $tier): array
    {
        $price = $this->prices->of($unit, $tier->key);

        return ['price' => $price?->price->decimal(), 'ceiling' => $price?->ceiling->decimal()];
    }

    /**
     * @param  list<Plan>  $plans
     * @return list<array<string, mixed>>
     */
    public static function crops(array $plans, int $most): array
    {
        return array_map(
            fn (Crop $c) => [
                'area' => $c->area,
                'left' => round($c->left, 4),
                'top' => round($c->top, 4),
                'width' => round($c->width, 4),
                'height' => round($c->height, 4),
            ],
            Crops::of($plans, View::Front, $most),
        );
    }
}
