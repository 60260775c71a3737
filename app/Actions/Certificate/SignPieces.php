<?php

declare(strict_types=1);

namespace App\Actions\Certificate;

use App\Exceptions\SignOffRefused;
use App\Models\Piece;
use App\Models\SignOff;
use App\Models\Unit;
use App\Models\User;
use App\Studio\ActivityLog;
use App\Studio\NamesApart;
use App\Studio\OrderLife;
use App\Studio\PiecesToSign;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Foundation\Chain;

/** Signs passed pieces off, and withdraws a sign-off: each a record in one chain that nobody can change later. */
final class SignPieces
{
    /** Bytes of a record's public address. */
    private const SECRET = 16;

    public function __construct(
        private readonly PiecesToSign $signing,
        private readonly OrderLife $life,
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
            $found = $this->signing->found($pieces);
            $names = new NamesApart();
            $body = $this->signing->body($found, $by, $names);
            // The unit as a whole, where it was looked at side by side.
            $body += $whole === null ? [] : ['whole' => $whole];

            return $this->append($number, 'sign_off', $previous, $body, $found, $by, Stage::Signed, $names);
        });
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
                throw SignOffRefused::withdrawalStays();
            }
            $later = SignOff::query()
                ->where('number', '>', $signOff->number)
                ->whereHas('pieces', fn ($q) => $q->whereKey($pieces->modelKeys()))
                ->exists();
            if ($later) {
                throw SignOffRefused::doesNotHold($signOff->number);
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
                'format' => 'ordotype/certificate@3',
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
        foreach (Unit::query()->whereKey($pieces->pluck('unit_id'))->distinct()->pluck('order_id') as $order) {
            $this->life->settle((int) $order, withdrawn: $kind === 'withdrawal');
        }
        $this->log->write("sign_off.$kind", $signOff, null, ['number' => $number, 'hash' => $link->hash]);

        return $signOff;
    }
}
