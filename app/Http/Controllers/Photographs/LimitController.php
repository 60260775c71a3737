<?php

declare(strict_types=1);

namespace App\Http\Controllers\Photographs;

use App\Http\Requests\Photographs\LimitAsked;
use App\Queries\Photographs\LimitShown;
use Illuminate\Http\JsonResponse;

/** What a limit of a finish clause looks like. */
final class LimitController
{
    public function show(LimitAsked $asked, LimitShown $shown): JsonResponse
    {
        return new JsonResponse($shown->of($asked->criterion(), $asked->limit()));
    }
}
