<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/**
 * Small random planning cases: one sculpt of one to three areas, a catalogue of a few techniques, and a tier with
 * every
 * kind of clause the choice of techniques depends on. The same seed gives the same case.
 */
final class RandomCase
{
    private const RELIEF = ['hard_edges', 'soft_folds', 'tiny_detail'];

    private const MATERIAL = ['cloth', 'steel', 'skin'];

    private const EFFECTS = [
        'shade',
        'highlight_raised',
        'highlight_edge',
        'blend',
        'separate',
        'dark_ground',
        'tone',
        'tint_over',
    ];

    private Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function request(int $techniques = 6, int $maxPasses = 2): PlanRequest
    {
        $standard = StandardFormat::read($this->standard($techniques, $maxPasses));

        return new PlanRequest($standard, $standard->tier('tier'), SculptFormat::read($this->json($this->sculpt())));
    }

    /** The same request with areas left unpainted on purpose. */
    public static function unpainted(PlanRequest $request, string ...$areas): PlanRequest
    {
        $omitted = [
            'level' => 'unit',
            'do' => 'omit',
            'clause' => 'base',
            'technique' => null,
            'scope' => ['area' => $areas],
            'values' => (object) [],
            'reason' => 'Left bare.',
            'price' => null,
            'on' => null,
        ];

        return $request->amended(AmendmentFormat::read([Demo::object($omitted)], []));
    }

    /** The standard of the case as a document; a request made after it gets the sculpt that goes with it. */
    public function standard(int $techniques = 6, int $maxPasses = 2): stdClass
    {
        $document = $this->json([
            'format' => StandardFormat::WORD,
            'name' => 'Random',
            'currency' => 'EUR',
            'prices' => [],
            'techniques' => ($catalogue = $this->catalogue($techniques, $maxPasses)),
            'tiers' => [$this->tier(array_column($catalogue, 'key'))],
        ]);
        assert($document instanceof stdClass);

        return $document;
    }

    public function figure(): Sculpt
    {
        return SculptFormat::read($this->json($this->sculpt()));
    }

    /** @return list<array<string, mixed>> */
    private function catalogue(int $count, int $maxPasses): array
    {
        // The keys the rules name come in often, as most of the special rules hang on them.
        $special = $this->random->shuffleArray(['tidy_base', 'layer', 'wash_all_over']);
        $keys = array_slice(
            [...array_slice($special, 0, $this->pick([0, 1, 2, 2, 3])), ...array_map(fn (int $n) => "t$n", range(1, 15))],
            0,
            $count,
        );
        $keys = $this->random->shuffleArray($keys);
        $techniques = [];
        foreach ($keys as $i => $key) {
            $base = $i < 2 || $this->chance(20);
            $effects = $base ? ['base_colour' => 'full'] : [];
            foreach ($this->some(self::EFFECTS, $base ? 1 : 2) as $effect) {
                $effects[$effect] = $this->pick(['spot', 'prominent', 'full', 'full']);
            }
            if ($key === 'tidy_base') {
                $effects = ['tidy' => 'full', 'highlight_raised' => 'prominent'];
            } elseif ($effects === []) {
                $effects = ['shade' => 'full'];
            }
            if ($this->chance(8)) {
                $effects['underlay'] = 'full';
            }
            $suits = [];
            foreach (self::RELIEF as $relief) {
                if ($this->chance(80)) {
                    $suits[$relief] = $this->random->getInt(1, 3);
                }
            }
            $techniques[] = [
                'key' => $key,
                'name' => ucfirst($key),
                'family' => isset($effects['base_colour'])
                    ? 'base'
                    : $this->pick(['shade', 'highlight', 'blend', 'mark']),
                'effects' => (object) $effects,
                'credit' => $this->random->getInt(0, 2),
                'whole' => false,
                'suits' => (object) ($suits ?: ['hard_edges' => 2]),
                'grade' => $this->pick([1, 2, 3, 4, 5, 5, null]),
                'coats' => $this->random->getInt(1, 2),
                'max_passes' => $this->random->getInt(1, $maxPasses),
                'handling' => $this->pick([0, 0.25, 0.5]),
                'hand' => $this->pick([0, 1, 2, 2.5, 4]),
                'per_piece' => $this->pick([0, 0, 0, 1.5]),
                'setup' => 1,
                'dry' => $this->random->getInt(0, 30),
                'coat_dry' => 0,
                'skill' => 1,
                'mess' => $this->random->getInt(0, 3),
                'big' => $this->chance(30),
                'tidied' => $this->chance(25) || $key === 'wash_all_over',
                'only_on' => $this->chance(10) ? ['steel'] : [],
                'never_on' => $this->chance(10) ? ['skin'] : [],
                'excludes' => array_values(array_diff($this->chance(25) ? [$this->pick($keys)] : [], [$key])),
                'needs' => $this->chance(15) ? [$this->pick(['dark_ground', 'shade', 'blend'])] : [],
                'taper' => $this->chance(50),
                'notes' => [
                    'purpose' => '',
                    'how' => '',
                    'consistency' => '',
                    'tools' => '',
                    'good' => '',
                    'faults' => [],
                    'caution' => null,
                ],
            ];
        }

        return $techniques;
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, mixed>
     */
    private function tier(array $keys): array
    {
        $clauses = [];
        $count = $this->random->getInt(2, 7);
        for ($i = 0; $i < $count; $i++) {
            $kind = $this->pick(['steps', 'effect', 'effect', 'effect', 'technique', 'technique', 'finish']);
            $clause = ['id' => "tier.c$i", 'kind' => $kind];
            if ($this->chance(60)) {
                $clause['scope'] = (object) $this->scope();
            }
            $clauses[] =
                $clause +
                match ($kind) {
                    'steps' => [
                        'min' => ($min = $this->random->getInt(0, 4)),
                        'max' => $this->chance(40)
                            ? null
                            : $min + $this->random->getInt(-1, 3) + ($min === 0 ? 1 : 0),
                    ],
                    'effect' => $this->effect($keys),
                    'technique' => $this->technique($keys),
                    default => ['criterion' => 'tonal_span', 'limit' => 10],
                };
        }

        return [
            'key' => 'tier',
            'name' => 'Tier',
            'order' => 1,
            'status' => 'offered',
            'intent' => '',
            'pace' => $this->pick(['fast', 'even', 'finest']),
            'aim' => 'quickest',
            'default_status' => $this->pick(['allowed', 'allowed', 'allowed', 'not_offered', 'on_request']),
            'viewing' => ['distance_cm' => 50, 'angle_arcmin' => 2],
            'clauses' => $clauses,
        ];
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, mixed>
     */
    private function effect(array $keys): array
    {
        $effect = $this->chance(15) ? $this->some(self::EFFECTS, 2) : $this->pick(self::EFFECTS);
        $clause = ['effect' => is_array($effect) && count($effect) < 2 ? 'shade' : $effect];
        if ($this->chance(60)) {
            $clause['extent'] = $this->pick(['spot', 'prominent', 'full']);
        }
        if ($this->chance(40)) {
            $clause['passes'] = $this->random->getInt(1, 3);
        }
        if ($this->chance(25)) {
            $clause['by'] = $this->some($keys, 2) ?: [$keys[0]];
        }

        return $clause;
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, mixed>
     */
    private function technique(array $keys): array
    {
        $clause = $this->chance(15)
            ? ['family' => $this->pick(['shade', 'highlight', 'blend'])]
            : ['technique' => $this->pick($keys)];
        $clause['status'] = $this->pick(['required', 'required', 'allowed', 'allowed', 'not_offered', 'on_request']);
        if (isset($clause['family']) && $clause['status'] === 'required') {
            $clause['status'] = 'allowed';
        }
        if ($this->chance(30)) {
            $clause['extent'] = $this->pick(['spot', 'prominent']);
        }
        if ($this->chance(20)) {
            $clause['passes'] = 2;
        }

        return $clause;
    }

    /** @return array<string, mixed> */
    private function scope(): array
    {
        $scope = [];
        if ($this->chance(50)) {
            $scope['rank'] = $this->some(['main', 'secondary', 'ground'], 2) ?: ['main'];
        }
        if ($this->chance(40)) {
            $scope['relief'] = [$this->pick(self::RELIEF)];
        }
        if ($this->chance(20)) {
            $scope['material'] = [$this->pick(self::MATERIAL)];
        }
        if ($this->chance(15)) {
            $scope['focus_min'] = 1;
        }
        if ($this->chance(15)) {
            $scope['except'] = ['material' => [$this->pick(self::MATERIAL)]];
        }

        return $scope;
    }

    /** @return array<string, mixed> */
    private function sculpt(): array
    {
        $areas = [];
        $count = $this->random->getInt(1, 3);
        for ($i = 0; $i < $count; $i++) {
            $areas[] = [
                'key' => "a$i",
                'name' => "Area $i",
                'material' => $this->pick(self::MATERIAL),
                'relief' => $this->some(self::RELIEF, 2) ?: ['soft_folds'],
                'rank' => $this->pick(['main', 'main', 'secondary', 'ground']),
                'focus' => $this->random->getInt(0, 2),
                'facing' => 'both',
                'layer' => $i,
                'share_pct' => $i === $count - 1 ? 100 - 30 * ($count - 1) : 30,
                'count' => $this->random->getInt(0, 2),
                'access' => $this->pick([1, 1.2]),
                'part' => null,
                'touches' => $i > 0 ? ['a'.($i - 1)] : [],
                'surround' => null,
                'outline' => (object) [],
            ];
        }

        return [
            'format' => SculptFormat::WORD,
            'name' => 'Random',
            'role' => $this->pick(['regular', 'hero']),
            'size' => $this->pick(['infantry', 'large', 'vehicle']),
            'base_mm' => null,
            'surface_cm2' => $this->random->getInt(10, 60),
            'definition' => $this->pick(['soft', 'normal', 'crisp']),
            'parts' => [],
            'areas' => $areas,
        ];
    }

    private function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $from
     * @return T
     */
    private function pick(array $from): mixed
    {
        return $from[$this->random->getInt(0, count($from) - 1)];
    }

    /**
     * @template T
     *
     * @param  list<T>  $from
     * @return list<T> up to $most of them, each once
     */
    private function some(array $from, int $most): array
    {
        return array_slice($this->random->shuffleArray($from), 0, $this->random->getInt(0, $most));
    }

    private function json(mixed $document): mixed
    {
        return json_decode(json_encode($document, JSON_THROW_ON_ERROR), false, 64, JSON_THROW_ON_ERROR);
    }
}
