<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\MayNotSign;
use App\Exceptions\NoSuchPieces;
use App\Exceptions\NothingToSign;
use App\Exceptions\NotPassed;
use App\Exceptions\PiecesOfSeveralUnits;
use App\Exceptions\SignOffDoesNotHold;
use App\Exceptions\WithdrawalStays;
use App\Models\Check;
use App\Models\Piece;
use App\Models\SignOff;
use App\Models\User;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\Checks;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Choice\RequirementState;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Format\RequirementFormat;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Record\Chain;
use Ordotype\Core\Record\Signing;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Words\CheckWords;

/** Signs passed pieces off, and withdraws a sign-off: each a record in one chain that nobody can change later. */
final class SignPieces
{
    public function __construct(
        private readonly Releases $releases,
        private readonly Checks $checks,
        private readonly ActivityLog $log,
    ) {
    }

    /** @param  list<int>  $pieces all of one unit */
    public function sign(array $pieces, User $by): SignOff
    {
        return DB::transaction(function () use ($pieces, $by): SignOff {
            [$number, $previous] = $this->head();
            $found = Piece::query()
                ->with([
                    'unit.order.version',
                    'unit.order.scheme',
                    'unit.sculpt',
                    'checks.answers.user',
                    'checks.faults',
                    'logs.user',
                ])
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
            $rules = [];
            foreach ($found as $piece) {
                if ($piece->stage !== 'passed') {
                    throw new NotPassed($piece);
                }
                $rules[$piece->id] = $this->rule($piece, $by);
            }

            return $this->append(
                $number,
                'sign_off',
                $previous,
                $this->body($found, $rules, $by),
                $found,
                $by,
                'signed',
            );
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
                throw new WithdrawalStays();
            }
            foreach ($pieces as $piece) {
                $latest = SignOff::query()
                    ->whereHas('pieces', fn ($q) => $q->where('pieces.id', $piece->id))
                    ->orderByDesc('number')
                    ->first();
                if ($latest?->id !== $signOff->id) {
                    throw new SignOffDoesNotHold($signOff->number);
                }
            }
            $body = [
                'kind' => 'withdrawal',
                'of' => ['number' => $signOff->number, 'hash' => $signOff->hash],
                'reason' => $reason,
                'by' => ['id' => $by->id, 'name' => $by->name],
                'pieces' => $pieces
                    ->map(fn (Piece $p) => ['code' => $p->code, 'number' => $p->number])
                    ->values()
                    ->all(),
            ];

            return $this->append($number, 'withdrawal', $previous, $body, $pieces, $by, 'offered');
        });
    }

    /** @return array{int, string} the next number and the hash it follows on, with the head locked */
    private function head(): array
    {
        DB::table('chain_heads')->where('id', 1)->lockForUpdate()->first();
        $last = SignOff::query()->orderByDesc('number')->first();

        return [($last->number ?? 0) + 1, $last->hash ?? Chain::START];
    }

    private function rule(Piece $piece, User $by): string
    {
        $mandatory = [];
        foreach ($piece->checks as $check) {
            $keys = array_column(array_filter($check->questions, fn (array $q) => $q['mandatory'] === true), 'key');
            foreach ($check->answers->whereIn('question', $keys) as $answer) {
                $mandatory[] = $answer->user_id;
            }
        }
        $maySign = array_values(
            User::query()
                ->where('may_sign', true)
                ->whereNull('set_aside_at')
                ->pluck('id')
                ->map(fn ($id) => (int) $id)
                ->all(),
        );
        $signing = Signing::by(
            $by->id,
            $maySign,
            $this->checks->painters($piece),
            array_values(array_unique($mandatory)),
            User::query()->whereNull('set_aside_at')->count(),
        );

        return $signing->allows()
            ? CheckWords::signing($signing)
            : throw new MayNotSign($piece, CheckWords::signing($signing));
    }

    /**
     * @param  Collection<int, Piece>  $pieces
     * @param  array<int, string>  $rules
     * @return array<string, mixed>
     */
    private function body(Collection $pieces, array $rules, User $by): array
    {
        $unit = $pieces->first()->unit ?? throw new NothingToSign();
        $release = $this->releases->of($unit);
        $plan = $release->plan->plain();

        return [
            'kind' => 'sign_off',
            'standard' => [
                'name' => $plan->request->standard->name,
                'version' => $release->inputs->standardVersion,
                'sha256' => $release->inputs->standardSha256,
            ],
            'release' => ['number' => $release->number, 'inputs_sha256' => $release->inputs->sha256],
            'tier' => ['key' => $plan->request->tier->key, 'name' => $plan->request->tier->name],
            'order' => [
                'number' => $unit->order->number,
                'client' => $unit->order->client,
                'title' => $unit->order->title,
            ],
            'sculpt' => $plan->request->sculpt->name,
            'by' => ['id' => $by->id, 'name' => $by->name],
            // Only where there is any, so that records of the same work stay the same.
            ...(self::unpainted($plan) === [] ? [] : ['unpainted' => self::unpainted($plan)]),
            'requirements' => array_map(
                fn (RequirementState $s) => self::requirement($s->requirement),
                $plan->requirements,
            ),
            'pieces' => $pieces
                ->map(
                    fn (Piece $p) => [
                        'code' => $p->code,
                        'number' => $p->number,
                        'rule' => $rules[$p->id],
                        'painters' => $p->logs
                            ->whereIn('family', $this->checks->ownFamilies())
                            ->whereNull('skipped')
                            ->map(fn ($l) => $l->user->name)
                            ->unique()
                            ->sort()
                            ->values()
                            ->all(),
                        'checks' => $p->checks->sortBy('round')->map(self::check(...))->values()->all(),
                    ],
                )
                ->values()
                ->all(),
        ];
    }

    /** @return array<string, mixed> */
    private static function requirement(Requirement $r): array
    {
        $written = RequirementFormat::write($r);
        $decimal = fn (int|float|null $n): ?string => $n === null ? null : (string) (float) $n;

        return [
            'area' => $r->area,
            'kind' => $written->kind,
            'subject' => $written->subject,
            'extent' => $written->extent ?? 'none',
            'passes' => $written->passes ?? 0,
            'min' => $decimal($written->limit->min ?? null),
            'max' => $decimal($written->limit->max ?? null),
            'clauses' => $written->clauses,
        ];
    }

    /** @return array<string, mixed> */
    private static function check(Check $check): array
    {
        $texts = array_column($check->questions, 'text', 'key');

        return [
            'round' => $check->round,
            'verdict' => $check->verdict,
            'reason' => $check->reason,
            'closed_at' => $check->closed_at?->utc()->format('Y-m-d\TH:i:s.v\Z'),
            'answers' => $check->answers
                ->map(
                    fn ($a) => [
                        'question' => $texts[$a->question] ?? $a->question,
                        'key' => $a->question,
                        'answer' => $a->answer,
                        'note' => $a->note,
                        'by' => $a->user->name,
                    ],
                )
                ->values()
                ->all(),
            'faults' => $check->faults
                ->map(
                    fn ($f) => [
                        'fault' => $f->fault,
                        'area' => $f->area,
                        'spread' => $f->spread,
                        'size_mm' => $f->size_mm,
                        'severity' => $f->severity,
                        'why' => $f->why,
                    ],
                )
                ->values()
                ->all(),
        ];
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
        string $stage,
    ): SignOff {
        $now = now();
        $link = Chain::link(
            $number,
            $previous,
            [
                'format' => 'ordotype/certificate@1',
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
        ]);
        $signOff->pieces()->attach($pieces->pluck('id')->all());
        foreach ($pieces as $piece) {
            $piece->update(['stage' => $stage, 'revision' => $piece->revision + 1]);
        }
        $this->log->write("sign_off.$kind", $signOff, null, ['number' => $number, 'hash' => $link->hash]);

        return $signOff;
    }

    /** @return list<string> keys of areas that are left without a base colour on purpose */
    private static function unpainted(Plan $plan): array
    {
        return array_map(fn (Area $a) => $a->key, $plan->unpainted());
    }
}
