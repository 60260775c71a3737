<?php

declare(strict_types=1);

namespace App\Http\Controllers\Sharing;

use App\Actions\Check\AskTheClient;
use App\Actions\Sharing\ShareSheet;
use App\Exceptions\RequestRefused;
use App\Http\Requests\Check\ConcessionAnswered;
use App\Http\Requests\NothingSent;
use App\Http\Requests\Sharing\FigureOnSheet;
use App\Http\Requests\Sharing\NewShare;
use App\Http\Resources\Sharing\ShareLinkBrief;
use App\Models\Example;
use App\Models\Order;
use App\Models\Picture;
use App\Models\ShareLink;
use App\Queries\Check\ConcessionShown;
use App\Queries\Sharing\SheetShown;
use App\Repositories\Standards;
use App\Studio\ClientPage;
use App\Studio\Pictures;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The comparison sheet on screen and on paper, and by a link that shows this and nothing else. */
final class ComparisonController
{
    private const MOST_LINKS = 100;

    public function __construct(private readonly SheetShown $sheet)
    {
    }

    public function show(FigureOnSheet $given, Standards $standards): JsonResponse
    {
        return new JsonResponse($this->sheet->of($standards->current(), $given->sculpt(), true));
    }

    public function links(): JsonResponse
    {
        $links = ShareLink::query()->where('what', 'comparison')->orderByDesc('id')->limit(self::MOST_LINKS)->get();

        return new JsonResponse(['data' => ShareLinkBrief::collection($links)]);
    }

    public function share(NewShare $given, ShareSheet $share): JsonResponse
    {
        [$link, $secret] = $share->make($given->sculpt(), $given->prices(), $given->days(), $given->person());

        return self::made($link, "/shared/$secret");
    }

    public function linksOfOrder(Order $order): JsonResponse
    {
        $links = ShareLink::query()
            ->where('what', 'order')
            ->where('shows->order', $order->id)
            ->orderByDesc('id')
            ->limit(self::MOST_LINKS)
            ->get();

        return new JsonResponse([
            'data' => $links->map(fn (ShareLink $l) => [
                'id' => $l->id,
                'made_at' => $l->created_at?->toIso8601ZuluString(),
                'expires_at' => $l->expires_at->toIso8601ZuluString(),
                'holds' => $l->holds() && ! ClientPage::hasEnded($order),
            ]),
        ]);
    }

    public function shareOrder(NothingSent $given, Order $order, ShareSheet $share): JsonResponse
    {
        [$link, $secret] = $share->ofOrder($order, $given->person());

        return self::made($link, "/for-you/$secret");
    }

    private static function made(ShareLink $link, string $path): JsonResponse
    {
        $until = $link->expires_at->toIso8601ZuluString();

        return new JsonResponse(['id' => $link->id, 'path' => $path, 'expires_at' => $until], 201);
    }

    public function withdraw(ShareLink $link, ShareSheet $share): JsonResponse
    {
        $share->withdraw($link);

        return new JsonResponse(null, 204);
    }

    /** What a link shows, without signing in. Expired, withdrawn and never made look the same. */
    public function shared(string $secret): JsonResponse
    {
        $link = ShareLink::holding($secret, 'comparison');

        return new JsonResponse($this->sheet->shared($link));
    }

    public function concession(string $secret, ConcessionShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of(ShareLink::holding($secret, 'concession')));
    }

    public function concede(
        ConcessionAnswered $given,
        string $secret,
        ConcessionShown $shown,
        AskTheClient $ask,
    ): JsonResponse {
        $link = ShareLink::holding($secret, 'concession');
        $ask->answer($link, $given->name(), $given->agrees());

        return new JsonResponse($shown->of($link->refresh()));
    }

    /** A kept detail of finished work, for whoever holds a link that shows any. */
    public function sharedPicture(string $secret, string $sha, Pictures $pictures): Response
    {
        ShareLink::holding($secret, 'comparison');
        if (Example::query()->where('sha256', $sha)->doesntExist()) {
            throw RequestRefused::linkShowsNothing();
        }

        return $pictures->answered(Picture::query()->findOrFail($sha));
    }
}
