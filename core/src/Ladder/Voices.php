<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;

/**
 * The difference between two tiers on one sculpt, said twice: in the painter's terms and in plain words for a client.
 */
final readonly class Voices
{
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
            [$before, $after] = [self::asks($change->before), self::asks($change->after)];
            $what = $this->subject($any);
            $place = "$change->change\n$what\n$before\n$after";
            $lines[$place] ??= [
                'change' => $change->change,
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
        return $this->forClients(['added', 'strengthened', 'changed'], after: true);
    }

    /** @return list<string> what a client does not get any more */
    public function losses(): array
    {
        return $this->forClients(['dropped', 'weakened'], after: false);
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
     * @param  list<string>  $kinds
     * @return list<string>
     */
    private function forClients(array $kinds, bool $after): array
    {
        /** @var array<string, list<string>> $said phrase to areas; empty where the studio's own words say it */
        $said = [];
        foreach ($this->difference->changes as $change) {
            $requirement = $after ? $change->after : $change->before;
            if ($requirement === null || ! in_array($change->change, $kinds, true)) {
                continue;
            }
            $own = array_values(
                array_filter(
                    array_map(fn (string $id) => $this->plain[$id] ?? null, $requirement->clauses),
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
            $lines[] = self::sentence($phrase.$where);
        }

        return array_values(array_unique($lines));
    }

    private function plainly(Requirement $r, bool $more): ?string
    {
        return match ($r->kind) {
            RequirementKind::Effect => ($more ? 'more of this: ' : '').
                implode(' or ', array_map(fn (Effect $e) => Words::effectForClients($e), $r->effects)),
            RequirementKind::Technique => ($more ? 'more of this: ' : '').
                mb_strtolower($this->difference->to->request->standard->technique((string) $r->technique)->name),
            RequirementKind::Steps => ($r->min ?? 0) > 1 ? "at least $r->min shades from dark to light" : null,
            RequirementKind::SprayedColours => ($r->min ?? 0) > 0 ? 'at least '.$r->min.' sprayed colours' : null,
            RequirementKind::Finish => $r->criterion === Criterion::TonalSpan
                ? ($more ? 'stronger' : 'clear').' contrast between light and shadow'
                : ($r->criterion === Criterion::HardStep
                    ? 'smoother transitions'
                    : null),
            default => null,
        };
    }

    private function subject(Requirement $r): string
    {
        return match ($r->kind) {
            RequirementKind::Effect => implode(' or ', array_map(Words::effect(...), $r->effects)),
            RequirementKind::Technique => mb_strtolower(
                $this->difference->to->request->standard->technique((string) $r->technique)->name,
            ),
            RequirementKind::Finish => $r->criterion === null ? '' : Words::criterion($r->criterion),
            default => Words::plain($r->subject()),
        };
    }

    /** What a requirement asks, in a few words; null for none. */
    public static function asks(?Requirement $r): ?string
    {
        if ($r === null) {
            return null;
        }
        $passes = $r->passes > 1 ? " in $r->passes passes" : '';
        $by = $r->by === null ? '' : ' by '.implode(' or ', array_map(Words::plain(...), $r->by));

        return match ($r->kind) {
            RequirementKind::Effect, RequirementKind::Technique => Words::extent($r->extent).$passes.$by,
            default => match (true) {
                $r->min !== null && $r->max !== null => "$r->min to $r->max",
                $r->min !== null => "$r->min or more",
                default => "at most $r->max",
            },
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

    private static function sentence(string $words): string
    {
        $words = mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1);

        return preg_match('/[.!?]$/', $words) === 1 ? $words : "$words.";
    }
}
