<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\Chain;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

/**
 * Hashes by which versions, releases and signatures are known in a studio’s database must come out for ever as they
 * did. The values are those of Python 3’s `json.dumps(…, sort_keys=True, separators=(',', ':'), ensure_ascii=False)`,
 * whole decimals as whole numbers, and `hashlib.sha256`.
 */
final class KeptHashesTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function documents(): iterable
    {
        foreach ([
            'schemes/tidemark.json' => 'd349386f9f230fec66c7cc33412195b0bd769a4da894c963d3841a9ad2bfc1fa',
            'sculpts/bell-diver.json' => '914a023c2ac93be3bc67f65c0a2f55ebe11fde7f84c9b33bcb6dc95521112ce2',
            'sculpts/ferry-gun.json' => '2824bb845c56dc9b056db2612f4ecfd4b4e58cdf016a1a9ac27973ddb6a393e1',
            'sculpts/lantern-provost.json' => 'e4603ffbd7afbdd0dec348bfcb6e0b69f841f6407bb74bc2dbf38e4dd5ab1be2',
            'sculpts/mudlark.json' => '2328d339a041073f0ec6f3574b1387b717043ce936472755d805b53b382488df',
            'sculpts/reedback-toad.json' => 'f468cbf29212bb8e354417ee15d3336e2e77d2c44c317b0bc407458dc3549285',
            'sculpts/sluice-warden.json' => 'd5826ec1ad2b534e4ca9df2d0100788c53521b43f40d58415a9238e44c4cfe0b',
            'standards/five-rungs.json' => '4ebbe37c98d8ad09d54b1c814822934a2fe55fd5ef53b52be6e9dbfd9d009c93',
            'standards/three-grades.json' => 'da40452c90775e4fe0b9425ab5d2257d77dddc7fbe52037eef2fad18862cc657',
            'standards/two-stages.json' => '3c2460d3ebd08588fadc87ae108f0732921e025aa90c352c627ab1a1c6d4f63a',
        ] as $document => $hash) {
            yield $document => [$document, $hash];
        }
    }

    #[DataProvider('documents')]
    public function test_a_document_has_the_hash_it_always_had(string $document, string $hash): void
    {
        self::assertSame($hash, hash('sha256', CanonicalJson::encode(Demo::json($document))));
    }

    public function test_a_record_has_the_hash_it_always_had(): void
    {
        $body = ['signed' => '2026-03-04T10:00:00Z', 'pieces' => [3, 12], 'tier' => 'Schaukasten – ½ “fein”', 'gate' => null];
        $link = Chain::link(1, Chain::START, $body);
        self::assertSame('e337aaab573bbaa376baca654036ab531f0b62503b1d878cbf9210ace41174d0', $link->hash);
        self::assertSame(CanonicalJson::record(Json::decode($link->record)), $link->record);
    }
}
