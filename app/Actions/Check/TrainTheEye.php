<?php

declare(strict_types=1);

namespace App\Actions\Check;

use App\Exceptions\CheckRefused;
use App\Models\DrillRun;
use App\Models\Sculpt;
use App\Models\User;
use App\Pictures\Drawings;
use App\Repositories\Colours;
use App\Repositories\FaultCatalogue;
use App\Repositories\Figures;
use App\Repositories\Standards;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Inspection\Drill;
use Ordotype\Core\Inspection\DrillOutcome;
use Ordotype\Core\Inspection\DrillPicture;
use Ordotype\Core\Ladder\ComparisonSheet;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\PlantedFault;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\View;

/** Drills on drawn pictures with planted faults: begun, and called picture by picture. */
final class TrainTheEye
{
    /** Drills among which the one is chosen that holds most of what a person misses. */
    private const CHOICE = 12;

    public function __construct(
        private readonly Standards $standards,
        private readonly Figures $figures,
        private readonly Colours $colours,
        private readonly FaultCatalogue $faults,
        private readonly Drawings $drawings,
    ) {
    }

    /** The person's open drill of that figure at that tier; else a new one, the hardest for them first. */
    public function begin(Sculpt $sculpt, string $tier, User $by): DrillRun
    {
        $version = $this->standards->current();
        $plan = $this->plan($sculpt, $tier);
        $drill = new Drill($plan, $this->faults->table());

        return DB::transaction(function () use ($sculpt, $tier, $by, $version, $plan, $drill): DrillRun {
            User::query()->whereKey($by->id)->lockForUpdate()->first();
            $mine = DrillRun::query()
                ->where('user_id', $by->id)
                ->where('sculpt_id', $sculpt->id)
                ->where('standard_version_id', $version->id)
                ->where('tier', $tier);
            $open = (clone $mine)->whereNull('finished_at')->first();
            if ($open !== null) {
                return $open;
            }
            $done = (clone $mine)->pluck('number')->all();
            $number = $this->hardest($drill, $done, self::missed($by));

            return DrillRun::query()->create([
                'user_id' => $by->id,
                'sculpt_id' => $sculpt->id,
                'standard_version_id' => $version->id,
                'tier' => $tier,
                'number' => $number,
                'pictures' => array_map(
                    fn (DrillPicture $p) => ['address' => $this->address($plan, $p)] + get_object_vars($p),
                    $drill->pictures($number),
                ),
                'calls' => [],
            ]);
        });
    }

    /** What was called once stays: one sees what it was right after. */
    public function call(DrillRun $run, User $by, int $place, ?string $area): DrillRun
    {
        return DB::transaction(function () use ($run, $by, $place, $area): DrillRun {
            $run = DrillRun::query()->where('user_id', $by->id)->lockForUpdate()->findOrFail($run->id);
            if (! isset($run->pictures[$place])) {
                throw CheckRefused::notAsked("picture $place");
            }
            if (! array_key_exists($place, $run->calls)) {
                $calls = [$place => $area] + $run->calls;
                ksort($calls);
                $run->update([
                    'calls' => $calls,
                    'finished_at' => count($calls) === count($run->pictures) ? now() : null,
                ]);
            }

            return $run;
        });
    }

    /** @return array<string, int> how often each kind was missed by somebody, by its key */
    public static function missed(User $by): array
    {
        $missed = [];
        foreach (DrillRun::latestOf($by->id) as $run) {
            foreach ($run->planted() as $place => $picture) {
                $isCalled = array_key_exists($place, $run->calls);
                if ($isCalled && $picture->answered($run->calls[$place]) === DrillOutcome::Missed) {
                    $missed[(string) $picture->fault] = ($missed[(string) $picture->fault] ?? 0) + 1;
                }
            }
        }

        return $missed;
    }

    /**
     * @param  list<int>  $done  numbers
     * @param  array<string, int>  $missed
     */
    private function hardest(Drill $drill, array $done, array $missed): int
    {
        $from = 1 + max([0, ...$done]);
        $best = $from;
        $most = -1;
        for ($number = $from; $number < $from + ($missed === [] ? 1 : self::CHOICE); $number++) {
            $weights = array_map(fn (DrillPicture $p) => $missed[$p->fault ?? ''] ?? 0, $drill->pictures($number));
            $weight = array_sum($weights);
            [$best, $most] = $weight > $most ? [$number, $weight] : [$best, $most];
        }

        return $best;
    }

    private function plan(Sculpt $sculpt, string $tier): Plan
    {
        $sheet = new ComparisonSheet(
            $this->standards->core($this->standards->current()),
            $this->figures->of($sculpt),
            $this->colours->usual(),
            $this->colours->shelf(),
        );
        foreach ($sheet->rungs as $rung) {
            if ($rung->tier->key === $tier) {
                return $rung->plan;
            }
        }

        throw CheckRefused::nothingToDraw();
    }

    private function address(Plan $plan, DrillPicture $picture): string
    {
        $faults = $picture->fault === null
            ? []
            : [new PlantedFault($picture->fault, (string) $picture->area, $picture->size)];

        return $this->drawings->address(
            new BoothRequest(
                $plan->request->sculpt,
                Coat::all($plan->work->steps),
                View::Front,
                Drawings::WIDTH,
                $picture->seed % 1000,
                $faults,
            ),
        );
    }
}
