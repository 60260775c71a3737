<?php

declare(strict_types=1);

namespace App\Http\Controllers\Sharing;

use App\Actions\Sharing\AnswerByPage;
use App\Exceptions\RequestRefused;
use App\Http\Requests\Sharing\ClientAsks;
use App\Http\Requests\Sharing\ClientReplies;
use App\Http\Requests\Sharing\PageLookedAt;
use App\Http\Requests\Sharing\QuoteAnswered;
use App\Models\Order;
use App\Models\Picture;
use App\Models\ShareLink;
use App\Models\Unit;
use App\Pdf\QuotePdf;
use App\Queries\Sharing\OrderForClient;
use App\Queries\Sharing\UnitForClient;
use App\Studio\ClientPage;
use App\Studio\Pictures;
use App\Studio\Quoting;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The page of a client: one address for the life of their order, which opens nothing else. */
final class ClientPageController
{
    public function __construct(private readonly OrderForClient $shown)
    {
    }

    public function show(PageLookedAt $given, string $secret): JsonResponse
    {
        return new JsonResponse($this->shown->shared(self::link($secret), $given->ticks()));
    }

    /** The same, as the studio looks at it before anybody has its address. */
    public function preview(PageLookedAt $given, Order $order): JsonResponse
    {
        return new JsonResponse($this->shown->of($order, $given->ticks()));
    }

    public function answer(QuoteAnswered $given, string $secret, AnswerByPage $answer): JsonResponse
    {
        $link = self::link($secret);
        $order = $given->yes()
            ? $answer->accept($link, $given->version(), $given->name(), $given->ofAge(), $given->ticks())
            : $answer->refuse($link, $given->version(), $given->name(), $given->reason());

        return new JsonResponse($this->shown->of($order, $given->ticks()));
    }

    public function ask(ClientAsks $given, string $secret, AnswerByPage $answer): JsonResponse
    {
        $link = self::link($secret);
        [$tier, $goAhead] = [$given->tier(), $given->goAhead()];
        $order = match (true) {
            $tier !== null => $answer->wishTier($link, $given->name(), $given->words(), (int) $given->unit(), $tier),
            $goAhead !== null => $answer->judgeTest(
                $link,
                $given->name(),
                $given->words(),
                (int) $given->unit(),
                $goAhead,
            ),
            default => $answer->ask($link, $given->name(), $given->words(), $given->unit()),
        };

        return new JsonResponse($this->shown->of($order, []), 201);
    }

    public function reply(ClientReplies $given, string $secret, int $question, AnswerByPage $answer): JsonResponse
    {
        $order = $answer->reply(self::link($secret), $question, $given->name(), $given->words());

        return new JsonResponse($this->shown->of($order, []));
    }

    public function tiers(string $secret, int $unit, UnitForClient $shown): JsonResponse
    {
        $order = ClientPage::order(self::link($secret));
        $found = Unit::query()->where('order_id', $order->id)->find($unit);

        return new JsonResponse($shown->atAllTiers($found ?? throw RequestRefused::linkShowsNothing()));
    }

    public function paper(string $secret, Quoting $quoting, QuotePdf $pdf): Response
    {
        $order = ClientPage::order(self::link($secret));
        $version = $quoting->newest($order) ?? throw RequestRefused::linkShowsNothing();

        return $pdf->answered($order, $version);
    }

    public function picture(string $secret, string $sha, Pictures $pictures): Response
    {
        if (! ClientPage::shows(ClientPage::order(self::link($secret)), $sha)) {
            throw RequestRefused::linkShowsNothing();
        }

        return $pictures->answered(Picture::query()->findOrFail($sha));
    }

    private static function link(string $secret): ShareLink
    {
        return ShareLink::holding($secret, 'order');
    }
}
