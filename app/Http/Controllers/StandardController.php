<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Scheme;
use App\Models\Sculpt;
use App\Models\StandardVersion;
use App\Models\User;
use App\Studio\LadderView;
use App\Studio\Refusal;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\LadderCsv;
use Ordotype\Core\Format\TechniqueFormat;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Ladder\StandardChange;
use Ordotype\Core\Ladder\StandardDifference;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Words\ChangeWords;
use Ordotype\Core\Words\Voices;

/** The standard to read: the ladder, its versions, what differs between them and between its tiers. */
final class StandardController
{
    public function __construct(private readonly Planner $planner)
    {
    }

    /** The open draft where there is one, else the published version, as a ladder. */
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(LadderView::of($this->open(), $request->user()));
    }

    public function versions(): JsonResponse
    {
        $versions = StandardVersion::query()
            ->orderByDesc('number')
            ->get(['id', 'number', 'status', 'note', 'sha256', 'published_at', 'published_by']);
        $names = User::query()
            ->whereIn('id', $versions->pluck('published_by')->filter())
            ->pluck('name', 'id');

        return new JsonResponse([
            'data' => $versions
                ->map(
                    fn (StandardVersion $v) => [
                        'number' => $v->number,
                        'status' => $v->status,
                        'note' => $v->note,
                        'sha256' => $v->sha256,
                        'published_at' => $v->published_at?->toIso8601ZuluString(),
                        'published_by' => $names[$v->published_by] ?? null,
                    ],
                )
                ->all(),
        ]);
    }

    public function version(Request $request, int $number): JsonResponse
    {
        return new JsonResponse(LadderView::of($this->numbered($number), $request->user()));
    }

    /** What changes from one version to another; a draft counts as a version. */
    public function compare(Request $request): JsonResponse
    {
        $given = $request->validate([
            'from' => ['required', 'integer', 'min:1'],
            'to' => ['required', 'integer', 'min:1'],
        ]);
        $from = Standards::core($this->numbered((int) $given['from']));
        $to = Standards::core($this->numbered((int) $given['to']));
        $words = new ChangeWords($from, $to);

        return new JsonResponse([
            'from' => (int) $given['from'],
            'to' => (int) $given['to'],
            'changes' => array_map(
                fn (StandardChange $c) => LadderView::change($c, $words),
                (new StandardDifference($from, $to))->changes,
            ),
        ]);
    }

    /** What a tier asks of a figure that another does not: for painters, and for clients. */
    public function difference(Request $request): JsonResponse
    {
        $given = $request->validate([
            'from' => ['required', 'string'],
            'to' => ['required', 'string'],
            'sculpt' => ['required', 'string', 'exists:sculpts,slug'],
        ]);
        $standard = Standards::core($this->open());
        foreach (['from', 'to'] as $end) {
            $standard->hasTier($given[$end]) || throw new Refusal("There is no tier \"{$given[$end]}\".", "/$end");
        }
        $sculpt = UnitPlans::sculpt(Sculpt::query()->where('slug', $given['sculpt'])->firstOrFail());
        $scheme = UnitPlans::scheme(Scheme::query()->first());
        $plan = fn (string $tier) => $this->planner->plan(
            new PlanRequest($standard, $standard->tier($tier), $sculpt, $scheme, shelf: UnitPlans::shelf()),
        );
        $difference = new TierDifference($plan($given['from']), $plan($given['to']));
        $voices = new Voices($difference);
        [$low, $high] = $difference->prices();
        $price = fn (?PriceRange $p) => $p === null ? null : ['low' => $p->low, 'high' => $p->high];

        return new JsonResponse([
            'sculpt' => $sculpt->name,
            'currency' => $standard->currency,
            'from' => [
                'name' => $difference->from->request->tier->name,
                'minutes' => round($difference->from->minutesByPasses(), 2),
                'price' => $price($low),
            ],
            'to' => [
                'name' => $difference->to->request->tier->name,
                'minutes' => round($difference->to->minutesByPasses(), 2),
                'price' => $price($high),
            ],
            'painter' => $voices->painters(),
            'techniques' => (object) $voices->techniques(),
            'gains' => $voices->gains(),
            'losses' => $voices->losses(),
        ]);
    }

    /** The catalogue, each technique with what every tier says of it. */
    public function techniques(): JsonResponse
    {
        $version = $this->open();
        $standard = Standards::core($version);
        $tiers = (new Grid($standard))->tiers();
        $said = [];
        foreach ($tiers as $tier) {
            foreach (
                array_filter($standard->clausesOf($tier), fn (Clause $c) => $c instanceof TechniqueClause) as $clause
            ) {
                foreach (array_filter($standard->techniques, $clause->names(...)) as $technique) {
                    // The last that is said decides; a scope only narrows where.
                    $said[$technique->key][$tier->key] = [
                        'tier' => $tier->key,
                        'name' => $tier->name,
                        'status' => $clause->status->value,
                        'clause' => $clause->id,
                        'everywhere' => $clause->scope === null,
                    ];
                }
            }
        }

        return new JsonResponse([
            'version' => [
                'number' => $version->number,
                'status' => $version->status,
                'revision' => $version->revision,
            ],
            'data' => array_map(
                fn (Technique $t) => [
                    'technique' => TechniqueFormat::write($t),
                    'used_by' => array_values($said[$t->key] ?? []),
                ],
                $standard->techniques,
            ),
        ]);
    }

    public function csv(): Response
    {
        return new Response(LadderCsv::of(Standards::core($this->open())), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="ladder.csv"',
        ]);
    }

    /** A version as `ordotype/standard@1`. */
    public function export(int $number): Response
    {
        return new Response(Json::encode(Standards::document($this->numbered($number))), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"standard-v$number.json\"",
        ]);
    }

    private function open(): StandardVersion
    {
        return Standards::draft() ??
            (Standards::published() ?? throw new Refusal('There is no standard yet: import a pack.', '', 404));
    }

    private function numbered(int $number): StandardVersion
    {
        return StandardVersion::query()->where('number', $number)->firstOrFail();
    }
}
