<?php

declare(strict_types=1);

namespace App\Actions\Certificate;

use App\Exceptions\MayNotSign;
use App\Exceptions\NoSuchPieces;
use App\Exceptions\NotPassed;
use App\Exceptions\PiecesOfSeveralUnits;
use App\Exceptions\SignOffDoesNotHold;
use App\Exceptions\WithdrawalStays;
use App\Models\Piece;
use App\Models\SignOff;
use App\Models\User;
use App\Studio\ActivityLog;
use App\Studio\CertificateBody;
use App\Studio\NamesApart;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Foundation\Chain;
use Ordotype\Core\Inspection\Signing;
use Ordotype\Core\Words\CheckWords;

/** Signs passed pieces off, and withdraws a sign-off: each a record in one chain that nobody can change later. */
final class SignPieces
{
    /** Bytes of a record's public address. */
    private const SECRET = 16;

    public function __construct(
        private readonly CertificateBody $body,
        private readonly ActivityLog $log,
    ) {
    }

    /**
     * @param  list<int>  $pieces all of one unit
     * @param  string|null  $whole  how the unit looks: like one army, like clones, monotonous
     */
    public function sign(array $pieces, User $by, ?string $whole = null): SignOff
    {
        return DB::transaction(function () use ($pieces, $by, $whole): SignOff {
            [$number, $previous] = $this->head();
            $found = $this->found($pieces);
            $names = new NamesApart();
            $body = $this->body->of($found, $this->rules($found, $by), $by, $names);
            // The unit as a whole, where it was looked at side by side.
            $body += $whole === null ? [] : ['whole' => $whole];

            return $this->append($number, 'sign_off', $previous, $body, $found, $by, Stage::Signed, $names);
        });
    }

    /**
     * What the record would say; nothing is signed.
     *
     * @param  list<int>  $pieces
     * @return array<string, mixed>
     */
    public function preview(array $pieces, User $by): array
    {
        return DB::transaction(function () use ($pieces, $by): array {
            $found = $this->found($pieces);

            return $this->body->of($found, $this->rules($found, $by), $by, new NamesApart(true));
        });
    }

    /**
     * @param  list<int>  $pieces
     * @return Collection<int, Piece> passed, and all of one unit
     */
    private function found(array $pieces): Collection
    {
        $found = Piece::query()
            ->with(CertificateBody::OF_PIECES)
            ->whereIn('id', $pieces)
            ->orderBy('number')
            ->lockForUpdate()
            ->get();
        if ($found->isEmpty() || $found->count() !== count(array_unique($pieces))) {
            throw new NoSuchPieces();
        }
        if ($found->pluck('unit_id')->unique()->count() !== 1) {
            throw new PiecesOfSeveralUnits();
        }
        foreach ($found as $piece) {
            if ($piece->stage !== 'passed') {
                throw new NotPassed($piece);
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

    public function withdraw(SignOff $signOff, User $by, string $reason): SignOff
    {
        return DB::transaction(function () use ($signOff, $by, $reason): SignOff {
            [$number, $previous] = $this->head();
            $pieces = Piece::query()
                ->whereIn('id', $signOff->pieces()->pluck('pieces.id'))
                ->orderBy('number')
                ->lockForUpdate()
                ->get();
            if ($signOff->kind !== 'sign_off') {
                throw new WithdrawalStays();
            }
            $later = SignOff::query()
                ->where('number', '>', $signOff->number)
                ->whereHas('pieces', fn ($q) => $q->whereKey($pieces->modelKeys()))
                ->exists();
            if ($later) {
                throw new SignOffDoesNotHold($signOff->number);
            }
            $names = new NamesApart();
            $body = [
                'kind' => 'withdrawal',
                'of' => ['number' => $signOff->number, 'hash' => $signOff->hash],
                'reason' => $reason,
                'by' => ['id' => $by->id, 'name' => $names->token($by->name)],
                'pieces' => $pieces
                    ->map(fn (Piece $p) => ['code' => $p->code, 'number' => $p->number])
                    ->values()
                    ->all(),
            ];

            return $this->append($number, 'withdrawal', $previous, $body, $pieces, $by, Stage::Offered, $names);
        });
    }

    /** @return array{int, string} the next number and the hash it follows on, with the head locked */
    private function head(): array
    {
        DB::table('chain_heads')->where('id', 1)->lockForUpdate()->first();
        $last = SignOff::query()->orderByDesc('number')->first();

        return [($last->number ?? 0) + 1, $last->hash ?? Chain::START];
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
            : throw new MayNotSign($piece, CheckWords::signing($signing));
    }

    /**
     * @param  array<string, mixed>  $body
     * @param  Collection<int, Piece>  $pieces
     */
    private function append(
        int $number,
        string $kind,
        string $previous,
        array $body,
        Collection $pieces,
        User $by,
        Stage $stage,
        NamesApart $names,
    ): SignOff {
        $now = now();
        $link = Chain::link(
            $number,
            $previous,
            [
                'format' => 'ordotype/certificate@2',
                'number' => $number,
                'signed_at' => $now->utc()->format('Y-m-d\TH:i:s.v\Z'),
            ] + $body,
        );
        $signOff = SignOff::query()->create([
            'number' => $number,
            'kind' => $kind,
            'previous' => $previous,
            'hash' => $link->hash,
            'record' => $link->record,
            'user_id' => $by->id,
            'signed_at' => $now,
            'secret' => bin2hex(random_bytes(self::SECRET)),
        ]);
        $names->keep($signOff);
        $signOff->pieces()->attach($pieces->pluck('id')->all());
        Piece::query()
            ->whereKey($pieces->modelKeys())
            ->update(['stage' => $stage->value, 'revision' => DB::raw('revision + 1')]);
        $this->log->write("sign_off.$kind", $signOff, null, ['number' => $number, 'hash' => $link->hash]);

        return $signOff;
    }
}
