<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\Orders\AskClient;
use App\Actions\Orders\MoveOrder;
use App\Actions\Orders\PlanPayments;
use App\Actions\Orders\QuoteOrder;
use App\Actions\Orders\ReceiveUnit;
use App\Actions\Orders\SendParcel;
use App\Actions\Sharing\AnswerByPage;
use App\Actions\Sharing\ShareSheet;
use App\Models\Order;
use App\Models\Piece;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Studio\PaymentWhen;

/** Leads the demo's orders to where they stand, by the moves that a user has, on the days on which they were made. */
final class DemoOrders
{
    /** Days ago of the first word, the quote and the yes; null: it did not come. */
    private const DAYS = [
        '26-018' => [96, 94, 92],
        '26-021' => [60, 57, 55],
        '26-027' => [40, 38, 36],
        '26-029' => [50, 47, 44],
        '26-030' => [45, 43, 40],
        '26-031' => [44, 43, 41],
        '26-033' => [30, 28, 25],
        '26-034' => [34, 32, 30],
        '26-036' => [21, 18, 11],
        '26-038' => [25, 23, 20],
        '26-040' => [14, 12, null],
        '26-041' => [6, 4, 0],
        '26-042' => [1, null, null],
        '26-044' => [12, 10, 8],
    ];

    /** How long a quote holds. */
    private const HOLDS = 14;

    public function __construct(
        private readonly MoveOrder $move,
        private readonly PlanPayments $payments,
        private readonly ReceiveUnit $receive,
        private readonly SendParcel $parcels,
        private readonly AskClient $ask,
        private readonly QuoteOrder $quotes,
        private readonly ShareSheet $pages,
        private readonly AnswerByPage $answers,
    ) {
    }

    /** Quotes and their answers, before anything goes to the bench. */
    public function agree(): void
    {
        foreach (self::DAYS as $number => [$first, $quoted, $accepted]) {
            $order = self::order($number);
            $order->forceFill(['created_at' => now()->subDays($first)])->save();
            if ($number === '26-040') {
                $this->typed($order);
            }
            if ($quoted !== null) {
                $this->on($quoted, 'desk', fn (User $desk) => ($this->move)(
                    $order,
                    $order->refresh()->revision,
                    OrderStatus::Quoted,
                    $desk,
                    ['until' => now()->addDays(self::HOLDS)->format('Y-m-d')],
                ));
            }
            if ($accepted !== null) {
                $this->on($accepted, 'desk', fn (User $desk) => ($this->move)(
                    $order,
                    $order->refresh()->revision,
                    OrderStatus::Accepted,
                    $desk,
                    ['who' => $order->client, 'how' => 'by letter'],
                ));
            }
        }
        $this->changed(self::order('26-040'));
        $this->pays('26-036', 11);
        $this->pays('26-041', null);
        $this->received();
    }

    /** What is offered beside the units of a quote, and what could move its price. */
    private function typed(Order $order): void
    {
        $unit = $order->units()->orderBy('id')->firstOrFail();
        $this->on(13, 'lead', fn () => $this->quotes->edit($order, $order->refresh()->revision, [
            'extras' => [
                [
                    'id' => 'x1',
                    'unit' => $unit->id,
                    'words' => 'Rust on the hooks',
                    'from' => null,
                    'count' => $unit->pieces()->count(),
                    'price' => '1.50',
                    'choice' => true,
                    'amendment' => null,
                ],
            ],
            'lines' => [
                ['id' => 'l1', 'kind' => 'postage', 'words' => 'Postage, insured', 'amount' => '9.80', 'tax' => null],
            ],
            'discount' => null,
            'contingencies' => [
                ['id' => 'c1', 'unit' => $unit->id, 'words' => 'Castings that need work', 'amount' => '8.00'],
            ],
        ]));
    }

    /** The client asked for something by their page, and a second version went out that soon runs out. */
    private function changed(Order $order): void
    {
        $this->on(10, 'lead', function (User $lead) use ($order): void {
            [$link] = $this->pages->ofOrder($order, $lead);
            Auth::forgetUser();
            $this->answers->ask($link, $order->client, 'It is a present. Can you give it a little off?', null);
        });
        $this->on(9, 'lead', function (User $lead) use ($order): void {
            $typed = $order->refresh()->quote ?? [];
            $off = ['percent' => '5', 'amount' => null, 'reason' => 'Because it is a present'];
            $order = $this->quotes->edit($order, $order->revision, ['discount' => $off] + $typed);
            $until = now()->addDays(9 + 2)->format('Y-m-d');
            $this->quotes->send($order, $order->revision, $until, $lead);
            $asked = $order->questions()->firstOrFail();
            $this->ask->answer($asked, 'Gladly: five per cent. The new quote has it.', $lead->name, null);
        });
    }

    /** Half on acceptance, the rest before sending; the first half came some days ago. */
    private function pays(string $number, ?int $came): void
    {
        $order = self::order($number);
        Auth::setUser(self::person('desk'));
        $half = fn (PaymentWhen $when): array => ['when' => $when, 'on' => null, 'amount' => null, 'percent' => 50];
        $when = $came === null ? PaymentWhen::BeforeSending : PaymentWhen::OnAcceptance;
        $plan = $came === null ? [$half($when)] : [$half($when), $half(PaymentWhen::BeforeSending)];
        $order = $this->payments->plan($order, $order->revision, $plan);
        if ($came !== null) {
            $first = $order->payments()->firstOrFail();
            $day = now()->subDays($came)->format('Y-m-d');
            $this->payments->note($order, $order->revision, $first->id, $day, 'bank transfer');
        }
    }

    /** Models of the night watch are here; an arm is not, and the client is asked. */
    private function received(): void
    {
        $order = self::order('26-036');
        $this->on(6, 'desk', fn (User $desk) => ($this->parcels)(
            $order,
            'in',
            [
                'on_day' => now()->format('Y-m-d'),
                'way' => 'parcel post',
                'tracking' => null,
                'recipient' => null,
                'insured' => '250.00',
            ],
            [],
            $desk,
            '',
        ));
        foreach ($order->units()->with('pieces')->orderBy('id')->get() as $unit) {
            $isOfficer = $unit->pieces->count() === 1;
            $this->on(6, 'desk', fn () => ($this->receive)($unit, 0, [
                'count' => $unit->pieces->count(),
                'built' => false,
                'state' => $isOfficer ? null : 'washed; one pole bent, straightened in hot water',
                'missing' => $isOfficer ? [['piece' => 1, 'part' => 'the arm with the lantern']] : [],
                'spares' => null,
                'base' => 'plain, 32 mm',
                'lies' => 'rack 3, board B',
            ]));
            if ($isOfficer) {
                $this->on(6, 'desk', fn () => $this->ask->ask($order, [
                    'unit_id' => $unit->id,
                    'text' => 'Can you send the arm with the lantern? It was not in the box.',
                    'blocks' => true,
                    'waits_until' => now()->addDays(10)->format('Y-m-d'),
                ]));
            }
        }
        $this->on(0, 'lead', fn () => $this->ask->ask($order->refresh(), [
            'text' => 'Rust on the hooks: on the edge only, or all over?',
            'blocks' => false,
        ]));
    }

    /** Sends what was signed; one of it is closed, one came back with a claim; and one is given up half way. */
    public function end(): void
    {
        foreach (['26-018' => 80, '26-021' => 31, '26-031' => 25] as $number => $days) {
            $order = self::order($number);
            $pieces = array_values($order->units->flatMap->pieces->map(fn (Piece $p) => $p->id)->all());
            $facts = ['way' => 'parcel post', 'tracking' => null, 'recipient' => $order->client, 'insured' => '60.00'];
            $this->on($days, 'desk', fn (User $desk) => ($this->parcels)(
                $order,
                'out',
                ['on_day' => now()->format('Y-m-d')] + $facts,
                $pieces,
                $desk,
                '',
            ));
        }
        $old = self::order('26-018');
        $this->on(49, 'desk', fn (User $desk) => ($this->move)($old, $old->revision, OrderStatus::Closed, $desk));
        $claim = self::order('26-031');
        $this->on(1, 'desk', fn (User $desk) => ($this->move)(
            $claim,
            $claim->revision,
            OrderStatus::InWork,
            $desk,
            ['reason' => 'The post dropped it: the lantern is chipped.'],
            array_values($claim->units->flatMap->pieces->map(fn (Piece $p) => $p->id)->all()),
        ));
        $given = self::order('26-034');
        $this->on(9, 'lead', fn (User $lead) => ($this->move)(
            $given,
            $given->revision,
            OrderStatus::Cancelled,
            $lead,
            ['reason' => 'The client moves abroad and sells the collection.'],
        ));
    }

    /**
     * Something that was done so many days ago.
     *
     * @param  callable(User): mixed  $act
     */
    public function on(int $days, string $who, callable $act): void
    {
        $person = self::person($who);
        Auth::setUser($person);
        Carbon::setTestNow(now()->subDays($days));
        try {
            $act($person);
        } finally {
            Carbon::setTestNow();
        }
    }

    private static function person(string $who): User
    {
        return User::query()->where('email', 'like', "$who@%")->firstOrFail();
    }

    private static function order(string $number): Order
    {
        return Order::query()->where('number', $number)->firstOrFail();
    }
}
