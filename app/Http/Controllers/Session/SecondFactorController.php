<?php

declare(strict_types=1);

namespace App\Http\Controllers\Session;

use App\Actions\Session\SecondFactor;
use App\Http\Requests\NothingSent;
use App\Http\Requests\Session\CodeSaid;
use App\Http\Requests\Session\PasswordSaid;
use App\Models\Studio;
use App\Models\User;
use Illuminate\Http\JsonResponse;

/** One's own second factor, and that of somebody who lost theirs. */
final class SecondFactorController
{
    public function __construct(private readonly SecondFactor $factor)
    {
    }

    public function begin(PasswordSaid $given): JsonResponse
    {
        $secret = $this->factor->begin($given->person(), $given->current());
        $studio = rawurlencode(Studio::row()->name ?: 'Ordotype');
        $who = rawurlencode($given->person()->email);

        return new JsonResponse([
            'secret' => $secret,
            'address' => "otpauth://totp/$studio:$who?secret=$secret&issuer=$studio",
        ], 201);
    }

    public function confirm(CodeSaid $given): JsonResponse
    {
        return new JsonResponse(['codes' => $this->factor->confirm($given->person(), $given->code())]);
    }

    public function remove(PasswordSaid $given): JsonResponse
    {
        $this->factor->remove($given->person(), $given->current());

        return new JsonResponse(null, 204);
    }

    public function takeAway(NothingSent $given, User $person): JsonResponse
    {
        $this->factor->takeAway($person);

        return new JsonResponse(null, 204);
    }
}
