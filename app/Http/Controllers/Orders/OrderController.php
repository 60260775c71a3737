<?php

declare(strict_types=1);

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\AddUnit;
use App\Actions\Orders\ColourOrder;
use App\Actions\Orders\EditOrder;
use App\Actions\Orders\MovePiece;
use App\Actions\Orders\OpenOrder;
use App\Http\Requests\Orders\ListOrders;
use App\Http\Requests\Orders\NewOrder;
use App\Http\Requests\Orders\NewUnit;
use App\Http\Requests\Orders\OrderColours;
use App\Http\Requests\Orders\OrderFacts;
use App\Http\Requests\Orders\PieceMove;
use App\Http\Resources\Orders\PieceBrief;
use App\Models\Order;
use App\Models\Piece;
use App\Queries\Orders\OrderShown;
use App\Queries\Orders\OrdersListed;
use Illuminate\Http\JsonResponse;

/** Orders, their units, and where single pieces are. */
final class OrderController
{
    public function __construct(private readonly OrderShown $shown)
    {
    }

    public function index(ListOrders $given, OrdersListed $orders): JsonResponse
    {
        return new JsonResponse($orders->page($given));
    }

    public function show(Order $order): JsonResponse
    {
        return new JsonResponse($this->shown->of($order));
    }

    public function store(NewOrder $given, OpenOrder $open): JsonResponse
    {
        return new JsonResponse(
            $this->shown->of(
                $open($given->client(), $given->title(), $given->brief(), $given->dueOn(), $given->scheme()),
            ),
            201,
        );
    }

    public function update(OrderFacts $given, Order $order, EditOrder $edit): JsonResponse
    {
        return new JsonResponse($this->shown->of($edit($order, $given->revision(), $given->facts())));
    }

    public function addUnit(NewUnit $given, Order $order, AddUnit $add): JsonResponse
    {
        $unit = $add($order->load('version'), $given->sculpt(), $given->tier(), $given->pieces(), $given->label());

        return new JsonResponse(['id' => $unit->id], 201);
    }

    /** A piece put on hold, taken up again, lost, cancelled, delivered or claimed. */
    public function movePiece(PieceMove $given, Piece $piece, MovePiece $move): JsonResponse
    {
        return new JsonResponse(new PieceBrief($move($piece, $given->move(), $given->reason())));
    }

    /** The scheme and the reference picture of an order. */
    public function colours(OrderColours $given, Order $order, ColourOrder $colour): JsonResponse
    {
        $order = $colour($order, $given->facts());

        return new JsonResponse([
            'order' => $order->id,
            'scheme' => $order->scheme?->slug,
            'reference' => $order->reference,
        ]);
    }
}
