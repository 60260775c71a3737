<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SignPieces;
use App\Models\Piece;
use App\Models\SignOff;
use App\Models\User;
use App\Policies\Rights;
use App\Queries\CertificateWords;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Format\Json;
use stdClass;

final class SignOffController
{
    public function __construct(private readonly CertificateWords $words)
    {
    }

    public function index(): JsonResponse
    {
        $records = SignOff::query()
            ->with(['user:id,name', 'pieces:id,number,code'])
            ->orderByDesc('number')
            ->cursorPaginate(50);

        return new JsonResponse([
            'data' => array_map(
                fn (SignOff $s) => [
                    'number' => $s->number,
                    'kind' => $s->kind,
                    'hash' => $s->hash,
                    'signed_at' => $s->signed_at->toIso8601ZuluString(),
                    'by' => $s->user->name,
                    'pieces' => $s->pieces->map(fn (Piece $p) => $p->code)->all(),
                ],
                $records->items(),
            ),
            'next_cursor' => $records->nextCursor()?->encode(),
        ]);
    }

    public function show(Request $request, int $number): JsonResponse
    {
        return new JsonResponse(
            $this->certificate(SignOff::query()->where('number', $number)->firstOrFail(), $request),
        );
    }

    public function store(Request $request, SignPieces $sign): JsonResponse
    {
        $given = $request->validate([
            'pieces' => ['required', 'array', 'min:1', 'max:500'],
            'pieces.*' => ['integer'],
        ]);

        return new JsonResponse(
            $this->certificate(
                $sign->sign(array_map(intval(...), $given['pieces']), self::person($request)),
                $request,
            ),
            201,
        );
    }

    public function withdraw(Request $request, int $number, SignPieces $sign): JsonResponse
    {
        $given = $request->validate(['reason' => ['required', 'string', 'max:1000']]);

        return new JsonResponse(
            $this->certificate(
                $sign->withdraw(
                    SignOff::query()->where('number', $number)->firstOrFail(),
                    self::person($request),
                    $given['reason'],
                ),
                $request,
            ),
            201,
        );
    }

    /** @return array<string, mixed> */
    private function certificate(SignOff $record, Request $request): array
    {
        $withdrawn = SignOff::query()
            ->where('kind', 'withdrawal')
            ->where('number', '>', $record->number)
            ->whereHas('pieces', fn ($q) => $q->whereIn('pieces.id', $record->pieces()->pluck('pieces.id')))
            ->orderBy('number')
            ->first();

        $body = Json::decode($record->record);
        assert($body instanceof stdClass);

        return [
            'number' => $record->number,
            'kind' => $record->kind,
            'hash' => $record->hash,
            'previous' => $record->previous,
            'signed_at' => $record->signed_at->toIso8601ZuluString(),
            'record' => $body,
            'words' => $this->words->of($record, $body),
            'withdrawn_by' => $record->kind === 'sign_off' ? $withdrawn?->number : null,
            'may_withdraw' => $record->kind === 'sign_off' &&
                $withdrawn === null &&
                Rights::has(self::person($request), 'sign'),
        ];
    }

    private static function person(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }
}
