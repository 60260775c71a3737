<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\Conflict;
use App\Exceptions\OrderRefused;
use App\Models\Client;
use App\Models\Order;
use App\Models\OrderMoveRow;
use App\Models\Parcel;
use App\Models\Question;
use App\Models\QuoteRow;
use App\Models\ShareLink;
use App\Studio\ActivityLog;
use App\Studio\NamesApart;
use Illuminate\Support\Facades\DB;

/** What is kept of a client: changed, and erased when they ask for it. */
final class KeepClient
{
    /** What stands in an order for a client who was erased. */
    public const ERASED = 'erased';

    public function __construct(private readonly ActivityLog $log)
    {
    }

    /**
     * @param  array{name?: string, reach?: string|null, notes?: string|null}  $facts  what changes
     *
     * @throws OrderRefused when somebody else has that name
     */
    public function edit(Client $client, int $revision, array $facts): Client
    {
        return DB::transaction(function () use ($client, $revision, $facts): Client {
            $client = $this->locked($client, $revision);
            $name = $facts['name'] ?? $client->name;
            if (Client::query()->where('name', $name)->whereKeyNot($client->id)->exists()) {
                throw OrderRefused::clientThere($name);
            }
            $client->update($facts + ['revision' => $revision + 1]);
            // The name in each order is whom it is for; what was signed keeps the one it was signed with.
            $client->orders()->update(['client' => $name]);
            $this->log->write('client.changed', $client, null, array_keys($facts));

            return $client;
        });
    }

    /**
     * Takes everything away that says who it was. Orders stay without a name, records with their hashes.
     *
     * @throws OrderRefused while an order of theirs is open
     */
    public function erase(Client $client, int $revision): void
    {
        DB::transaction(function () use ($client, $revision): void {
            $client = $this->locked($client, $revision);
            $orders = $client->orders()->lockForUpdate()->get();
            $open = $orders->first(fn (Order $o) => ! $o->status->isOver());
            if ($open !== null) {
                throw OrderRefused::clientHasOpen($open->number);
            }
            foreach ($orders as $order) {
                $this->withoutPerson($order);
            }
            NamesApart::erase($client->name);
            $this->log->write('client.erased', $client, null, ['orders' => $orders->pluck('number')->all()]);
            $client->delete();
        });
    }

    private function withoutPerson(Order $order): void
    {
        $order->update([
            'client' => self::ERASED,
            'client_id' => null,
            'payer' => null,
            'brief' => null,
            'client_reference' => null,
            'reference' => null,
            'revision' => $order->revision + 1,
        ]);
        Parcel::query()->where('order_id', $order->id)->update(['recipient' => null, 'tracking' => null]);
        Question::query()->where('order_id', $order->id)->whereNotNull('asked_by')->update(['answered_by' => null]);
        Question::query()->where('order_id', $order->id)->whereNull('asked_by')->update(['asked_name' => self::ERASED]);
        QuoteRow::query()->where('order_id', $order->id)->update(['answered_by' => null, 'reason' => null]);
        foreach (OrderMoveRow::query()->where('order_id', $order->id)->get() as $move) {
            $move->update(['facts' => array_diff_key($move->facts, ['who' => true, 'how' => true])]);
        }
        ShareLink::query()
            ->where('shows->order', $order->id)
            ->whereNull('withdrawn_at')
            ->update(['withdrawn_at' => now()]);
    }

    private function locked(Client $client, int $revision): Client
    {
        $client = Client::query()->lockForUpdate()->findOrFail($client->id);

        return $client->revision === $revision ? $client : throw Conflict::client($client);
    }
}
