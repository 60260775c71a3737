<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddUnit;
use App\Actions\ColourOrder;
use App\Actions\EditOrder;
use App\Actions\MovePiece;
use App\Actions\OpenOrder;
use App\Http\Requests\ListOrders;
use App\Http\Requests\NewOrder;
use App\Http\Requests\NewUnit;
use App\Http\Requests\OrderColours;
use App\Http\Requests\OrderFacts;
use App\Http\Requests\PieceMove;
use App\Http\Resources\PieceBrief;
use App\Models\Order;
use App\Models\Piece;
use App\Queries\OrderShown;
use App\Queries\OrdersListed;
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
