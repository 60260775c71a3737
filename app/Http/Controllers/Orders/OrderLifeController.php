<?php

declare(strict_types=1);

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\AskClient;
use App\Actions\Orders\MoveOrder;
use App\Actions\Orders\PlanPayments;
use App\Actions\Orders\ReceiveUnit;
use App\Actions\Orders\SendParcel;
use App\Exceptions\OrderRefused;
use App\Http\Requests\OldRevision;
use App\Http\Requests\Orders\OrderHeld;
use App\Http\Requests\Orders\OrderMoved;
use App\Http\Requests\Orders\ParcelSent;
use App\Http\Requests\Orders\PaymentNoted;
use App\Http\Requests\Orders\PaymentsPlanned;
use App\Http\Requests\Orders\QuestionAnswered;
use App\Http\Requests\Orders\QuestionAsked;
use App\Http\Requests\Orders\UnitReceived;
use App\Models\Order;
use App\Models\Question;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Queries\Orders\OrderShown;
use App\Queries\Orders\OwedOnOrder;
use Illuminate\Http\JsonResponse;

/** What moves an order along: its states, holds, payments, parcels, what comes in, and questions to the client. */
final class OrderLifeController
{
    public function __construct(private readonly OrderShown $shown)
    {
    }

    public function move(OrderMoved $given, Order $order, MoveOrder $move): JsonResponse
    {
        $by = $given->person();
        $order = $move(
            $order,
            $given->revision(),
            $given->to(),
            $by,
            $given->facts(),
            $given->pieces(),
            $given->ticks(),
        );

        return $this->shown($order, $by);
    }

    public function hold(OrderHeld $given, Order $order, MoveOrder $move): JsonResponse
    {
        $order = $move->hold($order, $given->revision(), $given->reason(), $given->for());

        return $this->shown($order, $given->person());
    }

    public function resume(OldRevision $given, Order $order, MoveOrder $move): JsonResponse
    {
        return $this->shown($move->resume($order, $given->revision()), $given->person());
    }

    public function payments(PaymentsPlanned $given, Order $order, PlanPayments $plan): JsonResponse
    {
        return $this->shown($plan->plan($order, $given->revision(), $given->payments()), $given->person());
    }

    public function note(PaymentNoted $given, Order $order, int $payment, PlanPayments $plan): JsonResponse
    {
        $order = $plan->note($order, $given->revision(), $payment, $given->on(), $given->way());

        return $this->shown($order, $given->person());
    }

    public function parcel(ParcelSent $given, Order $order, SendParcel $send): JsonResponse
    {
        $by = $given->person();
        $send($order, $given->direction(), $given->facts(), $given->pieces(), $by, $given->reason());

        return $this->shown($order->refresh(), $by, 201);
    }

    public function receive(UnitReceived $given, Unit $unit, ReceiveUnit $receive): JsonResponse
    {
        $receive($unit, $given->revision(), $given->found());

        return $this->shown($unit->order->refresh(), $given->person());
    }

    public function ask(QuestionAsked $given, Order $order, AskClient $ask): JsonResponse
    {
        $ask->ask($order, $given->asked());

        return $this->shown($order->refresh(), $given->person(), 201);
    }

    public function answer(QuestionAnswered $given, Question $question, AskClient $ask): JsonResponse
    {
        if ($given->amendment() !== null && ! Rights::has($given->person(), 'plan.edit')) {
            throw OrderRefused::amendsNot();
        }
        $question = $ask->answer($question, $given->answer(), $given->by(), $given->amendment());

        return $this->shown($question->order->refresh(), $given->person());
    }

    /** What would be owed if it ended now. */
    public function owed(Order $order, OwedOnOrder $owed): JsonResponse
    {
        return new JsonResponse($owed->of($order));
    }

    private function shown(Order $order, User $by, int $status = 200): JsonResponse
    {
        return new JsonResponse($this->shown->of($order, $by), $status);
    }
}
