<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Words\AgreedWords;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** An amendment as a certificate prints it, whatever was written beside it. */
final class AgreedWordsTest extends TestCase
{
    /** @param  array<string, mixed>  $said */
    #[TestWith([
        ['do' => 'omit', 'clause' => 'base', 'scope' => ['area' => ['boots']]],
        'Left unpainted: boots',
    ])]
    #[TestWith([
        ['do' => 'add', 'technique' => 'layer', 'scope' => ['area' => ['boots', 'hood']], 'values' => ['passes' => 2]],
        'Besides the tier, layer in 2 passes: boots and hood',
    ])]
    #[TestWith([
        ['do' => 'add', 'technique' => 'freehand', 'values' => ['extent' => 'spot'], 'on' => ['share' => 0.25]],
        'Besides the tier, freehand, detailed in a spot, on 25 % of the models',
    ])]
    public function test_it_says_what_is_done_where_and_on_how_many(array $said, string $words): void
    {
        $read = fn (string $file): mixed => Json::decode(
            (string) file_get_contents(dirname(__DIR__, 2)."/database/demo/$file.json"),
        );
        $standard = StandardFormat::read($read('standards/five-rungs'));
        $amendment = AmendmentFormat::read(Json::decode(Json::encode((object) ($said + [
            'level' => 'unit', 'clause' => null, 'technique' => null, 'scope' => (object) [],
            'values' => (object) [], 'reason' => 'Ada Fen wishes it so.', 'price' => null, 'on' => null,
        ]))), self::known($standard))[0];
        $sculpt = SculptFormat::read($read('sculpts/sluice-warden'));
        $agreed = new AgreedWords($standard, $standard->tier('company'), $sculpt);
        self::assertSame($words, $agreed->of($amendment));
    }

    /** @return array<string, true> */
    private static function known(Standard $standard): array
    {
        return array_fill_keys(array_map(fn (Technique $t) => $t->key, $standard->techniques), true);
    }

    public function test_what_is_set_reads_as_the_clause_that_holds_instead(): void
    {
        $read = fn (string $file): mixed => Json::decode(
            (string) file_get_contents(dirname(__DIR__, 2)."/database/demo/$file.json"),
        );
        $standard = StandardFormat::read($read('standards/five-rungs'));
        $tier = $standard->tier('company');
        $agreed = new AgreedWords($standard, $tier, SculptFormat::read($read('sculpts/sluice-warden')));
        foreach ($standard->clausesOf($tier) as $clause) {
            $amendment = AmendmentFormat::read(Json::decode(Json::encode((object) [
                'level' => 'order', 'do' => 'omit', 'clause' => $clause->id, 'technique' => null,
                'scope' => (object) [], 'values' => (object) [], 'reason' => 'x', 'price' => null, 'on' => null,
            ])), self::known($standard))[0];
            self::assertStringStartsWith('Left out: ', $agreed->of($amendment));
            self::assertStringNotContainsString($clause->id.' ', $agreed->of($amendment), 'no key reaches a person');
        }
    }
}
