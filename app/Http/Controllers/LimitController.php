<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LimitAsked;
use App\Queries\LimitShown;
use Illuminate\Http\JsonResponse;

/** What a limit of a finish clause looks like. */
final class LimitController
{
    public function show(LimitAsked $asked, LimitShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of($asked->criterion(), $asked->limit()));
    }
}
