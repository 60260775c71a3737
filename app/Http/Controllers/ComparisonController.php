<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ShareSheet;
use App\Exceptions\LinkShowsNothing;
use App\Http\Requests\FigureOnSheet;
use App\Http\Requests\NewShare;
use App\Http\Resources\ShareLinkBrief;
use App\Models\ShareLink;
use App\Queries\SheetShown;
use App\Repositories\Standards;
use Illuminate\Http\JsonResponse;

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
        $links = ShareLink::query()->orderByDesc('id')->limit(self::MOST_LINKS)->get();

        return new JsonResponse(['data' => ShareLinkBrief::collection($links)]);
    }

    public function share(NewShare $given, ShareSheet $share): JsonResponse
    {
        [$link, $secret] = $share->make($given->sculpt(), $given->prices(), $given->days(), $given->person());

        return new JsonResponse(
            [
                'id' => $link->id,
                'path' => "/shared/$secret",
                'expires_at' => $link->expires_at->toIso8601ZuluString(),
            ],
            201,
        );
    }

    public function withdraw(ShareLink $link, ShareSheet $share): JsonResponse
    {
        $share->withdraw($link);

        return new JsonResponse(null, 204);
    }

    /** What a link shows, without signing in. Expired, withdrawn and never made look the same. */
    public function shared(string $secret): JsonResponse
    {
        $link = ShareLink::query()->where('hash', hash('sha256', $secret))->first();
        if ($link === null || ! $link->holds()) {
            throw new LinkShowsNothing();
        }

        return new JsonResponse($this->sheet->shared($link));
    }
}
