<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\SignOffRefused;
use App\Models\Answer;
use App\Models\Check;
use App\Models\FaultRow;
use App\Models\GateAnswer;
use App\Models\LotRow;
use App\Models\Photograph;
use App\Models\Piece;
use App\Models\User;
use App\Repositories\Releases;
use Illuminate\Support\Collection;
use Ordotype\Core\Bench\MadeAmendment;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\RequirementFormat;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Clause;

/** All that a sign-off says, as ordotype/certificate@3. */
final class CertificateBody
{
    /** What is read of pieces here, in one go for many. */
    public const OF_PIECES = [
        'unit.order.version',
        'unit.order.scheme',
        'unit.sculpt',
        'unit.lots',
        'painters:id,name',
        'photographs.picture',
        'gateAnswers.user:id,name',
        'checks.answers.user',
        'checks.faults',
    ];

    public function __construct(private readonly Releases $releases)
    {
    }

    /**
     * @param  Collection<int, Piece>  $pieces  of one unit
     * @param  array<int, string>  $rules  why this person may sign each, by its id
     * @return array<string, mixed>
     */
    public function of(Collection $pieces, array $rules, User $by, NamesApart $names): array
    {
        $unit = $pieces->first()->unit ?? throw SignOffRefused::nothingToSign();
        $release = $this->releases->of($unit);
        $plan = $release->plan->plain();
        $tier = $plan->request->tier;

        return [
            'kind' => 'sign_off',
            'standard' => [
                'name' => $plan->request->standard->name,
                'version' => $release->inputs->standardVersion,
                'sha256' => $release->inputs->standardSha256,
            ],
            'release' => ['number' => $release->number, 'inputs_sha256' => $release->inputs->sha256],
            'tier' => [
                'key' => $tier->key,
                'name' => $tier->name,
                'intent' => $tier->intent,
                'distance_cm' => (string) $tier->viewing->distanceCm,
            ],
            'order' => [
                'number' => $unit->order->number,
                'client' => $names->token($unit->order->client),
            ],
            'sculpt' => $plan->request->sculpt->name,
            'by' => ['id' => $by->id, 'name' => $names->token($by->name)],
            'promised' => self::promised($release),
            'agreed' => array_map(self::agreed(...), $release->inputs->amendments),
            'unpainted' => self::unpainted($plan),
            'requirements' => array_map(
                fn (RequirementState $s) => self::requirement($s->requirement),
                $plan->requirements,
            ),
            'pieces' => array_values(
                $pieces->map(fn (Piece $p) => $this->piece($p, $rules[$p->id], $names))->all(),
            ),
        ];
    }

    /** @return list<string> what the tier promises, in the client's words */
    private static function promised(Release $release): array
    {
        $standard = $release->request->standard;
        $texts = array_map(fn (Clause $c) => $c->clientText, $standard->clausesOf($release->request->tier));

        return array_values(array_unique(array_filter($texts, fn (?string $t) => $t !== null && $t !== '')));
    }

    /** @return array<string, mixed> the amendment itself: what was written beside it may name somebody */
    private static function agreed(MadeAmendment $made): array
    {
        $written = array_diff_key((array) AmendmentFormat::write($made->amendment), ['reason' => true]);

        return array_map(self::exact(...), $written);
    }

    /** As RFC 8785 keeps it apart from any machine's floating point: decimals are strings. */
    private static function exact(mixed $part): mixed
    {
        return match (true) {
            is_float($part) => (string) $part,
            is_array($part) => array_map(self::exact(...), $part),
            is_object($part) => (object) array_map(self::exact(...), (array) $part),
            default => $part,
        };
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece, string $rule, NamesApart $names): array
    {
        return [
            'code' => $piece->code,
            'number' => $piece->number,
            'rule' => $rule,
            'painters' => $piece->painters->map(fn (User $u) => $names->token($u->name))->values()->all(),
            'photographs' => array_values(
                $piece->photographs
                    ->map(fn (Photograph $p) => [
                        'view' => $p->view,
                        'sha256' => $p->sha256,
                        'drawn' => $p->picture->is_drawn,
                    ])
                    ->all(),
            ),
            'sample' => self::sample($piece),
            'gates' => array_values(
                $piece->gateAnswers
                    ->map(fn (GateAnswer $a) => [
                        'gate' => $a->gate,
                        'passed' => $a->passed,
                        'note' => $a->note,
                        'by' => $names->token($a->user->name),
                    ])
                    ->all(),
            ),
            'checks' => array_values(
                $piece->checks->sortBy('round')->map(fn (Check $c) => self::check($c, $names))->all(),
            ),
        ];
    }

    /** @return array<string, mixed>|null the sample by which its unit was judged, drawn or not */
    private static function sample(Piece $piece): ?array
    {
        $row = $piece->unit->lots->first(fn (LotRow $l) => in_array($piece->number, $l->pieces, true));

        return $row === null ? null : [
            'seed' => $row->seed,
            'drawn' => $row->drawn,
            'tightened' => $row->is_tightened,
            'plans' => $row->plans,
            'verdict' => $row->verdict,
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
    private static function check(Check $check, NamesApart $names): array
    {
        $texts = array_column($check->questions, 'text', 'key');

        return [
            'round' => $check->round,
            'verdict' => $check->verdict,
            'reason' => $check->reason,
            'consent' => $check->consent === null ? null : $names->token($check->consent),
            'closed_at' => $check->closed_at?->utc()->format('Y-m-d\TH:i:s.v\Z'),
            'answers' => array_values(
                $check->answers
                    ->map(fn (Answer $a) => [
                        'question' => $texts[$a->question] ?? $a->question,
                        'key' => $a->question,
                        'look' => $a->look,
                        'answer' => $a->answer,
                        'note' => $a->note,
                        'by' => $names->token($a->user->name),
                    ])
                    ->all(),
            ),
            'faults' => array_values(
                $check->faults
                    ->map(fn (FaultRow $f) => [
                        'fault' => $f->fault,
                        'area' => $f->area,
                        'spread' => $f->spread,
                        'size_mm' => $f->size_mm,
                        'severity' => $f->severity,
                        'why' => $f->why,
                        'overruled' => $f->overruled === null ? null : [
                            'was' => $f->overruled['was'],
                            'by' => $names->token($f->overruled['by']),
                            'reason' => $f->overruled['reason'],
                        ],
                    ])
                    ->all(),
            ),
        ];
    }

    /** @return list<string> keys of areas that are left without a base colour on purpose */
    private static function unpainted(Plan $plan): array
    {
        return array_map(fn (Area $a) => $a->key, $plan->unpainted());
    }
}
