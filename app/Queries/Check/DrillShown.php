<?php

declare(strict_types=1);

namespace App\Queries\Check;

use App\Models\DrillRun;
use App\Models\Role;
use App\Models\Sculpt;
use App\Models\User;
use App\Queries\Figures\FigureShown;
use App\Repositories\FaultCatalogue;
use App\Repositories\Figures;
use App\Repositories\Standards;
use Illuminate\Support\Collection;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Inspection\DrillOutcome;
use Ordotype\Core\Inspection\Kappa;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Tier;

/** A person's drill, and how well their eye agrees with the standard and with the lead's. */
final class DrillShown
{
    /** Drills over which agreement is told as it changes. */
    private const WINDOW = 3;

    public function __construct(
        private readonly Standards $standards,
        private readonly Figures $figures,
        private readonly FaultCatalogue $faults,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(User $user, ?DrillRun $run = null): array
    {
        $runs = DrillRun::latestOf($user->id, ['sculpt', 'version']);
        $run ??= $runs->whereNull('finished_at')->last();
        $published = $this->standards->published();
        $tiers = $published === null ? [] : $this->standards->core($published)->tiers;

        return [
            'run' => $run === null ? null : $this->run($run),
            'results' => $this->results($runs, $user),
            'figures' => array_values(
                Sculpt::query()
                    ->orderBy('name')
                    ->get()
                    ->filter(fn (Sculpt $s) => self::isOutlined($this->figures->of($s)->areas))
                    ->map(fn (Sculpt $s) => ['slug' => $s->slug, 'name' => $s->name])
                    ->all(),
            ),
            'tiers' => array_values(
                array_map(
                    fn (Tier $t) => ['key' => $t->key, 'name' => $t->name],
                    array_filter($tiers, fn (Tier $t) => $t->status->value === 'offered'),
                ),
            ),
        ];
    }

    /** @param  list<Area>  $areas */
    private static function isOutlined(array $areas): bool
    {
        return array_filter($areas, fn (Area $a) => ($a->outline['front'] ?? []) !== []) !== [];
    }

    /** @return array<string, mixed> what is planted is told when it was called, not before */
    private function run(DrillRun $run): array
    {
        $sculpt = $this->figures->of($run->sculpt);
        $tier = $this->standards->core($run->version)->tier($run->tier);
        $table = $this->faults->table();
        $pictures = [];
        foreach ($run->planted() as $place => $picture) {
            $isCalled = array_key_exists($place, $run->calls);
            $area = $picture->area === null ? null : $sculpt->area($picture->area);
            $pictures[] = [
                'address' => $run->pictures[$place]['address'],
                'is_called' => $isCalled,
                'called' => $run->calls[$place] ?? null,
                'outcome' => $isCalled ? $picture->answered($run->calls[$place])->value : null,
                'planted' => ! $isCalled || $picture->fault === null || $area === null ? null : [
                    'name' => $table->kinds[$picture->fault]->name ?? 'a fault',
                    'how_to_see' => $table->kinds[$picture->fault]->howToSee ?? '',
                    'area' => $area->key,
                    'area_name' => $area->name,
                    'mm' => ($table->kinds[$picture->fault]->bySize ?? false) ? $picture->size : null,
                    'counts' => $picture->counts,
                ],
            ];
        }

        return [
            'id' => $run->id,
            'number' => $run->number,
            'figure' => $sculpt->name,
            'tier' => $tier->name,
            'distance_cm' => $tier->viewing->distanceCm,
            'frame_mm' => $sculpt->frameMm ?? [60, 80],
            'areas' => FigureShown::of($sculpt, null, new Shelf([])),
            'pictures' => $pictures,
            'finished' => $run->finished_at !== null,
        ];
    }

    /**
     * @param  Collection<int, DrillRun>  $runs
     * @return array<string, mixed>
     */
    private function results(Collection $runs, User $user): array
    {
        $told = array_fill_keys(array_column(DrillOutcome::cases(), 'value'), 0);
        $kinds = $calls = [];
        foreach ($runs as $run) {
            foreach ($run->planted() as $place => $picture) {
                if (! array_key_exists($place, $run->calls)) {
                    continue;
                }
                $outcome = $picture->answered($run->calls[$place]);
                $told[$outcome->value]++;
                $called = $outcome === DrillOutcome::Found || $outcome === DrillOutcome::False;
                $calls[$run->id][] = [$called, $picture->counts];
                if ($picture->counts) {
                    $kinds[(string) $picture->fault][] = $outcome === DrillOutcome::Missed;
                }
            }
        }
        $over = [];
        foreach ($runs->whereNotNull('finished_at')->values() as $i => $run) {
            $window = $runs->whereNotNull('finished_at')->values()->slice(max(0, $i - self::WINDOW + 1), self::WINDOW);
            $of = array_merge(...array_values($window->map(fn (DrillRun $r) => $calls[$r->id] ?? [])->all()));
            $over[] = ['at' => $run->finished_at?->toIso8601ZuluString(), 'kappa' => Kappa::ofCalls($of)];
        }

        return $told + [
            'hardest' => $this->hardest($kinds, $this->faults->table()),
            'with_standard' => Kappa::ofCalls(array_merge(...array_values($calls))),
            'with_lead' => $this->withLead($runs, $user),
            'over_time' => $over,
        ];
    }

    /**
     * @param  array<string, list<bool>>  $kinds  whether each was missed, by kind
     * @return list<array{name: string, missed: int, of: int}> what is missed most first
     */
    private function hardest(array $kinds, FaultTable $table): array
    {
        $told = [];
        foreach ($kinds as $key => $missed) {
            $told[] = [
                'name' => $table->kinds[$key]->name ?? 'a fault',
                'missed' => count(array_filter($missed)),
                'of' => count($missed),
            ];
        }
        usort($told, fn (array $a, array $b) => $b['missed'] / $b['of'] <=> $a['missed'] / $a['of']);

        return $told;
    }

    /**
     * Agreement on the pictures that a lead has called, too.
     *
     * @param  Collection<int, DrillRun>  $runs
     */
    private function withLead(Collection $runs, User $user): ?float
    {
        $pairs = [];
        $lead = User::query()->where('role', Role::Lead->value)->whereKeyNot($user->id)->pluck('id');
        $same = fn (DrillRun $r): string => "$r->sculpt_id $r->standard_version_id $r->tier $r->number";
        $theirs = DrillRun::query()
            ->whereIn('user_id', $lead)
            ->whereIn('number', $runs->pluck('number')->unique())
            ->orderByDesc('id')
            ->get()
            ->keyBy($same);
        foreach ($runs as $run) {
            $leads = $theirs->get($same($run));
            foreach ($leads === null ? [] : array_intersect_key($run->calls, $leads->calls) as $place => $mine) {
                $pairs[] = [$mine !== null, $leads->calls[$place] !== null];
            }
        }

        return Kappa::ofCalls($pairs);
    }
}
