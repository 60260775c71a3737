<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Order;
use App\Models\OrderMoveRow;
use App\Models\Parcel;
use App\Models\PaymentRow;
use App\Models\Piece;
use App\Models\Question;
use App\Models\Receiving;
use App\Models\Role;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Studio\OrderLife;
use App\Studio\QuoteBody;
use App\Studio\Quoting;
use App\Studio\Today;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Studio\Mover;
use Ordotype\Core\Studio\NextAct;
use Ordotype\Core\Studio\OrderMoves;
use Ordotype\Core\Studio\OrderSituation;
use Ordotype\Core\Studio\Payment;
use Ordotype\Core\Studio\QuoteChange;
use Ordotype\Core\Studio\QuoteState;
use Ordotype\Core\Words\OrderLifeWords;
use Ordotype\Core\Words\QuoteWords;

/** How an order came to where it stands, what it waits for, what is paid, sent, come in and asked. */
final class LifeOfOrder
{
    public function __construct(
        private readonly OrderLife $life,
        private readonly Quoting $quoting,
        private readonly Today $today,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Order $order, User $user): array
    {
        $order->load(['moves', 'payments', 'parcels', 'questions', 'units.receiving']);
        $so = $this->life->situation($order);
        $act = $this->act($order, $so);
        $total = $this->quoting->total($order);

        return [
            'act' => $act?->value,
            'act_words' => $act === null ? null : OrderLifeWords::act($act),
            'waits' => $act === null ? null : OrderLifeWords::waits($act),
            'goes_to' => $act === null ? null : self::place($act, $order),
            'moves' => self::moves($order, $user, $so),
            'road' => $this->road($order),
            'held' => $order->held_at === null
                    ? null
                    : [
                        'since' => $order->held_at->toIso8601ZuluString(),
                        'for' => $order->held_for,
                        'reason' => $order->held_reason,
                    ],
            'quoted_until' => $order->quoted_until?->format('Y-m-d'),
            'quote' => $this->quote($order),
            'total' => $total?->decimal(),
            'payments' => $this->payments($order, $total),
            'parcels' => array_values($order->parcels->map(self::parcel(...))->all()),
            'questions' => array_values($order->questions->map(self::question(...))->all()),
            'received' => array_values($order->units->map(self::received(...))->all()),
        ];
    }

    /** @return array<string, mixed>|null the newest version, and whether the order is otherwise by now */
    private function quote(Order $order): ?array
    {
        $version = $this->quoting->newest($order);
        if ($version === null) {
            return null;
        }
        $body = QuoteBody::of($version->body);
        $sums = $body->sums($version->ticks ?? [], $version->came_true ?? []);
        $now = QuoteBody::of($this->quoting->compose($order, false));
        $choices = array_filter($body->body['extras'], fn (array $e) => $e['choice']);

        return [
            'number' => $version->number,
            'words' => QuoteWords::state($version->state),
            'is_open' => $version->state === QuoteState::Open,
            'run_out' => $version->hasRunOut($this->today->day()),
            'until' => $version->valid_until->format('Y-m-d'),
            'price' => $sums['price'],
            'ceiling' => $sums['ceiling'],
            'choices' => array_map(
                fn (array $e) => array_intersect_key($e, array_flip(['id', 'words', 'count', 'price'])),
                array_values($choices),
            ),
            'is_otherwise' => ! $order->status->hasLeft() &&
                QuoteChange::between($body->withTicks($version->ticks ?? [])->items(), $now->items()) !== [],
        ];
    }

    private function act(Order $order, OrderSituation $so): ?NextAct
    {
        $released = $order->units->every(fn (Unit $u) => $u->released_at !== null);
        $back = $order->parcels->where('direction', 'out')->flatMap->pieces;
        $left = $order->units->flatMap->pieces->filter(
            fn (Piece $p) => $p->stage !== Stage::Delivered->value &&
                $p->stage !== Stage::Lost->value &&
                ! $back->contains($p->id),
        );
        $received = $order->units->contains(fn (Unit $u) => $u->receiving !== null);

        return NextAct::of(
            $order->status,
            $so,
            $order->held_at !== null,
            $released,
            $left->isNotEmpty() && ($received || $order->parcels->isNotEmpty()),
        );
    }

    /** Where the act is done, where that is not on the order's own page. */
    private static function place(NextAct $act, Order $order): ?string
    {
        $with = fn (Stage $stage): ?Unit => $order->units->first(
            fn (Unit $u) => $u->pieces->contains('stage', $stage->value),
        );

        return match ($act) {
            NextAct::Release => ($unit = $order->units->first(fn (Unit $u) => $u->released_at === null)) === null
                ? null
                : "/units/$unit->id/plan",
            NextAct::Work => '/bench',
            NextAct::Check => ($unit = $with(Stage::Offered)) === null ? '/check' : "/check/tray/$unit->id",
            NextAct::Sign => '/check',
            NextAct::Quote => "/orders/$order->id/quote",
            NextAct::AddUnit, NextAct::Accept, NextAct::Answer, NextAct::Receive,
            NextAct::NotePayment, NextAct::Resume, NextAct::Send, NextAct::Close, NextAct::SendBack => null,
        };
    }

    /** @return list<array<string, mixed>> what somebody of the studio may do with it by hand, and what that lacks */
    private static function moves(Order $order, User $user, OrderSituation $so): array
    {
        if (! Rights::has($user, 'orders.edit')) {
            return [];
        }
        $by = $user->role === Role::Lead ? Mover::Lead : Mover::Desk;
        // A reason and a claim are said in the act itself.
        $unsaid = new OrderSituation(...['isClaim' => true] + get_object_vars($so));
        $said = new OrderSituation(...['reason' => '…'] + get_object_vars($unsaid));
        $moves = [];
        foreach (OrderMoves::all() as $move) {
            if ($move->from === $order->status && $move->isBy($by)) {
                $moves[] = [
                    'to' => $move->to->value,
                    'words' => OrderLifeWords::move($move->from, $move->to),
                    'missing' => array_map(OrderLifeWords::missing(...), $move->missing($said)),
                    'needs_reason' => $move->missing($unsaid) !== $move->missing($said),
                ];
            }
        }

        return $moves;
    }

    /** @return list<array<string, mixed>> its stops, the first word first */
    private function road(Order $order): array
    {
        $stops = [
            [
                'words' => 'First word',
                'at' => $order->created_at?->toIso8601ZuluString(),
                'note' => null,
                'price' => null,
            ],
        ];
        foreach ($order->moves as $move) {
            $stops[] = [
                'words' => OrderLifeWords::stop($move->from_status, $move->to_status, $move->facts['before'] ?? false),
                'at' => $move->at->toIso8601ZuluString(),
                'note' => self::note($move),
                'price' => $move->facts['price'] ?? null,
            ];
        }
        $came = $order->units->filter(fn (Unit $u) => $u->receiving !== null);
        foreach ($came->groupBy(fn (Unit $u) => $u->receiving?->at->format('Y-m-d')) as $units) {
            $count = $units->sum(fn (Unit $u) => $u->receiving->count ?? 0);
            $of = $units->sum(fn (Unit $u) => $u->pieces->count());
            $stops[] = [
                'words' => 'Models in',
                'at' => $units->first()?->receiving?->at->toIso8601ZuluString(),
                'note' => "$count of $of",
                'price' => null,
            ];
        }
        usort($stops, fn (array $a, array $b) => (string) $a['at'] <=> (string) $b['at']);

        return $stops;
    }

    private static function note(OrderMoveRow $move): ?string
    {
        $who = $move->facts['who'] ?? '';
        $how = $move->facts['how'] ?? '';
        $said = $who === '' ? '' : 'by '.$who.($how === '' ? '' : ", $how");
        $note = implode('; ', array_filter([$said, $move->facts['reason'] ?? ''], fn (string $s) => $s !== ''));

        return $note === '' ? null : $note;
    }

    /** @return list<array<string, mixed>> */
    private function payments(Order $order, ?Money $total): array
    {
        $rows = $order->payments->values();
        $core = array_values($rows->map(fn (PaymentRow $p) => $p->core())->all());
        $sums = $total === null ? [] : Payment::sums($total, $core);

        return array_values(
            $rows
                ->map(
                    fn (PaymentRow $p, int $i) => [
                        'id' => $p->id,
                        'when' => $p->due_when->value,
                        'words' => OrderLifeWords::payment($p->due_when),
                        'on' => $p->due_on?->format('Y-m-d'),
                        'amount' => $p->amount,
                        'percent' => $p->percent,
                        'sum' => isset($sums[$i]) ? $sums[$i]->decimal() : null,
                        'noted_on' => $p->noted_on?->format('Y-m-d'),
                        'way' => $p->noted_way,
                    ],
                )
                ->all(),
        );
    }

    /** @return array<string, mixed> */
    private static function parcel(Parcel $p): array
    {
        return [
            'id' => $p->id,
            'direction' => $p->direction,
            'on_day' => $p->on_day->format('Y-m-d'),
            'way' => $p->way,
            'tracking' => $p->tracking,
            'recipient' => $p->recipient,
            'insured' => $p->insured,
            'pieces' => $p->pieces,
        ];
    }

    /** @return array<string, mixed> */
    public static function question(Question $q): array
    {
        return [
            'id' => $q->id,
            'unit' => $q->unit_id,
            'piece' => $q->piece_id,
            'text' => $q->text,
            'blocks' => $q->blocks,
            'waits_until' => $q->waits_until?->format('Y-m-d'),
            'picture' => $q->picture,
            'pin' => $q->pin,
            'asked_at' => $q->asked_at->toIso8601ZuluString(),
            'answer' => $q->answer,
            'answered_by' => $q->answered_by,
            'answered_at' => $q->answered_at?->toIso8601ZuluString(),
            'amended' => $q->amendment_id !== null,
            'from_client' => $q->asked_name,
            'wish' => $q->wish,
        ];
    }

    /** @return array<string, mixed> */
    public static function received(Unit $unit): array
    {
        $row = $unit->receiving;

        return [
            'unit' => $unit->id,
            'revision' => $row->revision ?? 0,
            'found' => $row === null ? null : self::found($row),
        ];
    }

    /** @return array<string, mixed> */
    private static function found(Receiving $row): array
    {
        return $row->only(['count', 'built', 'state', 'missing', 'spares', 'base', 'lies']) + [
            'at' => $row->at->toIso8601ZuluString(),
        ];
    }
}
