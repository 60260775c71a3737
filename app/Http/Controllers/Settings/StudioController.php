<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Actions\Session\ManageTokens;
use App\Actions\Settings\EditStudio;
use App\Http\Requests\Session\NewToken;
use App\Http\Requests\Session\OwnAccount;
use App\Http\Requests\Settings\StudioFacts;
use App\Http\Resources\Session\TokenBrief;
use App\Models\Studio;
use App\Policies\Rights;
use App\Queries\Settings\FirstSteps;
use App\Studio\Failures;
use App\Studio\Pictures;
use Illuminate\Http\JsonResponse;

/** What holds for the whole studio, and the tokens of the person who asks. */
final class StudioController
{
    public function show(): JsonResponse
    {
        return new JsonResponse(Studio::row()->only(Studio::FACTS) + self::standing());
    }

    public function firstSteps(FirstSteps $steps): JsonResponse
    {
        return new JsonResponse(['data' => $steps->all()]);
    }

    public function update(StudioFacts $given, EditStudio $edit): JsonResponse
    {
        return new JsonResponse($edit($given->facts())->only(Studio::FACTS) + self::standing());
    }

    /** @return array<string, mixed> how the machine stands, for whoever looks after it */
    private static function standing(): array
    {
        return ['pictures' => Pictures::room(), 'failed' => Failures::counted()];
    }

    public function tokens(OwnAccount $given): JsonResponse
    {
        $tokens = $given->person()->tokens()->whereNull('revoked_at')->orderBy('id')->get();

        return new JsonResponse([
            'data' => TokenBrief::collection($tokens),
            'abilities' => Rights::of($given->person()),
        ]);
    }

    public function makeToken(NewToken $given, ManageTokens $tokens): JsonResponse
    {
        $made = $tokens->make($given->person(), $given->tokenName(), $given->abilities(), $given->days());

        return new JsonResponse(
            [
                'id' => $made->accessToken->id,
                'token' => $made->plainTextToken,
                'expires_at' => $made->accessToken->expires_at?->toIso8601ZuluString(),
            ],
            201,
        );
    }

    public function revokeToken(OwnAccount $given, int $token, ManageTokens $tokens): JsonResponse
    {
        $tokens->revoke($given->person(), $token);

        return new JsonResponse(null, 204);
    }
}
