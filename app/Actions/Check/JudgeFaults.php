<?php

declare(strict_types=1);

namespace App\Actions\Check;

use App\Exceptions\CheckRefused;
use App\Models\Check;
use App\Models\FaultRow;
use App\Models\User;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\BenchWork;
use App\Studio\Checks;
use App\Studio\FaultJudged;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Inspection\FaultContrast;
use Ordotype\Core\Inspection\Judgement;
use Ordotype\Core\Inspection\Repair;
use Ordotype\Core\Inspection\RepairStep;
use Ordotype\Core\Inspection\Spread;
use Ordotype\Core\Words\CheckWords;

/**
 * What a fault counts at the tier of a check and what puts it right: said before it is noted, noted, and overruled.
 *
 * @phpstan-type Found array{fault: string, area: string|null, spread: string, size_mm: float|null,
 *     pin: array{view: string, x: float, y: float}|null}
 */
final class JudgeFaults
{
    public function __construct(
        private readonly Releases $releases,
        private readonly BenchWork $work,
        private readonly Checks $checks,
        private readonly ActivityLog $log,
    ) {
    }

    /**
     * @param  Found  $found
     * @param  string  $at  where it was sent, for what is wrong with it
     */
    public function judge(Check $check, Checkpoint $asked, array $found, string $at): FaultJudged
    {
        $release = $this->releases->ofCheck($check);
        $plan = $release->kindOf($check->piece->number)->plan;
        $kind = $release->faults->kinds[$found['fault']] ?? null;
        if ($kind === null || ! in_array($found['fault'], $asked->faults, true)) {
            $name = $kind === null ? 'That' : "“{$kind->name}”";
            throw CheckRefused::faultNotAskedFor($name, "$at/fault");
        }
        if ($found['area'] !== null && ! in_array($found['area'], $asked->areas, true)) {
            throw CheckRefused::areaNotAskedFor($found['area'], "$at/area");
        }
        $isOfWhole = $kind->where === 'whole' || $asked->areas === [];
        if ($found['area'] === null && ! $isOfWhole) {
            throw CheckRefused::noAreaNamed("$at/area");
        }
        $area = $found['area'] === null ? null : $plan->request->sculpt->area($found['area']);
        $spread = Spread::from($found['spread']);
        $judged = Judgement::of(
            $kind,
            $plan->request->tier,
            $plan->request->sculpt,
            $area,
            $plan->request->method,
            $asked->severity,
            $spread,
            $found['size_mm'],
            FaultContrast::of($kind, $area, $plan->request),
        );
        $repair = (new Repair($plan))->of(
            $kind,
            $area,
            $spread,
            $this->work->isVarnished($check->piece),
            $this->checks->requirement($check, $asked),
        );

        return new FaultJudged(
            $judged->severity->value ?? 'note',
            CheckWords::judgement($judged),
            array_map(
                fn (RepairStep $s) => [
                    'technique' => $s->technique->key,
                    'area' => $s->area?->key,
                    'minutes' => round($s->minutes, 2),
                    'why' => CheckWords::repair($s, $kind),
                ],
                $repair,
            ),
        );
    }

    /** @param  Found  $found */
    public function note(Check $check, User $by, Checkpoint $asked, array $found, string $at): void
    {
        FaultRow::query()->create([
            'check_id' => $check->id,
            'question' => $asked->key->id,
            'fault' => $found['fault'],
            'area' => $found['area'],
            'pin' => $found['pin'],
            'spread' => $found['spread'],
            'size_mm' => $found['size_mm'],
            'user_id' => $by->id,
            ...get_object_vars($this->judge($check, $asked, $found, $at)),
        ]);
    }

    /** The lead's word over what was worked out; what that was is kept. */
    public function overrule(FaultRow $fault, User $by, string $severity, string $reason): void
    {
        $this->log->write('check.fault_overruled', $fault->check, $fault->severity, [
            'fault' => $fault->fault,
            'severity' => $severity,
            'reason' => $reason,
        ]);
        $fault->update([
            'severity' => $severity,
            'overruled' => [
                'was' => $fault->overruled['was'] ?? $fault->severity,
                'by' => $by->name,
                'reason' => $reason,
            ],
        ]);
    }
}
