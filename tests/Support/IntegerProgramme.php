<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\RequirementKind;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\Technique;
use RuntimeException;

/**
 * The choice of techniques for one area as an integer programme, written from the definition, for GLPK's solver: one
 * variable for each technique, number of passes and extent of the first. For plans without a method and without a
 * scheme, sprayed colours apart.
 */
final class IntegerProgramme
{
    private readonly BruteForce $formula;

    /** @var list<string> */
    private array $rows = [];

    /** @var array<string, float> by variable: minutes */
    private array $cost = [];

    /** @var list<array{string, Technique, int, int, list<int>}> variable, technique, passes, first extent, of each */
    private array $levels = [];

    /** @var array<string, Asked> required techniques */
    private array $required = [];

    /**
     * @param  list<Effect>  $given  what the whole model gets
     * @param  bool  $sprays  whether the sprayed base is among what may be chosen
     */
    public function __construct(
        private readonly PlanRequest $request,
        private readonly Area $area,
        private readonly AreaDemand $demand,
        private readonly array $given,
        private readonly int $bar,
        private readonly bool $sprays,
    ) {
        $this->formula = new BruteForce($request, $area);
        foreach (Asked::all($demand->requirements) as $asked) {
            if ($asked->kind === RequirementKind::Technique) {
                $this->required[(string) $asked->technique] = $asked;
            }
        }
        foreach ($request->standard->techniques as $i => $technique) {
            $isUsed = isset($demand->allowed[$technique->key]) || isset($this->required[$technique->key]) ||
                $technique->has(Effect::GlossGround);
            if ($isUsed && $this->fits($technique) && ($sprays || $technique->key !== 'spray_base')) {
                $this->variables($technique, $i);
            }
        }
    }

    /** The least minutes; null: nothing meets what is asked. */
    public function least(): ?float
    {
        $this->constraints();
        $folder = sys_get_temp_dir().'/ordotype-'.bin2hex(random_bytes(6));
        file_put_contents("$folder.lp", $this->text());
        exec('glpsol --lp '.escapeshellarg("$folder.lp").' -o '.escapeshellarg("$folder.out").' 2>&1', $said, $code);
        $out = $code === 0 ? (string) file_get_contents("$folder.out") : '';
        array_map(unlink(...), array_filter(["$folder.lp", "$folder.out"], is_file(...)));
        if (preg_match('/^Status:\s+INTEGER OPTIMAL$/m', $out) === 1) {
            preg_match('/^Objective:\s+\S+ = (\S+)/m', $out, $found);

            return (float) ($found[1] ?? throw new RuntimeException($out));
        }
        if (str_contains(implode("\n", $said), 'NO PRIMAL FEASIBLE') || preg_match('/^Status:\s+INTEGER (EMPTY|UNDEFINED)/m', $out) === 1) {
            return null;
        }
        throw new RuntimeException(implode("\n", $said));
    }

    private function fits(Technique $t): bool
    {
        return ! $t->whole &&
            $t->retired !== true &&
            $t->permitsMaterial($this->area->material) &&
            $t->suit($this->area->relief) > 0 &&
            ! ($this->isGround() && $t->has(Effect::BaseColour)) &&
            ($this->grade($t) >= $this->bar || isset($this->required[$t->key]) || ($t->tidied && $this->bar <= 4));
    }

    private function isGround(): bool
    {
        return $this->area->rank === Rank::Ground;
    }

    private function grade(Technique $t): int
    {
        $isGraded = in_array(
            $t->family->value,
            ['spray', 'base', 'shade', 'highlight', 'blend', 'line', 'detail'],
            true,
        );
        $better = [3 => 1, 2 => 0, 1 => -1][$t->suit($this->area->relief)];

        return $isGraded && $t->grade !== null ? max(1, min(5, $t->grade + $better)) : 5;
    }

    /** Each number of passes at each extent of the first; what gives the base has one pass, at full extent. */
    private function variables(Technique $t, int $i): void
    {
        $isWhole = $t->has(Effect::BaseColour) || $t->has(Effect::Underlay) || $t->key === 'tidy_base';
        for ($passes = 1; $passes <= ($t->has(Effect::BaseColour) && ! $this->isGround() ? 1 : $t->maxPasses); $passes++) {
            for ($extent = $isWhole ? 3 : 1; $extent <= 3; $extent++) {
                $each = [];
                for ($k = 0; $k < $passes; $k++) {
                    $each[] = $t->taper === true ? max(1, $extent - $k) : $extent;
                }
                $name = "t{$i}p{$passes}e$extent";
                $this->levels[] = [$name, $t, $passes, $extent, $each];
                $this->cost[$name] = array_sum(array_map(fn (int $e) => $this->minutes($t, $e), $each));
            }
        }
    }

    private function minutes(Technique $t, int $extent): float
    {
        return $this->formula->minutes($t, $extent);
    }

    private function constraints(): void
    {
        $keys = array_unique(array_map(fn (array $l) => $l[1]->key, $this->levels));
        foreach ($keys as $key) {
            $this->row($this->used(fn (Technique $t) => $t->key === $key), '<=', 1);
        }
        if (! $this->isGround()) {
            $this->row($this->used(fn (Technique $t) => $t->has(Effect::BaseColour)), '=', 1);
        }
        $tidied = $this->used(
            fn (Technique $t, int $x, int $u) => $t->key === 'tidy_base' || ($t->key === 'layer' && $u === 3),
        );
        foreach ($this->levels as [$name, $t, , $extent]) {
            foreach ($this->levels as [$other, $o, , $width]) {
                $isApart = in_array($o->key, $t->excludes, true) && $o->key !== $t->key;
                if ($isApart && $extent > 1 && $width > 1) {
                    $this->row([$name => 1, $other => 1], '<=', 1);
                }
            }
            // With no method a decal is laid on gloss.
            foreach ($t->has(Effect::Mark) ? [...$t->needs, Effect::GlossGround] : $t->needs as $effect) {
                if (! in_array($effect, $this->given, true)) {
                    $givers = $this->used(fn (Technique $o) => $o->key !== $t->key && $o->has($effect));
                    $this->row($givers + [$name => -1], '>=', 0);
                }
            }
            if ($this->grade($t) < $this->bar && ! isset($this->required[$t->key])) {
                $this->row(self::minus($tidied, [$name => 1]), '>=', 0);
            }
            $isLight = $t->has(Effect::HighlightRaised) || $t->has(Effect::HighlightEdge);
            if ($isLight && $this->request->tier->pace !== Pace::Fast) {
                $washes = $this->used(fn (Technique $o) => $o->key === 'wash_all_over');
                // wash + light <= 1 + tidied
                $this->row(self::minus(self::minus($tidied, $washes), [$name => 1]), '>=', -1);
            }
        }
        foreach (Asked::all($this->demand->requirements) as $asked) {
            $this->asked($asked);
        }
    }

    private function asked(Asked $asked): void
    {
        if ($asked->kind === RequirementKind::Technique) {
            $enough = fn (Technique $t, int $x, int $u) => $t->key === $asked->technique &&
                $x >= $asked->passes &&
                $u >= $asked->extent->value;
            $this->row($this->used($enough), '>=', 1);
        } elseif ($asked->kind === RequirementKind::Steps) {
            $credits = [];
            foreach ($this->levels as [$name, $t, $passes, $extent]) {
                $credits[$name] = $extent >= 2 ? $t->credit * $passes : 0;
            }
            $this->row($credits, '>=', (int) $asked->min);
            if ($asked->max !== null) {
                $this->row($credits, '<=', (int) $asked->max);
            }
        } elseif ($asked->kind === RequirementKind::Effect) {
            for ($j = 0; $j < $asked->passes; $j++) {
                $least = max(1, $asked->extent->value - $j);
                $delivered = [];
                foreach ($this->levels as [$name, $t, , , $each]) {
                    $most = $asked->deliveredBy($t)->value;
                    $delivered[$name] = count(array_filter($each, fn (int $e) => min($e, $most) >= $least));
                }
                $this->row($delivered, '>=', $j + 1);
            }
        }
    }

    /**
     * @param  callable(Technique, int, int): bool  $which
     * @return array<string, int>
     */
    private function used(callable $which): array
    {
        $used = [];
        foreach ($this->levels as [$name, $t, $passes, $extent]) {
            if ($which($t, $passes, $extent)) {
                $used[$name] = 1;
            }
        }

        return $used;
    }

    /**
     * @param  array<string, int>  $one
     * @param  array<string, int>  $other
     * @return array<string, int>
     */
    private static function minus(array $one, array $other): array
    {
        foreach ($other as $name => $times) {
            $one[$name] = ($one[$name] ?? 0) - $times;
        }

        return $one;
    }

    /** @param  array<string, int>  $terms */
    private function row(array $terms, string $sign, int $bound): void
    {
        $terms = array_filter($terms);
        // The format knows no empty row: nothing at all is a variable that is always nought.
        $this->rows[] = ($terms === [] ? '+ 1 nought' : self::sum($terms))." $sign $bound";
    }

    /** @param  array<string, int|float>  $terms */
    private static function sum(array $terms): string
    {
        $said = [];
        foreach ($terms as $name => $times) {
            $said[] = ($times < 0 ? '- ' : '+ ').sprintf('%.12F', abs($times))." $name";
        }

        return implode("\n ", $said);
    }

    private function text(): string
    {
        $rows = array_map(fn (string $row, int $i) => " r$i: $row", array_unique($this->rows), array_keys(array_unique($this->rows)));

        return "Minimize\n minutes: ".self::sum($this->cost + ['nought' => 1])."\nSubject To\n".implode("\n", $rows).
            "\n none: nought = 0\nBinary\n nought\n ".implode("\n ", array_keys($this->cost))."\nEnd\n";
    }
}
