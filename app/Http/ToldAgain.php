<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\Session\ManagePeople;
use App\Actions\Session\ManageTokens;
use App\Actions\Sharing\ShareSheet;
use App\Http\Resources\Session\PersonBrief;
use App\Models\ShareLink;
use App\Models\User;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers that hold a secret are told once and kept nowhere. Where such an answer was lost and is asked for again, what
 * nobody ever saw is revoked, another is made, and the answer says so.
 */
final class ToldAgain
{
    private const PATHS = [
        'api/v1/tokens',
        'api/v1/shares',
        'api/v1/orders/*/links',
        'api/v1/people',
        'api/v1/people/*/link',
    ];

    public function __construct(
        private readonly ManageTokens $tokens,
        private readonly ShareSheet $shares,
        private readonly ManagePeople $people,
    ) {
    }

    public static function holdsASecret(Request $request): bool
    {
        return $request->is(...self::PATHS);
    }

    /** What is kept of such an answer: whose secret it told, never the secret. */
    public static function kept(Response $answer): string
    {
        $told = (array) json_decode((string) $answer->getContent(), true);
        $person = (array) ($told['person'] ?? []);

        return (string) json_encode(['id' => $told['id'] ?? ($person['id'] ?? null)]);
    }

    /** @param  Closure(Request): Response  $next */
    public function answer(Request $request, string $kept, Closure $next): Response
    {
        $id = (int) (((array) json_decode($kept, true))['id'] ?? 0);
        $by = $request->user();
        assert($by instanceof User);
        if ($request->is('api/v1/people')) {
            // The person is there since the first time; only the link is made anew, which ends the one before.
            $person = User::query()->findOrFail($id);
            $link = $this->people->link($person, $by);

            return new JsonResponse(
                ['person' => new PersonBrief($person->refresh()), 'link' => "/join/$link", 'told_again' => true],
                201,
            );
        }
        if ($request->is('api/v1/tokens')) {
            $this->tokens->revoke($by, $id);
        } elseif ($request->is('api/v1/shares', 'api/v1/orders/*/links')) {
            $this->shares->withdraw(ShareLink::query()->findOrFail($id));
        }
        $answer = $next($request);
        if ($answer instanceof JsonResponse && $answer->isSuccessful()) {
            $answer->setData((array) $answer->getData(true) + ['told_again' => true]);
        }

        return $answer;
    }
}
