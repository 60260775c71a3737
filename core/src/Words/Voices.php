<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Ladder\ClauseViews;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Demand\Trend;
use Ordotype\Core\Planning\Plan\Plan;

/**
 * The difference between two tiers on one sculpt, said twice: in the painter's terms and in plain words for a client.
 */
final readonly class Voices
{
    private PlanWords $words;

    /** @var array<string, string> clause id to the plain words the studio gave it */
    private array $plain;

    /** @var array<string, true> ids of clauses that speak of how it is prepared and painted, not of what one sees */
    private array $process;

    public function __construct(private TierDifference $difference)
    {
        $plain = $process = [];
        foreach ([$difference->from, $difference->to] as $plan) {
            $views = new ClauseViews($plan->request->standard);
            foreach ($plan->request->standard->clausesOf($plan->request->tier) as $clause) {
                if ($views->of($clause)->group->isProcess()) {
                    $process[$clause->id] = true;
                }
                if ($clause->clientText !== null) {
                    $plain[$clause->id] = $clause->clientText;
                }
            }
        }
        $this->plain = $plain;
        $this->process = $process;
        $this->words = new PlanWords($difference->to->request);
    }

    /**
     * @return list<array{change: string, what: string, areas: list<string>, before: string|null, after: string|null}>
     * one for each thing that changes in the same way
     */
    public function painters(): array
    {
        $lines = [];
        foreach ($this->difference->changes as $change) {
            $any = $change->after ?? $change->before;
            if ($any === null) {
                continue;
            }
            [$before, $after] = [$this->amount($change->before), $this->amount($change->after)];
            $what = $this->words->subject($any);
            $place = "{$change->trend->value}\n$what\n$before\n$after";
            $lines[$place] ??= [
                'change' => $change->trend->value,
                'what' => $what,
                'areas' => [],
                'before' => $before,
                'after' => $after,
            ];
            $lines[$place]['areas'][] = $this->areaName($any->area);
        }

        return array_values($lines);
    }

    /** @return list<string> what a client gets more, each once, as it stands out most first */
    public function gains(): array
    {
        return $this->forClients([Trend::Added, Trend::Strengthened, Trend::Changed], after: true);
    }

    /** @return list<string> the same without how it comes about: what one sees of it */
    public function benefits(): array
    {
        return $this->forClients([Trend::Added, Trend::Strengthened, Trend::Changed], after: true, seen: true);
    }

    /** @return list<string> what a client does not get any more */
    public function losses(): array
    {
        return $this->forClients([Trend::Dropped, Trend::Weakened], after: false);
    }

    /** @return array<string, array{gained: list<string>, dropped: list<string>}> area name to names of techniques */
    public function techniques(): array
    {
        [$from, $to] = [self::used($this->difference->from), self::used($this->difference->to)];
        $result = [];
        foreach ($to as $area => $names) {
            $gained = array_values(array_diff($names, $from[$area] ?? []));
            $dropped = array_values(array_diff($from[$area] ?? [], $names));
            if ($gained !== [] || $dropped !== []) {
                $result[$area] = ['gained' => $gained, 'dropped' => $dropped];
            }
        }

        return $result;
    }

    /**
     * @param  list<Trend>  $kinds
     * @return list<string>
     */
    private function forClients(array $kinds, bool $after, bool $seen = false): array
    {
        /** @var array<string, list<string>> $said phrase to areas; empty where the studio's own words say it */
        $said = [];
        foreach ($this->difference->changes as $change) {
            $requirement = $after ? $change->after : $change->before;
            if ($requirement === null || ! in_array($change->trend, $kinds, true)) {
                continue;
            }
            $ids = Reason::ids($requirement->reasons);
            if ($seen && array_filter($ids, fn (string $id) => isset($this->process[$id])) !== []) {
                continue;
            }
            $own = array_values(
                array_filter(
                    array_map(fn (string $id) => $this->plain[$id] ?? null, $ids),
                    is_string(...),
                ),
            );
            if ($own !== []) {
                $said[$own[0]] ??= [];

                continue;
            }
            $text = $this->words->text($requirement);
            $phrase = $change->before !== null && $change->after !== null ? $text->clientMore : $text->client;
            if ($phrase !== null) {
                $said[$phrase][] = $this->areaName($requirement->area);
            }
        }
        $lines = [];
        foreach ($said as $phrase => $areas) {
            $named = array_values(array_unique(array_filter($areas, fn (string $a) => $a !== 'the whole model')));
            $where =
                $named === []
                    ? ''
                    : ': '.
                        mb_strtolower(implode(', ', array_slice($named, 0, 4))).
                        (count($named) > 4 ? ' and '.(count($named) - 4).' more parts' : '');
            $lines[] = Terms::sentence($phrase.$where);
        }

        return array_values(array_unique($lines));
    }

    /** How much of it is asked, in a few words; null where it is not asked at all. */
    public function amount(?Requirement $asked): ?string
    {
        return $asked === null ? null : $this->words->text($asked)->amount;
    }

    private function areaName(?string $key): string
    {
        $sculpt = $this->difference->to->request->sculpt;

        return $key === null ? 'the whole model' : $sculpt->area($key)->name;
    }

    /** @return array<string, list<string>> */
    private static function used(Plan $plan): array
    {
        $used = [];
        foreach ([...$plan->areas, $plan->whole] as $planned) {
            $used[$planned->demand->area->name ?? 'the whole model'] = array_map(
                fn ($t) => $t->technique->name.($t->passes > 1 ? " ×$t->passes" : ''),
                $planned->choice->techniques ?? [],
            );
        }

        return $used;
    }
}
