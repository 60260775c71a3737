<?php

declare(strict_types=1);

namespace App\Console;

use BackedEnum;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Sculpt;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/** Standards far larger than a studio's, made from one by seeded chance: how checking and planning grow with them. */
final class Growth
{
    private readonly Randomizer $random;

    public function __construct(private readonly stdClass $standard, int $seed = 3)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** Milliseconds to check a standard of so many clauses: its own again in other scopes. */
    public function lintMs(int $clauses): float
    {
        $standard = $this->copy($this->standard);
        $tiers = $standard->tiers;
        $own = array_map(fn (stdClass $tier) => $tier->clauses, $tiers);
        for ($n = array_sum(array_map(count(...), $own)); $n < $clauses; $n++) {
            $of = $n % count($tiers);
            if ($own[$of] === []) {
                continue;
            }
            $clause = $this->copy($own[$of][$this->random->getInt(0, count($own[$of]) - 1)]);
            $clause->id = "{$tiers[$of]->key}.more$n";
            $scope = (array) ($clause->scope ?? []);
            $materials = $this->random->shuffleArray(array_slice(self::words(Material::cases()), 0, 11));
            $picked = array_slice($materials, 0, $this->random->getInt(0, 3));
            $scope += $picked === [] ? [] : ['material' => $picked];
            $roles = self::words(Role::cases());
            $scope += $this->random->getInt(0, 1) === 0 ? [] : ['role' => [$roles[$this->random->getInt(0, 3)]]];
            $scope += $this->random->getInt(0, 2) > 0 ? [] : ['focus_min' => $this->random->getInt(1, 3)];
            if ($scope !== []) {
                $clause->scope = (object) $scope;
            }
            $tiers[$of]->clauses[] = $clause;
        }
        $read = StandardFormat::read($standard);

        return self::ms(fn () => (new Lint($read))->findings());
    }

    /** Milliseconds to plan a model with so many techniques more, each like one of the catalogue but dearer. */
    public function planMs(Sculpt $sculpt, string $tier, int $techniques): float
    {
        $standard = $this->copy($this->standard);
        $own = $standard->techniques;
        for ($n = 0; $n < $techniques; $n++) {
            $technique = $this->copy($own[$n % count($own)]);
            $technique->key = "more_$n";
            $technique->name = "More $n";
            $technique->hand *= 1 + $this->random->getInt(1, 50) / 100;
            $standard->techniques[] = $technique;
        }
        $read = StandardFormat::read($standard);

        return self::ms(fn () => (new Planner())->plan(new PlanRequest($read, $read->tier($tier), $sculpt)));
    }

    private function copy(stdClass $document): stdClass
    {
        $copy = json_decode((string) json_encode($document));

        return $copy instanceof stdClass ? $copy : new stdClass();
    }

    private static function ms(callable $work): float
    {
        $since = hrtime(true);
        $work();

        return (hrtime(true) - $since) / 1e6;
    }

    /**
     * @param  list<BackedEnum>  $cases
     * @return list<string>
     */
    private static function words(array $cases): array
    {
        return array_map(fn (BackedEnum $c) => (string) $c->value, $cases);
    }

    /**
     * Milliseconds against the number of areas, choice and whole plan, as SVG.
     *
     * @param  list<array{areas: int, choice_ms: float, plan_ms: float, steps: int, passes: int}>  $rows
     */
    public static function drawn(array $rows, string $tier): string
    {
        $most = max(120.0, ...array_map(fn (array $r) => $r['plan_ms'], $rows));
        $x = fn (float $areas): float => round(60 + $areas * 8, 1);
        $y = fn (float $ms): float => round(330 - (280 * $ms) / $most, 1);
        $svg =
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 600 390" '.
            'font-family="sans-serif" font-size="13"><rect width="600" height="390" fill="#FFFDF8"/>';
        for ($ms = 0; $ms <= $most; $ms += 30) {
            $svg .=
                "<path d='M60 {$y($ms)}H545' stroke='#DDD5C7'/><text x='52' y='".
                ($y($ms) + 4).
                "' text-anchor='end' fill='#5B6168'>$ms</text>";
        }
        foreach ($rows as $row) {
            $svg .= "<text x='{$x(
                $row['areas'],
            )}' y='350' text-anchor='middle' fill='#5B6168'>{$row['areas']}</text>";
        }
        foreach (
            [
                'choice_ms' => ['#1F7A6C', 'choice of techniques'],
                'plan_ms' => ['#B93A24', 'whole plan with its order'],
            ] as $key => [$colour, $name]
        ) {
            $points = implode(' ', array_map(fn (array $r) => "{$x($r['areas'])},{$y($r[$key])}", $rows));
            $last = $rows[count($rows) - 1];
            $svg .=
                "<polyline points='$points' fill='none' stroke='$colour' stroke-width='2.5'/><text x='70' y='".
                ($key === 'choice_ms' ? 44 : 24).
                "' fill='$colour'>$name: ".
                round($last[$key]).
                " ms at {$last['areas']} areas</text>";
        }

        return $svg.
            "<text x='300' y='376' text-anchor='middle' fill='#22262B'>areas of a figure, ".
            "tier $tier, milliseconds</text></svg>\n";
    }
}
