<?php

declare(strict_types=1);

namespace App\Http\Controllers\Standard;

use App\Http\Requests\Standard\TwoTiers;
use App\Http\Requests\Standard\TwoVersions;
use App\Queries\Standard\LadderShown;
use App\Queries\Standard\OpenUnitsAtTier;
use App\Queries\Standard\TechniquesShown;
use App\Queries\Standard\TiersCompared;
use App\Queries\Standard\VersionsCompared;
use App\Queries\Standard\VersionsListed;
use App\Repositories\Standards;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\LadderCsv;

/** The standard to read: the ladder, its versions, what differs between them and between its tiers. */
final class StandardController
{
    public function __construct(private readonly Standards $standards, private readonly LadderShown $ladder)
    {
    }

    /** The open draft where there is one, else the published version, as a ladder. */
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse($this->ladder->of($this->standards->open(), $request->user()));
    }

    public function versions(VersionsListed $versions): JsonResponse
    {
        return new JsonResponse(['data' => $versions->all()]);
    }

    public function version(Request $request, int $number): JsonResponse
    {
        return new JsonResponse($this->ladder->of($this->standards->numbered($number), $request->user()));
    }

    public function compare(TwoVersions $given, VersionsCompared $compared): JsonResponse
    {
        return new JsonResponse($compared->of($given->from(), $given->to()));
    }

    public function difference(TwoTiers $given, TiersCompared $compared): JsonResponse
    {
        return new JsonResponse($compared->on($given->sculpt(), $given->from(), $given->to()));
    }

    public function openUnits(string $tier, OpenUnitsAtTier $units): JsonResponse
    {
        return new JsonResponse($units->of($tier));
    }

    public function techniques(TechniquesShown $techniques): JsonResponse
    {
        return new JsonResponse($techniques->all());
    }

    public function csv(): Response
    {
        return new Response(LadderCsv::of($this->standards->core($this->standards->open())), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="ladder.csv"',
        ]);
    }

    /** A version as `ordotype/standard@1`. */
    public function export(int $number): Response
    {
        return new Response(Json::encode($this->standards->document($this->standards->numbered($number))), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"standard-v$number.json\"",
        ]);
    }
}
