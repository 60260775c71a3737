<?php

declare(strict_types=1);

namespace App\Queries\Check;

use App\Models\Answer;
use App\Models\Check;
use App\Models\FaultRow;
use App\Models\Piece;
use App\Models\User;
use App\Policies\Rights;
use App\Queries\Figures\FigureShown;
use App\Repositories\Releases;
use App\Studio\Checks;
use App\Studio\Concession;
use App\Studio\FaultJudged;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Inspection\CheckpointKey;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Words\CheckWords;
use Ordotype\Core\Words\ClauseWords;

/**
 * A check as the Check screen shows it, against the release it was opened with.
 */
final class CheckShown
{
    public function __construct(private readonly Releases $releases, private readonly Checks $checks)
    {
    }

    /** @return array<string, mixed> */
    public function of(Check $check, User $user): array
    {
        $check = Check::query()
            ->with([
                'piece.unit.order',
                'piece.unit.pieces' => fn ($q) => $q->orderBy('number'),
                'answers.user:id,name',
                'faults',
                'holder:id,name',
            ])
            ->findOrFail($check->id);
        $release = $this->releases->ofCheck($check);
        $request = $release->request;
        $questions = $this->checks->questions($check);

        return [
            'id' => $check->id,
            'round' => $check->round,
            'closed' => $check->closed_at !== null,
            'verdict' => $check->verdict,
            'reason' => $check->reason,
            'consent' => $check->consent === null || Rights::seesClients($user) ? $check->consent : 'the client agreed',
            'unit' => $this->unit($check, $release),
            'piece' => self::piece($check->piece) + [
                'painters' => User::query()
                    ->whereIn('id', $check->piece->painters->modelKeys())
                    ->orderBy('name')
                    ->pluck('name')
                    ->all(),
            ],
            'figure' => FigureShown::of($request->sculpt, $request->scheme, $request->shelf),
            'held' => $this->held($check, $user),
            'client_said' => self::said($check, $user),
            'looks' => self::looks($questions),
            'questions' => array_map(
                fn (array $q, Checkpoint $c) => $q + ['aspect' => null, 'look' => Checks::look($c)],
                $check->questions,
                $questions,
            ),
            'clauses' => (object) $this->clauses($release),
            'answers' => $check->answers
                ->map(
                    fn (Answer $a) => [
                        'question' => $a->question,
                        'answer' => $a->answer,
                        'note' => $a->note,
                        'look' => $a->look,
                        'by' => $a->user->name,
                    ],
                )
                ->values()
                ->all(),
            'faults' => $check->faults->map(fn (FaultRow $f) => $this->fault($f, $release))->values()->all(),
            'found_before' => array_map(fn (FaultRow $f) => $this->fault($f, $release), $this->foundBefore($check)),
            'fault_kinds' => array_map(self::kind(...), array_values($release->faults->kinds)),
            'verdict_so_far' => $this->verdict($check, $release),
            'may' => $this->may($check, $user),
        ];
    }

    /** @return array{agrees: bool, name: string, at: string}|null */
    private static function said(Check $check, User $user): ?array
    {
        $said = Concession::said($check);

        return $said === null || Rights::seesClients($user) ? $said : ['name' => 'the client'] + $said;
    }

    /** @return array<string, mixed> */
    private function unit(Check $check, Release $release): array
    {
        $unit = $check->piece->unit;
        $request = $release->request;

        return [
            'id' => $unit->id,
            'order' => $unit->order_id,
            'order_number' => $unit->order->number,
            'sculpt' => $request->sculpt->name,
            'tier' => $request->tier->name,
            'distance_cm' => $request->tier->viewing->distanceCm,
            'standard_version' => $release->inputs->standardVersion,
            'frame_mm' => $request->sculpt->frameMm ?? [60, 80],
            'pieces' => $unit->pieces->map(self::piece(...))->all(),
        ];
    }

    /** @return array<string, mixed> */
    private static function piece(Piece $p): array
    {
        return ['id' => $p->id, 'number' => $p->number, 'code' => $p->code, 'stage' => $p->stage];
    }

    /** @return array<string, string> what each clause says, by its id */
    private function clauses(Release $release): array
    {
        $words = new ClauseWords($release->request->standard, $release->request->sculpt);
        $said = [];
        foreach ($release->request->standard->clausesOf($release->request->tier) as $clause) {
            $said[$clause->id] = $clause->clientText ?? $words->name($clause);
        }
        foreach ($release->inputs->amendments as $made) {
            $said[$made->amendment->id()] = "amendment {$made->amendment->number}: {$made->amendment->reason}";
        }

        return $said;
    }

    /** @return array<string, mixed> */
    private function fault(FaultRow $f, Release $release): array
    {
        return [
            'id' => $f->id,
            'question' => $f->question,
            'fault' => $f->fault,
            'name' => $release->faults->kinds[$f->fault]->name ?? 'A fault that is no longer in the table',
            'area' => $f->area,
            'spread' => $f->spread,
            'size_mm' => $f->size_mm === null ? null : (float) $f->size_mm,
            'pin' => $f->pin,
            'severity' => $f->severity,
            'why' => $f->why,
            'overruled' => $f->overruled,
            'repair' => self::repair($f->repair, $release->request->standard),
        ];
    }

    /**
     * @return array<string, mixed> the same, with the techniques by their names
     */
    public function judged(Check $check, FaultJudged $judged): array
    {
        $standard = $this->releases->ofCheck($check)->request->standard;

        return ['repair' => self::repair($judged->repair, $standard)] + get_object_vars($judged);
    }

    /**
     * @param  list<array{technique: string, area: string|null, minutes: float, why: string}>  $steps
     * @return list<array<string, mixed>>
     */
    private static function repair(array $steps, Standard $standard): array
    {
        return array_map(
            fn (array $s) => [
                'technique' => $standard->hasTechnique($s['technique'])
                    ? $standard->technique($s['technique'])->name
                    : 'a technique that is gone',
                'area' => $s['area'],
                'minutes' => (float) $s['minutes'],
                'why' => $s['why'],
            ],
            $steps,
        );
    }

    /** @return list<FaultRow> what the check before this one sent back */
    private function foundBefore(Check $check): array
    {
        $before = Check::query()
            ->with('faults')
            ->where('piece_id', $check->piece_id)
            ->where('round', '<', $check->round)
            ->orderByDesc('round')
            ->first();

        return $before?->verdict === 'rework'
            ? array_values($before->faults->where('severity', '!=', 'note')->all())
            : [];
    }

    /** @return array{by: string, minutes: int}|null by somebody else, who looked last and for how long they keep it */
    private function held(Check $check, User $user): ?array
    {
        return $check->closed_at !== null || $check->isFreeFor($user)
            ? null
            : [
                'by' => (string) $check->holder?->name,
                'minutes' => (int) ceil(now()->diffInSeconds($check->held_until) / 60),
            ];
    }

    /**
     * @param  list<Checkpoint>  $questions
     * @return list<array<string, mixed>> each look once, in the order in which its checkpoints come
     */
    private static function looks(array $questions): array
    {
        $looks = [];
        foreach ($questions as $c) {
            $looks[Checks::look($c)] ??= [
                'key' => Checks::look($c),
                'view' => $c->view?->value,
                'name' => CheckWords::look($c->view, $c->aspect),
            ];
        }

        return array_values($looks);
    }

    /** @return array<string, mixed> */
    private static function kind(FaultKind $k): array
    {
        return [
            'key' => $k->key,
            'name' => $k->name,
            'looks' => $k->looks,
            'how_to_see' => $k->howToSee,
            'by_size' => $k->bySize,
            'whole' => $k->where === 'whole',
        ];
    }

    /** @return array<string, mixed> */
    private function verdict(Check $check, Release $release): array
    {
        $verdict = $this->checks->verdict($check);
        $repairs = 0.0;
        foreach ($check->faults->where('severity', '!=', 'note') as $fault) {
            $repairs += array_sum(array_column($fault->repair, 'minutes'));
        }
        $again = $release->kindOf($check->piece->number)->plan->minutesByPasses();
        $unseen = $check->answers->where('answer', 'not_seen')->pluck('question')->all();

        return [
            'passes' => $verdict->passes,
            'words' => CheckWords::verdict($verdict),
            'open' => array_map(fn (CheckpointKey $k) => $k->id, $verdict->open),
            'counted' => $verdict->counted,
            'minor_limit' => $verdict->minorLimit,
            'wants_consent' => $this->checks->wantsConsent($check),
            'repair_minutes' => round($repairs, 2),
            'quicker_anew' => $repairs > $again ? round($again, 2) : null,
            'unseen' => self::focal($unseen, $check, $release),
        ];
    }

    /**
     * What could not be seen where one looks first: for the lead to confirm.
     *
     * @param  list<string>  $unseen  keys of checkpoints
     * @return list<string> in words
     */
    private static function focal(array $unseen, Check $check, Release $release): array
    {
        $sculpt = $release->request->sculpt;
        $isFocal = fn (array $q): bool => in_array($q['key'], $unseen, true) &&
            array_filter($q['areas'], fn (string $a) => $sculpt->has($a) && $sculpt->area($a)->focus >= 2) !== [];

        return array_values(array_column(array_filter($check->questions, $isFocal), 'text'));
    }

    /** @return array<string, bool> */
    private function may(Check $check, User $user): array
    {
        $own = $this->checks->isOwnWork($check->piece, $user);

        return [
            'answer' => ! $own &&
                $check->closed_at === null &&
                $check->isFreeFor($user) &&
                Rights::has($user, 'check.answer'),
            'take_over' => ! $own && $check->closed_at === null && Rights::has($user, 'check.answer'),
            'overrule' => ! $own && $check->closed_at === null && Rights::has($user, 'check.overrule'),
            'accept' => ! $own && Rights::has($user, 'sign'),
            'sign' => Rights::has($user, 'sign'),
        ];
    }
}
