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
}
