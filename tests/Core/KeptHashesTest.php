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
            'sculpts/bell-diver.json' => '7f806fa635d7e16453625563e3f36ebdd3555614cb3d3266290ec0c64c731201',
            'sculpts/ferry-gun.json' => 'a7a1edcc76a660f2edfd6b9fc670fc8a2739fe3f0dee63b8288feec6798d0539',
            'sculpts/lantern-provost.json' => 'e4603ffbd7afbdd0dec348bfcb6e0b69f841f6407bb74bc2dbf38e4dd5ab1be2',
            'sculpts/mudlark.json' => '2328d339a041073f0ec6f3574b1387b717043ce936472755d805b53b382488df',
            'sculpts/reedback-toad.json' => '92005e8b058f1c9f3ce751bedfa654085c321601315227c4f16769ddf98af067',
            'sculpts/sluice-warden.json' => 'd5826ec1ad2b534e4ca9df2d0100788c53521b43f40d58415a9238e44c4cfe0b',
            'standards/five-rungs.json' => '11f8d30f93dba7314d3f6d21f2a5a4b6cbf80dfa6807aaf62f377b33134a4e2f',
            'standards/three-grades.json' => '10b8aa5cada3c281f5cb459788413f63dcdebac132e4ae86975300dbd439cae4',
            'standards/two-stages.json' => 'f96bac18567e54cf29fccc8761599312c3f80d0288364d48852d1e7256f3eb56',
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
