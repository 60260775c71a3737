<?php

declare(strict_types=1);

namespace App\Queries\Schemes;

use App\Models\Order;
use App\Models\Piece;
use App\Models\Scheme;
use App\Models\SchemeVersion;
use App\Models\User;
use App\Repositories\Colours;
use Ordotype\Core\Colour\Scheme as CoreScheme;
use Ordotype\Core\Format\Json;

/** A scheme with its versions, how their test models came out, and the orders painted in it. */
final class SchemeShown
{
    private const MOST_ORDERS = 50;

    private const MOST_TESTS = 40;

    public function __construct(private readonly Colours $colours, private readonly SchemeOnFigures $onFigures)
    {
    }

    /**
     * @param  Order|null  $order  whose figures it is shown on
     * @return array<string, mixed>
     */
    public function of(Scheme $scheme, ?Order $order): array
    {
        return [
            'slug' => $scheme->slug,
            'name' => $scheme->name,
            'number' => $scheme->number,
            'document' => Json::decode($scheme->document),
            'versions' => $this->versions($scheme),
            'orders' => $this->orders($scheme),
            'tests' => $this->tests($scheme),
        ] + $this->onFigures->of($this->colours->scheme($scheme) ?? new CoreScheme('', [], []), $order, drawn: true);
    }

    /** @return list<array<string, mixed>> the newest first */
    private function versions(Scheme $scheme): array
    {
        $versions = $scheme->versions()->orderByDesc('number')->get();
        $names = User::query()
            ->whereIn('id', $versions->pluck('made_by')->merge($versions->pluck('outcome_by')))
            ->pluck('name', 'id');

        return array_values(
            $versions
                ->map(
                    fn (SchemeVersion $v) => [
                        'number' => $v->number,
                        'note' => $v->note,
                        'made_by' => $names[$v->made_by] ?? null,
                        'at' => $v->created_at?->toIso8601ZuluString(),
                        'outcome' => $v->outcome,
                        'outcome_note' => $v->outcome_note,
                        'outcome_by' => $names[$v->outcome_by] ?? null,
                        'repaint_minutes' => $v->repaint_minutes === null ? null : (float) $v->repaint_minutes,
                    ],
                )
                ->all(),
        );
    }

    /** @return list<array<string, mixed>> the newest first */
    private function orders(Scheme $scheme): array
    {
        $orders = Order::query()->where('scheme_id', $scheme->id)->orderByDesc('id')->limit(self::MOST_ORDERS)->get();

        return array_values(
            $orders
                ->map(
                    fn (Order $o) => [
                        'id' => $o->id,
                        'number' => $o->number,
                        'title' => $o->title,
                        'reference' => $o->reference,
                    ],
                )
                ->all(),
        );
    }

    /**
     * @return list<array<string, mixed>> models that could be the test model: painted in this version, finished or
     *     nearly so
     */
    private function tests(Scheme $scheme): array
    {
        $pieces = Piece::query()
            ->with('unit.sculpt:id,name', 'unit.order:id,number')
            ->whereIn('stage', ['on_bench', 'offered', 'rework', 'passed'])
            ->whereHas(
                'unit',
                fn ($q) => $q
                    ->where('scheme_number', $scheme->number)
                    ->whereHas('order', fn ($q) => $q->where('scheme_id', $scheme->id)),
            )
            ->orderBy('id')
            ->limit(self::MOST_TESTS)
            ->get();

        return array_values(
            $pieces
                ->map(
                    fn (Piece $p) => [
                        'id' => $p->id,
                        'name' => "{$p->unit->order->number}, {$p->unit->sculpt->name}, model $p->number",
                        'stage' => $p->stage,
                    ],
                )
                ->all(),
        );
    }
}
