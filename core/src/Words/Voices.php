<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Demand\FinishRequirement;
use Ordotype\Core\Demand\ModelRequirement;
use Ordotype\Core\Demand\Reason;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Demand\StepsRequirement;
use Ordotype\Core\Demand\TechniqueRequirement;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Ladder\Trend;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Standard\Criterion;

/**
 * The difference between two tiers on one sculpt, said twice: in the painter's terms and in plain words for a client.
 */
final readonly class Voices
{
    private PlanWords $words;

    /** @var array<string, string> clause id to the plain words the studio gave it */
    private array $plain;

    public function __construct(private TierDifference $difference)
    {
        $plain = [];
        foreach ([$difference->from, $difference->to] as $plan) {
            foreach ($plan->request->standard->clausesOf($plan->request->tier) as $clause) {
                if ($clause->clientText !== null) {
                    $plain[$clause->id] = $clause->clientText;
                }
            }
        }
        $this->plain = $plain;
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
            [$before, $after] = [$this->asks($change->before), $this->asks($change->after)];
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
    private function forClients(array $kinds, bool $after): array
    {
        /** @var array<string, list<string>> $said phrase to areas; empty where the studio's own words say it */
        $said = [];
        foreach ($this->difference->changes as $change) {
            $requirement = $after ? $change->after : $change->before;
            if ($requirement === null || ! in_array($change->trend, $kinds, true)) {
                continue;
            }
            $own = array_values(
                array_filter(
                    array_map(fn (string $id) => $this->plain[$id] ?? null, Reason::ids($requirement->reasons)),
                    is_string(...),
                ),
            );
            if ($own !== []) {
                $said[$own[0]] ??= [];

                continue;
            }
            $phrase = $this->plainly($requirement, $change->before !== null && $change->after !== null);
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

    private function plainly(Requirement $r, bool $more): ?string
    {
        $again = $more ? 'more of this: ' : '';

        return match (true) {
            $r instanceof EffectRequirement => $again.
                Terms::any(array_map(Terms::effectForClients(...), $r->effects)),
            $r instanceof TechniqueRequirement => $again.$this->words->subject($r),
            $r instanceof StepsRequirement => $r->min > 1 ? "at least $r->min shades from dark to light" : null,
            $r instanceof ModelRequirement && $r->kind() === RequirementKind::SprayedColours => ($r->min ?? 0) > 0
                ? "at least $r->min sprayed colours"
                : null,
            $r instanceof FinishRequirement => match ($r->criterion) {
                Criterion::TonalSpan => ($more ? 'stronger' : 'clear').' contrast between light and shadow',
                Criterion::HardStep => 'smoother transitions',
                default => null,
            },
            default => null,
        };
    }

    /** What a requirement asks, in a few words; null for none. */
    public function asks(?Requirement $r): ?string
    {
        return match (true) {
            $r === null => null,
            $r instanceof EffectRequirement => Terms::extent($r->extent).
                Terms::passes($r->passes).
                ($r->by === null ? '' : ' by '.Terms::any(array_map($this->words->techniqueName(...), $r->by))),
            $r instanceof TechniqueRequirement => Terms::extent($r->extent).Terms::passes($r->passes),
            $r instanceof StepsRequirement => self::range($r->min, $r->max),
            $r instanceof ModelRequirement => self::range($r->min, $r->max),
            $r instanceof FinishRequirement => $r->criterion->isFloor()
                ? self::range($r->limit, null)
                : self::range(null, $r->limit),
            default => null,
        };
    }

    private static function range(?float $min, ?float $max): string
    {
        return match (true) {
            $min !== null && $max !== null => "$min to $max",
            $min !== null => "$min or more",
            default => "at most $max",
        };
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
