<?php

declare(strict_types=1);

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\KeepClient;
use App\Http\Requests\ListAsked;
use App\Http\Requests\OldRevision;
use App\Http\Requests\Orders\ClientFacts;
use App\Models\Client;
use App\Queries\Orders\ClientsListed;
use Illuminate\Http\JsonResponse;

/** Who orders, and what is kept of them. */
final class ClientController
{
    public function __construct(private readonly ClientsListed $clients)
    {
    }

    public function index(ListAsked $asked): JsonResponse
    {
        return new JsonResponse($this->clients->page($asked->find(), $asked->cursor()));
    }

    public function show(Client $client): JsonResponse
    {
        return new JsonResponse($this->clients->one($client));
    }

    public function update(ClientFacts $given, Client $client, KeepClient $keep): JsonResponse
    {
        return new JsonResponse($this->clients->one($keep->edit($client, $given->revision(), $given->facts())));
    }

    public function erase(OldRevision $given, Client $client, KeepClient $keep): JsonResponse
    {
        $keep->erase($client, $given->revision());

        return new JsonResponse(null, 204);
    }

    public function export(Client $client): JsonResponse
    {
        return new JsonResponse($this->clients->everything($client), 200, [
            'Content-Disposition' => "attachment; filename=\"client-$client->id.json\"",
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE);
    }
}
