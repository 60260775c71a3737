<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Answer;
use App\Models\Check;
use App\Models\FaultRow;
use App\Models\Piece;
use App\Models\User;
use App\Policies\Rights;
use App\Repositories\Releases;
use App\Studio\Checks;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Inspection\QuestionKey;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Words\CheckWords;
use Ordotype\Core\Words\ClauseWords;

/** A check as the Check screen shows it, against the release it was opened with. */
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
            ])
            ->findOrFail($check->id);
        $release = $this->releases->ofCheck($check);
        $request = $release->request;

        return [
            'id' => $check->id,
            'round' => $check->round,
            'closed' => $check->closed_at !== null,
            'verdict' => $check->verdict,
            'reason' => $check->reason,
            'unit' => $this->unit($check, $release),
            'piece' => self::piece($check->piece) + [
                'painters' => User::query()
                    ->whereIn('id', $this->checks->painters($check->piece))
                    ->orderBy('name')
                    ->pluck('name')
                    ->all(),
            ],
            'figure' => FigureShown::of($request->sculpt, $request->scheme, $request->shelf),
            'questions' => $check->questions,
            'clauses' => (object) $this->clauses($release),
            'answers' => $check->answers
                ->map(
                    fn (Answer $a) => [
                        'question' => $a->question,
                        'answer' => $a->answer,
                        'note' => $a->note,
                        'by' => $a->user->name,
                    ],
                )
                ->values()
                ->all(),
            'faults' => $check->faults->map(fn (FaultRow $f) => $this->fault($f, $release))->values()->all(),
            'fault_kinds' => array_map(self::kind(...), array_values($release->faults->kinds)),
            'verdict_so_far' => $this->verdict($check),
            'may' => $this->may($check, $user),
        ];
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
        $standard = $release->request->standard;

        return [
            'id' => $f->id,
            'question' => $f->question,
            'fault' => $f->fault,
            'name' => $release->faults->kinds[$f->fault]->name ?? 'A fault that is no longer in the table',
            'area' => $f->area,
            'spread' => $f->spread,
            'size_mm' => $f->size_mm === null ? null : (float) $f->size_mm,
            'severity' => $f->severity,
            'why' => $f->why,
            'repair' => array_map(
                fn (array $s) => [
                    'technique' => $standard->hasTechnique($s['technique'])
                        ? $standard->technique($s['technique'])->name
                        : 'a technique that is gone',
                    'area' => $s['area'],
                    'minutes' => (float) $s['minutes'],
                    'why' => $s['why'],
                ],
                $f->repair,
            ),
        ];
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
    private function verdict(Check $check): array
    {
        $verdict = $this->checks->verdict($check);

        return [
            'passes' => $verdict->passes,
            'words' => CheckWords::verdict($verdict),
            'open' => array_map(fn (QuestionKey $k) => $k->id, $verdict->open),
            'counted' => $verdict->counted,
            'minor_limit' => $verdict->minorLimit,
        ];
    }

    /** @return array<string, bool> */
    private function may(Check $check, User $user): array
    {
        $own = $this->checks->isOwnWork($check->piece, $user);

        return [
            'answer' => ! $own && $check->closed_at === null && Rights::has($user, 'check.answer'),
            'accept' => ! $own && Rights::has($user, 'sign'),
            'sign' => Rights::has($user, 'sign'),
        ];
    }
}
