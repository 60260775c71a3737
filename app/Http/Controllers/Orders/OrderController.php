<?php

declare(strict_types=1);

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\AddUnit;
use App\Actions\Orders\ChangeUnit;
use App\Actions\Orders\ColourOrder;
use App\Actions\Orders\EditOrder;
use App\Actions\Orders\MovePiece;
use App\Actions\Orders\OpenOrder;
use App\Actions\Orders\PasteUnits;
use App\Http\Requests\OldRevision;
use App\Http\Requests\Orders\LinesPasted;
use App\Http\Requests\Orders\ListOrders;
use App\Http\Requests\Orders\NewOrder;
use App\Http\Requests\Orders\NewUnit;
use App\Http\Requests\Orders\OrderColours;
use App\Http\Requests\Orders\OrderFacts;
use App\Http\Requests\Orders\PieceMove;
use App\Http\Requests\Orders\UnitEdited;
use App\Http\Requests\Orders\UnitSplit;
use App\Http\Resources\Orders\PieceBrief;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Queries\Orders\ForecastForOrder;
use App\Queries\Orders\OrderShown;
use App\Queries\Orders\OrdersListed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Studio\UnitLine;
use Ordotype\Core\Words\OrderLifeWords;

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

    public function show(Request $request, Order $order): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);

        return new JsonResponse($this->shown->of($order, $user));
    }

    public function forecast(Order $order, ForecastForOrder $forecast): JsonResponse
    {
        return new JsonResponse($forecast->of($order));
    }

    public function store(NewOrder $given, OpenOrder $open): JsonResponse
    {
        return new JsonResponse(
            $this->shown->of(
                $open($given->client(), $given->title(), $given->brief(), $given->dueOn(), $given->scheme()),
                $given->person(),
            ),
            201,
        );
    }

    public function update(OrderFacts $given, Order $order, EditOrder $edit): JsonResponse
    {
        return new JsonResponse(
            $this->shown->of($edit($order, $given->revision(), $given->facts()), $given->person()),
        );
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

    public function editUnit(UnitEdited $given, Unit $unit, ChangeUnit $change): JsonResponse
    {
        $unit = $change->edit($unit, $given->revision(), $given->facts());

        return new JsonResponse($this->shown->of($unit->order->refresh(), $given->person()));
    }

    public function splitUnit(UnitSplit $given, Unit $unit, ChangeUnit $change): JsonResponse
    {
        $new = $change->split($unit, $given->revision(), $given->pieces(), $given->label());

        return new JsonResponse($this->shown->of($new->order->refresh(), $given->person()), 201);
    }

    public function removeUnit(OldRevision $given, Unit $unit, ChangeUnit $change): JsonResponse
    {
        $order = $unit->order;
        $change->remove($unit, $given->revision());

        return new JsonResponse($this->shown->of($order->refresh(), $given->person()));
    }

    /** Lines as they are understood; kept, they are units. */
    public function paste(LinesPasted $given, Order $order, PasteUnits $paste): JsonResponse
    {
        $lines = $paste->read($order, $given->lines());
        if ($given->keep()) {
            $paste($order, $given->lines());
        }

        return new JsonResponse(['lines' => array_map(
            fn (UnitLine $l) => [
                'number' => $l->number,
                'text' => $l->text,
                'count' => $l->count,
                'figure' => $l->figure,
                'tier' => $l->tier,
                'label' => $l->label,
                'price' => $l->price,
                'wrong' => $l->fault === null ? null : OrderLifeWords::line($l->fault),
            ],
            $lines,
        )]);
    }
}
