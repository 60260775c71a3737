<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\BenchRefused;
use App\Exceptions\SignOffRefused;
use App\Models\Piece;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Inspection\Signing;
use Ordotype\Core\Words\CheckWords;

/** Pieces that may be signed off, why, and what the record says of them. */
final class PiecesToSign
{
    public function __construct(private readonly CertificateBody $body)
    {
    }

    /**
     * What the record would say; nothing is signed.
     *
     * @param  list<int>  $pieces
     * @return array<string, mixed>
     */
    public function preview(array $pieces, User $by): array
    {
        return DB::transaction(fn (): array => $this->body($this->found($pieces), $by, new NamesApart(true)));
    }

    /**
     * @param  Collection<int, Piece>  $pieces
     * @return array<string, mixed> of the record
     *
     * @throws SignOffRefused
     */
    public function body(Collection $pieces, User $by, NamesApart $names): array
    {
        return $this->body->of($pieces, $this->rules($pieces, $by), $by, $names);
    }

    /**
     * @param  list<int>  $pieces
     * @return Collection<int, Piece> passed, and all of one unit
     */
    public function found(array $pieces): Collection
    {
        $found = Piece::query()
            ->with(CertificateBody::OF_PIECES)
            ->whereIn('id', $pieces)
            ->orderBy('number')
            ->lockForUpdate()
            ->get();
        if ($found->isEmpty() || $found->count() !== count(array_unique($pieces))) {
            throw BenchRefused::noSuchPieces();
        }
        if ($found->pluck('unit_id')->unique()->count() !== 1) {
            throw SignOffRefused::piecesOfSeveralUnits();
        }
        foreach ($found as $piece) {
            if ($piece->stage !== 'passed') {
                throw SignOffRefused::notPassed($piece);
            }
        }

        return $found;
    }

    /**
     * @param  Collection<int, Piece>  $pieces
     * @return array<int, string> why this person may sign each, by its id
     */
    private function rules(Collection $pieces, User $by): array
    {
        $rules = [];
        $people = User::query()->whereNull('set_aside_at')->get(['id', 'may_sign']);
        foreach ($pieces as $piece) {
            $rules[$piece->id] = self::rule($piece, $by, $people);
        }

        return $rules;
    }

    /** @param  Collection<int, User>  $people  at work */
    private static function rule(Piece $piece, User $by, Collection $people): string
    {
        $mandatory = [];
        foreach ($piece->checks as $check) {
            $keys = array_column(array_filter($check->questions, fn (array $q) => $q['mandatory'] === true), 'key');
            foreach ($check->answers->whereIn('question', $keys) as $answer) {
                $mandatory[] = $answer->user_id;
            }
        }
        $signing = Signing::by(
            $by->id,
            array_values($people->where('may_sign', true)->modelKeys()),
            array_values($piece->painters->modelKeys()),
            array_values(array_unique($mandatory)),
            $people->count(),
        );

        return $signing->allows()
            ? CheckWords::signing($signing)
            : throw SignOffRefused::mayNotSign($piece, CheckWords::signing($signing));
    }
}
