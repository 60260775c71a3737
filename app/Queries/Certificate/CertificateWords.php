<?php

declare(strict_types=1);

namespace App\Queries\Certificate;

use App\Models\SignOff;
use App\Models\Unit;
use App\Repositories\Releases;
use Ordotype\Core\Bench\MadeAmendment;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Words\AgreedWords;
use Ordotype\Core\Words\Terms;
use stdClass;

/** What a person reads for the keys of a signed record, which stays as it was signed. */
final class CertificateWords
{
    public function __construct(private readonly Releases $releases)
    {
    }

    /**
     * @return array{asked: list<string>, agreed: list<string>, names: stdClass} what was asked, what was agreed beside
     * it, and names by key of areas and faults
     */
    public function of(SignOff $record, stdClass $body): array
    {
        return $this->ofUnit($record->pieces()->with('unit')->first()?->unit, $body);
    }

    /** @return array{asked: list<string>, agreed: list<string>, names: stdClass} */
    public function ofUnit(?Unit $unit, stdClass $body): array
    {
        $release = $unit === null ? null : $this->releases->find($unit);
        $names = [];
        foreach ($release->faults->kinds ?? [] as $kind) {
            $names[$kind->key] = mb_strtolower($kind->name);
        }
        foreach ($release->request->sculpt->areas ?? [] as $area) {
            $names[$area->key] = mb_strtolower($area->name);
        }
        $asked = [];
        foreach ($body->requirements ?? [] as $requirement) {
            $asked[] = match ($requirement->kind) {
                'effect' => $this->effects($requirement->subject),
                'technique' => $release?->request->standard->hasTechnique($requirement->subject) === true
                    ? mb_strtolower($release->request->standard->technique($requirement->subject)->name)
                    : Terms::plain($requirement->subject),
                default => null,
            };
        }

        foreach ($body->unpainted ?? [] as $area) {
            $asked[] = 'left unpainted on purpose: '.($names[$area] ?? $area);
        }

        return [
            'asked' => array_values(array_unique(array_filter($asked))),
            'agreed' => self::agreed($release, $body),
            'names' => (object) $names,
        ];
    }

    /**
     * The amendments of the release whose inputs' hash the record names; a record of before whose release is another
     * one by now says what was written beside them.
     *
     * @return list<string>
     */
    private static function agreed(?Release $release, stdClass $body): array
    {
        if ($release === null || $release->inputs->sha256 !== ($body->release->inputs_sha256 ?? null)) {
            return array_values(array_filter(array_map(
                fn (stdClass $a) => $a->reason ?? null,
                $body->agreed ?? [],
            )));
        }
        $request = $release->request;
        $words = new AgreedWords($request->standard, $request->tier, $request->sculpt);

        return array_map(fn (MadeAmendment $m) => $words->of($m->amendment), $release->inputs->amendments);
    }

    private function effects(string $subject): string
    {
        $words = [];
        foreach (explode('|', $subject) as $key) {
            $effect = Effect::tryFrom($key);
            $words[] = $effect === null ? Terms::plain($key) : Terms::effect($effect);
        }

        return Terms::any($words);
    }
}
