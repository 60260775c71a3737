<?php

declare(strict_types=1);

namespace App\Queries\Certificate;

use App\Models\Piece;
use App\Models\SignOff;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Studio\NamesApart;
use App\Studio\PiecesToSign;
use Ordotype\Core\Format\Json;
use stdClass;

/** A record of the sign-off chain, in words, with whether it still holds. */
final class CertificateShown
{
    public function __construct(private readonly CertificateWords $words, private readonly PiecesToSign $sign)
    {
    }

    /**
     * What a record of these pieces would say.
     *
     * @param  list<int>  $pieces
     * @return array<string, mixed>
     */
    public function before(array $pieces, User $person): array
    {
        $record = Json::decode(Json::encode($this->sign->preview($pieces, $person)));
        assert($record instanceof stdClass);
        $record->order->title ??= Piece::query()->with('unit.order')->findOrFail($pieces[0])->unit->order->title;
        self::hide($record, $person);
        $unit = Piece::query()->with('unit')->findOrFail($pieces[0])->unit;

        return [
            'record' => $record,
            'words' => $this->words->ofUnit($unit, $record),
            'asks_whole' => count($pieces) > 1 && ! self::isWholeSaid($unit),
        ];
    }

    /** Prices and clients from those who do not see them. */
    private static function hide(stdClass $record, User $person): void
    {
        if (! Rights::seesClients($person)) {
            if (isset($record->order->client)) {
                $record->order->client = 'the client';
            }
            foreach ($record->pieces ?? [] as $piece) {
                foreach ($piece->checks ?? [] as $check) {
                    $check->consent = isset($check->consent) ? 'the client agreed' : null;
                }
            }
        }
        foreach (Rights::seesMoney($person) ? [] : $record->agreed ?? [] as $agreed) {
            $agreed->price = null;
        }
    }

    /** How a unit looks side by side is asked once. */
    private static function isWholeSaid(Unit $unit): bool
    {
        return SignOff::query()
            ->whereHas('pieces', fn ($q) => $q->where('unit_id', $unit->id))
            ->where('record', 'like', '%"whole":%')
            ->exists();
    }

    /** @return array<string, mixed> */
    public function of(SignOff $record, User $person): array
    {
        $withdrawn = SignOff::query()
            ->where('kind', 'withdrawal')
            ->where('number', '>', $record->number)
            ->whereHas('pieces', fn ($q) => $q->whereIn('pieces.id', $record->pieces()->pluck('pieces.id')))
            ->orderBy('number')
            ->first();
        $body = NamesApart::put(Json::decode($record->record), NamesApart::of($record));
        assert($body instanceof stdClass);
        if (isset($body->order)) {
            $body->order->title = CertificateForClient::title($record, $body);
        }
        self::hide($body, $person);
        $signs = $record->kind === 'sign_off';

        return [
            'number' => $record->number,
            'kind' => $record->kind,
            'hash' => $record->hash,
            'previous' => $record->previous,
            'signed_at' => $record->signed_at->toIso8601ZuluString(),
            'record' => $body,
            'words' => $this->words->of($record, $body),
            'path' => $record->secret === null || ! $signs ? null : "/certificate/$record->secret",
            'paper' => $record->secret === null || ! $signs ? null : "/api/v1/certificates/$record->secret/paper",
            'file' => Rights::seesMoney($person) ? "/api/v1/sign-offs/$record->number/record" : null,
            'withdrawn_by' => $signs ? $withdrawn?->number : null,
            'may_withdraw' => $signs && $withdrawn === null && Rights::has($person, 'sign'),
        ];
    }
}
