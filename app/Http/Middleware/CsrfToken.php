<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** A request that signed in with a token carries no cookie that another site could ride on. */
final class CsrfToken extends ValidateCsrfToken
{
    protected function inExceptArray($request): bool
    {
        return $request->attributes->get('token') === true || parent::inExceptArray($request);
    }
}
