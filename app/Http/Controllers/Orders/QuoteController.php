<?php

declare(strict_types=1);

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\ContinueArmy;
use App\Actions\Orders\FitBudget;
use App\Actions\Orders\QuoteOrder;
use App\Actions\Orders\SendLetter;
use App\Http\Requests\NothingSent;
use App\Http\Requests\Orders\AgreedOtherwise;
use App\Http\Requests\Orders\ArmyContinued;
use App\Http\Requests\Orders\BudgetAsked;
use App\Http\Requests\Orders\LetterSent;
use App\Http\Requests\Orders\QuoteSent;
use App\Http\Requests\Orders\QuoteSettled;
use App\Http\Requests\Orders\QuoteTyped;
use App\Models\Order;
use App\Models\Unit;
use App\Models\User;
use App\Pdf\QuotePdf;
use App\Queries\Orders\BudgetForOrder;
use App\Queries\Orders\CostsOfFigure;
use App\Queries\Orders\ExtrasForUnit;
use App\Queries\Orders\LettersForOrder;
use App\Queries\Orders\QuoteShown;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Quotes: what the next version says, those that went out, what moved the price, and words to the client. */
final class QuoteController
{
    public function __construct(private readonly QuoteShown $shown)
    {
    }

    public function show(NothingSent $given, Order $order): JsonResponse
    {
        return $this->shown($order, $given->person());
    }

    public function edit(QuoteTyped $given, Order $order, QuoteOrder $quote): JsonResponse
    {
        return $this->shown($quote->edit($order, $given->revision(), $given->typed()), $given->person());
    }

    public function send(QuoteSent $given, Order $order, QuoteOrder $quote): JsonResponse
    {
        $quote->send($order, $given->revision(), $given->until(), $given->person());

        return $this->shown($order->refresh(), $given->person(), 201);
    }

    public function settle(QuoteSettled $given, Order $order, QuoteOrder $quote): JsonResponse
    {
        return $this->shown($quote->settle($order, $given->revision(), $given->cameTrue()), $given->person());
    }

    public function agree(AgreedOtherwise $given, Order $order, QuoteOrder $quote): JsonResponse
    {
        $order = $quote->agree($order, $given->revision(), $given->amount(), $given->reason());

        return $this->shown($order, $given->person());
    }

    public function paper(Order $order, int $number, QuotePdf $pdf): Response
    {
        return $pdf->answered($order, $order->quotes()->where('number', $number)->firstOrFail());
    }

    public function budget(BudgetAsked $given, Order $order, BudgetForOrder $budget): JsonResponse
    {
        return new JsonResponse($budget->of($order, $given->amount()));
    }

    public function fitBudget(BudgetAsked $given, Order $order, FitBudget $fit): JsonResponse
    {
        return $this->shown($fit($order, $given->revision(), $given->amount()), $given->person());
    }

    public function extras(Unit $unit, ExtrasForUnit $extras): JsonResponse
    {
        return new JsonResponse(['data' => $extras->of($unit)]);
    }

    public function costs(NothingSent $given, string $slug, CostsOfFigure $costs): JsonResponse
    {
        return new JsonResponse($costs->of($slug, $given->person()));
    }

    public function goOn(ArmyContinued $given, Order $order, ContinueArmy $continue): JsonResponse
    {
        return new JsonResponse(['id' => $continue($order, $given->until())->id], 201);
    }

    public function letter(Order $order, LettersForOrder $letters): JsonResponse
    {
        return new JsonResponse($letters->of($order));
    }

    public function sendLetter(LetterSent $given, Order $order, SendLetter $send): JsonResponse
    {
        $send($order, $given->to(), $given->subject(), $given->words());

        return new JsonResponse(null, 204);
    }

    private function shown(Order $order, User $by, int $status = 200): JsonResponse
    {
        return new JsonResponse($this->shown->of($order, $by), $status);
    }
}
