<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Standard\Technique;

/**
 * Every figure of the demo at every tier by every method, as one piece and as twelve: the measure of "the same plans".
 */
final class DemoPlans
{
    public const SCULPTS = [
        'sluice-warden',
        'lantern-provost',
        'mudlark',
        'bell-diver',
        'reedback-toad',
        'ferry-gun',
    ];

    /** @return iterable<string, PlanRequest> by a name that says which */
    public static function of(string $sculpt): iterable
    {
        $standard = Demo::standard();
        $methods =
            ['none' => new Method()] +
            array_map(fn (string $m) => MethodFormat::read(Demo::json("methods/$m.json")), [
                'brush' => 'brush-only',
                'dark' => 'dark-undercoat',
            ]);
        foreach ($standard->tiers as $tier) {
            foreach ($methods as $name => $method) {
                yield "$tier->key $name" => new PlanRequest(
                    $standard,
                    $tier,
                    Demo::sculpt($sculpt),
                    Demo::scheme(),
                    $method,
                    [],
                    Demo::shelf(),
                    1,
                );
            }
            yield "$tier->key none twelve" => new PlanRequest(
                $standard,
                $tier,
                Demo::sculpt($sculpt),
                Demo::scheme(),
                new Method(),
                [],
                Demo::shelf(),
                12,
            );
            yield "$tier->key none colourless" => new PlanRequest($standard, $tier, Demo::sculpt($sculpt));
        }
        if ($sculpt === 'sluice-warden') {
            $known = array_fill_keys(array_map(fn (Technique $t) => $t->key, $standard->techniques), true);
            yield 'company amended' => new PlanRequest(
                $standard,
                $standard->tier('company'),
                Demo::sculpt($sculpt),
                Demo::scheme(),
                $methods['dark'],
                AmendmentFormat::read(Demo::json('amendments/company-warden.json'), $known),
                Demo::shelf(),
                12,
            );
        }
    }

    public static function file(string $sculpt): string
    {
        return dirname(__DIR__)."/Fixtures/plans/$sculpt.json.gz";
    }
}
