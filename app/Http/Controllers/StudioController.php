<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\AccessToken;
use App\Models\Studio;
use App\Models\User;
use App\Policies\Rights;
use App\Studio\ActivityLog;
use App\Studio\Refusal;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** The studio's own figures, and each person's tokens for scripts. */
final class StudioController
{
    public function show(): JsonResponse
    {
        return new JsonResponse(['hourly_rate' => Studio::row()->hourly_rate]);
    }

    public function update(Request $request): JsonResponse
    {
        $given = $request->validate(
            ['hourly_rate' => ['required', 'string', 'regex:/^\d{1,6}\.\d{2}$/']],
            ['hourly_rate.regex' => 'The hourly rate must be a decimal with two places, such as 20.00.'],
        );
        DB::transaction(function () use ($given): void {
            $studio = Studio::query()->lockForUpdate()->findOrFail(1);
            $before = $studio->hourly_rate;
            $studio->update($given);
            ActivityLog::write('studio.changed', $studio, ['hourly_rate' => $before], $given);
        });

        return $this->show();
    }

    public function tokens(Request $request): JsonResponse
    {
        return new JsonResponse([
            'data' => AccessToken::query()
                ->where('user_id', $this->person($request)->id)
                ->whereNull('revoked_at')
                ->orderBy('id')
                ->get()
                ->map(
                    fn (AccessToken $t) => [
                        'id' => $t->id,
                        'name' => $t->name,
                        'abilities' => $t->abilities,
                        'last_used_at' => $t->last_used_at?->toIso8601ZuluString(),
                    ],
                )
                ->all(),
            'abilities' => Rights::of($this->person($request)),
        ]);
    }

    /** The token is in this answer and nowhere else: only its hash is kept. */
    public function makeToken(Request $request): JsonResponse
    {
        $person = $this->person($request);
        $given = $request->validate([
            'name' => ['required', 'string', 'max:100'],
            'abilities' => ['required', 'array', 'min:1'],
            'abilities.*' => ['string', Rule::in(Rights::of($person))],
        ]);
        $secret = 'ordo_'.bin2hex(random_bytes(24));
        $token = AccessToken::query()->create([
            'user_id' => $person->id,
            'name' => $given['name'],
            'hash' => hash('sha256', $secret),
            'abilities' => array_values($given['abilities']),
        ]);
        ActivityLog::write('token.made', $token, null, ['name' => $token->name, 'abilities' => $token->abilities]);

        return new JsonResponse(['id' => $token->id, 'token' => $secret], 201);
    }

    public function revokeToken(Request $request, int $token): JsonResponse
    {
        $found = AccessToken::query()->where('user_id', $this->person($request)->id)->findOrFail($token);
        $found->update(['revoked_at' => $found->revoked_at ?? now()]);
        ActivityLog::write('token.revoked', $found, null, null);

        return new JsonResponse(null, 204);
    }

    private function person(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);
        if ($user->limitedTo !== null) {
            throw new Refusal('Tokens are managed by the person, not by a token.', '', 403);
        }

        return $user;
    }
}
