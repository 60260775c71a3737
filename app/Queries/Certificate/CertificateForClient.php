<?php

declare(strict_types=1);

namespace App\Queries\Certificate;

use App\Exceptions\RequestRefused;
use App\Models\Photograph;
use App\Models\SignOff;
use App\Models\Studio;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\Chain;
use Ordotype\Core\Foundation\Link;
use Ordotype\Core\Inspection\WholeUnit;
use Ordotype\Core\Words\CheckWords;
use stdClass;

/** A signed record as a client reads it by its address: in their words, with pictures, without names or money. */
final class CertificateForClient
{
    public function __construct(private readonly CertificateWords $words)
    {
    }

    /** @return array<string, mixed> */
    public function at(string $secret): array
    {
        $record = self::record($secret);
        $body = Json::decode($record->record);
        assert($body instanceof stdClass);
        $words = $this->words->of($record, $body);
        $withdrawal = SignOff::query()
            ->where('kind', 'withdrawal')
            ->where('number', '>', $record->number)
            ->whereHas('pieces', fn ($q) => $q->whereIn('pieces.id', $record->pieces()->pluck('pieces.id')))
            ->orderBy('number')
            ->first();

        return [
            'studio' => Studio::row()->name,
            'number' => $record->number,
            'signed_at' => $record->signed_at->toIso8601ZuluString(),
            'order' => ['number' => $body->order->number, 'title' => self::title($record, $body)],
            'figure' => $body->sculpt,
            'tier' => $body->tier->name,
            'intent' => $body->tier->intent,
            'distance_cm' => (float) $body->tier->distance_cm,
            'standard_version' => $body->standard->version,
            'models' => array_map(fn (stdClass $p) => $p->number, $body->pieces),
            'promised' => $body->promised,
            'agreed' => $words['agreed'],
            'unpainted' => array_map(fn (string $a) => $words['names']->{$a} ?? $a, $body->unpainted),
            'side_by_side' => isset($body->whole) ? CheckWords::whole(WholeUnit::from($body->whole)) : null,
            'found' => array_map(fn (stdClass $p) => self::found($p, $words['names']), $body->pieces),
            'pictures' => self::pictures($body),
            'withdrawn_at' => $withdrawal?->signed_at->toIso8601ZuluString(),
            'hash' => $record->hash,
            'holds' => self::holds($record),
        ];
    }

    /** What the order is called: in the record where it is one of before. */
    public static function title(SignOff $record, stdClass $body): string
    {
        return $body->order->title ?? $record->pieces()->with('unit.order')->first()->unit->order->title ?? '';
    }

    /** A photograph that the record names, by its hash. */
    public function photograph(string $secret, string $sha256): Photograph
    {
        $record = self::record($secret);
        $isIn = str_contains($record->record, "\"sha256\":\"$sha256\"");

        return Photograph::query()
            ->with('picture')
            ->where('sha256', $sha256)
            ->whereIn('piece_id', $record->pieces()->pluck('pieces.id'))
            ->when(! $isIn, fn ($q) => $q->whereRaw('false'))
            ->first() ?? throw RequestRefused::linkShowsNothing();
    }

    private static function record(string $secret): SignOff
    {
        return SignOff::query()->where('secret', $secret)->where('kind', 'sign_off')->first() ??
            throw RequestRefused::linkShowsNothing();
    }

    /** Whether the record is as it was signed, follows on the one before it, and the one after it rests on it. */
    private static function holds(SignOff $record): bool
    {
        $neighbours = SignOff::query()
            ->whereBetween('number', [$record->number - 1, $record->number + 1])
            ->orderBy('number')
            ->get()
            ->map(fn (SignOff $s) => new Link($s->number, $s->previous, $s->hash, $s->record));

        return Chain::fits(array_values($neighbours->all()));
    }

    /** @return list<array{model: int, view: string, sha256: string, drawn: bool}> */
    private static function pictures(stdClass $body): array
    {
        $pictures = [];
        foreach ($body->pieces as $piece) {
            foreach ($piece->photographs as $p) {
                $pictures[] = [
                    'model' => $piece->number,
                    'view' => $p->view,
                    'sha256' => $p->sha256,
                    'drawn' => $p->drawn,
                ];
            }
        }

        return $pictures;
    }

    /** @return array{model: int, code: string, said: string} */
    private static function found(stdClass $piece, stdClass $names): array
    {
        $repaired = [];
        $left = [];
        $why = null;
        foreach ($piece->checks as $check) {
            foreach ($check->faults as $fault) {
                $name = ($names->{$fault->fault} ?? 'a fault').
                    ($fault->area === null ? '' : ' on '.($names->{$fault->area} ?? 'a part of it'));
                if ($fault->severity !== 'note' && $check->verdict === 'rework') {
                    $repaired[] = $name;
                } elseif ($fault->severity !== 'note') {
                    $left[] = $name;
                }
            }
            $why = $check->verdict === 'accepted' ? $check->reason : $why;
        }

        return ['model' => $piece->number, 'code' => $piece->code, 'said' => CheckWords::found($repaired, $left, $why)];
    }
}
