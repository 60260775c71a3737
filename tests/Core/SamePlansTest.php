<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\PlanFormat;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Demo;
use Tests\Support\DemoPlans;

/**
 * Plans of the demo are what they were before the core was taken apart: every field of `ordotype/plan@1` but the
 * sentences, which may be worded anew.
 */
final class SamePlansTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function sculpts(): iterable
    {
        foreach (DemoPlans::SCULPTS as $sculpt) {
            yield $sculpt => [$sculpt];
        }
    }

    #[DataProvider('sculpts')]
    public function test_the_plans_of_a_figure_are_as_they_were(string $sculpt): void
    {
        $kept = json_decode(
            (string) gzdecode((string) file_get_contents(DemoPlans::file($sculpt))),
            false,
            64,
            JSON_THROW_ON_ERROR,
        );
        $names = [];
        foreach (DemoPlans::of($sculpt) as $name => $request) {
            $names[] = $name;
            self::assertSame(
                self::bytes($kept->{$name}),
                self::bytes(PlanFormat::write(Demo::planner()->plan($request))),
                "$sculpt, $name",
            );
        }
        self::assertSame($names, array_keys(get_object_vars($kept)));
    }

    private static function bytes(stdClass $plan): string
    {
        $plan = json_decode(
            json_encode($plan, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            false,
            64,
            JSON_THROW_ON_ERROR,
        );
        foreach (
            [...$plan->warnings, ...$plan->conflicts, ...$plan->not_applicable, ...$plan->requirements] as $said
        ) {
            foreach (['text', 'reason'] as $sentence) {
                if (isset($said->{$sentence})) {
                    self::assertNotSame('', $said->{$sentence});
                    $said->{$sentence} = 'a sentence';
                }
            }
        }

        return json_encode(
            $plan,
            JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT,
        );
    }
}
