<?php

declare(strict_types=1);

namespace App\Queries\Sharing;

use App\Models\Order;
use App\Models\Parcel;
use App\Models\Photograph;
use App\Models\Piece;
use App\Models\Question;
use App\Models\ShareLink;
use App\Models\SignOff;
use App\Models\Studio;
use App\Models\Unit;
use App\Repositories\Colours;
use App\Repositories\Figures;
use App\Studio\ClientPage;
use Illuminate\Support\Collection;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Words\ClientWords;

/**
 * An order as its client sees it by one address for its whole life: the quote, colours, what is asked, how far it is,
 * photographs, certificates, parcels. No minutes, no cost, nobody's name but the client's own word.
 */
final class OrderForClient
{
    public function __construct(
        private readonly QuoteForClient $quote,
        private readonly UnitForClient $unit,
        private readonly Colours $colours,
        private readonly Figures $figures,
    ) {
    }

    /**
     * @param  list<string>  $ticks  ids of extras that are looked at with their price
     * @return array<string, mixed>
     */
    public function shared(ShareLink $link, array $ticks): array
    {
        return $this->of(ClientPage::order($link), $ticks);
    }

    /**
     * @param  list<string>  $ticks
     * @return array<string, mixed>
     */
    public function of(Order $order, array $ticks): array
    {
        $order->load(['version', 'scheme', 'units.sculpt', 'units.pieces', 'overrules', 'questions', 'parcels']);
        $studio = Studio::row();
        $pieces = $order->units->flatMap->pieces;

        return [
            'studio' => $studio->name,
            'mark' => $studio->mark,
            'number' => $order->number,
            'title' => $order->title,
            'stands' => ClientWords::stands($order->status),
            'due' => $order->day()?->toDateString(),
            'currency' => $studio->currency,
            'quote' => $this->quote->of($order, $ticks),
            'units' => $this->unit->all($order),
            'colours' => $this->colours($order),
            'test_models' => array_values(
                $order->units->map($this->testModel(...))->filter()->all(),
            ),
            'questions' => array_values($order->questions->map(self::question(...))->all()),
            'photographs' => self::photographs($pieces->filter(self::isFinished(...))),
            'certificates' => self::certificates($pieces),
            'parcels' => array_values($order->parcels->map(self::parcel(...))->all()),
        ];
    }

    /** @return array{name: string, paints: list<array{name: string, hex: string|null}>}|null */
    private function colours(Order $order): ?array
    {
        $scheme = $this->colours->scheme($order->scheme);
        if ($scheme === null || $order->scheme === null) {
            return null;
        }
        $shelf = $this->colours->shelf();
        $paints = [];
        foreach (array_intersect_key($scheme->slots, $this->slots($order)) as $slot => $colours) {
            $paints[] = [
                'name' => ucfirst(str_replace('_', ' ', (string) $slot)),
                'hex' => $shelf->colourOf($colours->base)?->hex(),
            ];
        }

        return ['name' => $order->scheme->name, 'paints' => $paints];
    }

    /** @return array<string, true> slots that its figures have */
    private function slots(Order $order): array
    {
        $slots = [];
        foreach ($order->units->pluck('sculpt')->unique('id') as $sculpt) {
            foreach ($this->figures->of($sculpt)->areas as $area) {
                $slots[$area->slot ?? ''] = true;
            }
        }

        return $slots;
    }

    /** @return array<string, mixed>|null */
    private function testModel(Unit $unit): ?array
    {
        $pictures = $unit->test_piece_id === null
            ? []
            : self::photographs($unit->pieces->where('id', $unit->test_piece_id));
        $said = Question::query()
            ->where('unit_id', $unit->id)
            ->whereNull('asked_by')
            ->whereNotNull('wish->go_ahead')
            ->orderBy('id')
            ->get();
        $last = $said->last();

        return $pictures === [] ? null : [
            'unit' => $unit->id,
            'figure' => $unit->sculpt->name,
            'photographs' => $pictures,
            'said' => $last === null ? null : [
                'go_ahead' => (bool) ($last->wish['go_ahead'] ?? false),
                'name' => $last->asked_name,
                'at' => $last->asked_at->toIso8601ZuluString(),
            ],
            // One change is free; from the second on it is quoted.
            'changes' => $said->filter(fn (Question $q) => ($q->wish['go_ahead'] ?? null) === false)->count(),
        ];
    }

    /** @return array<string, mixed> */
    private static function question(Question $q): array
    {
        return [
            'id' => $q->id,
            'yours' => $q->isFromClient(),
            'unit' => $q->unit_id,
            'text' => $q->text,
            'picture' => $q->picture,
            'pin' => $q->pin,
            'asked_at' => $q->asked_at->toIso8601ZuluString(),
            'answer' => $q->answer,
            'answered_at' => $q->answered_at?->toIso8601ZuluString(),
        ];
    }

    private static function isFinished(Piece $piece): bool
    {
        return Stage::from($piece->stage)->isClosed();
    }

    /**
     * @param  Collection<int, Piece>  $pieces
     * @return list<array{sha256: string, view: string, drawn: bool}> real ones first
     */
    private static function photographs(Collection $pieces): array
    {
        return array_values(
            ClientPage::photographs($pieces->pluck('id')->all())
                ->map(fn (Photograph $p) => [
                    'sha256' => $p->sha256,
                    'view' => $p->view,
                    'drawn' => $p->picture->is_drawn,
                ])
                ->all(),
        );
    }

    /**
     * @param  Collection<int, Piece>  $pieces
     * @return list<array{number: int, path: string}>
     */
    private static function certificates(Collection $pieces): array
    {
        return array_values(
            SignOff::query()
                ->where('kind', 'sign_off')
                ->whereNotNull('secret')
                ->whereHas('pieces', fn ($q) => $q->whereIn('pieces.id', $pieces->pluck('id')))
                ->orderBy('number')
                ->get(['number', 'secret'])
                ->map(fn (SignOff $s) => ['number' => $s->number, 'path' => "/certificate/$s->secret"])
                ->all(),
        );
    }

    /** @return array<string, mixed> */
    private static function parcel(Parcel $p): array
    {
        return [
            'direction' => $p->direction,
            'on_day' => $p->on_day->format('Y-m-d'),
            'way' => $p->way,
            'tracking' => $p->tracking,
            'models' => count($p->pieces),
        ];
    }
}
