<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Picture;
use App\Studio\Pictures;
use Illuminate\Support\Facades\Storage;
use Ordotype\Core\Picture\Photo\ColourProfile;

/** Pictures of cameras that do not write sRGB: their profile is taken out of the pixels. */
final class ColourProfileTest extends StudioTestCase
{
    /** Chromaticities of P3's primaries (SMPTE RP 431-2) and of sRGB's (IEC 61966-2-1), and the white D65. */
    private const P3 = [[0.680, 0.320], [0.265, 0.690], [0.150, 0.060]];

    private const SRGB = [[0.640, 0.330], [0.300, 0.600], [0.150, 0.060]];

    private const D65 = [0.3127, 0.3290];

    private const D50 = [0.9642, 1.0, 0.8249];

    private const BRADFORD = [[0.8951, 0.2664, -0.1614], [-0.7502, 1.7135, 0.0367], [0.0389, -0.0685, 1.0296]];

    public function test_colours_of_a_profile_are_those_that_its_primaries_say(): void
    {
        $profile = ColourProfile::ofIcc(self::icc(self::P3));
        self::assertNotNull($profile);
        self::assertFalse($profile->isSrgb());
        $toXyz = self::matrix(self::P3);
        $toSrgb = self::inverse(self::matrix(self::SRGB));
        foreach ([0xEA3323, 0x204080, 0x808080, 0x6A9F4B, 0xFFFFFF, 0x101418, 0x00FF00] as $c) {
            $linear = array_map(fn (int $shift) => self::linear(($c >> $shift) & 255), [16, 8, 0]);
            // By way of XYZ under D65, without the connection space that the profile goes by.
            $asked = array_map(
                fn (float $l) => self::byte($l),
                self::times($toSrgb, self::times($toXyz, $linear)),
            );
            $is = $profile->toSrgb($c);
            foreach ([16, 8, 0] as $k => $shift) {
                self::assertEqualsWithDelta($asked[$k], ($is >> $shift) & 255, 2.0, dechex($c));
            }
        }
        $same = ColourProfile::ofIcc(self::icc(self::SRGB));
        self::assertTrue($same?->isSrgb());
    }

    public function test_what_is_no_profile_of_this_kind_is_let_be(): void
    {
        $icc = self::icc(self::P3);
        foreach (['', 'no profile', substr($icc, 0, 140), substr_replace($icc, 'CMYK', 16, 4), str_replace('para', 'mft2', $icc)] as $bad) {
            self::assertNull(ColourProfile::ofIcc($bad));
        }
    }

    public function test_a_picture_with_a_profile_is_kept_in_srgb_and_without_it(): void
    {
        Storage::fake();
        $this->actingAs($this->person('painter'));
        $image = imagecreatetruecolor(20, 20);
        imagefill($image, 0, 0, 0xEA3323);
        ob_start();
        imagepng($image);
        $png = (string) ob_get_clean();
        $body = "a camera\0\0".gzcompress(self::icc(self::P3));
        $chunk = pack('N', strlen($body)).'iCCP'.$body.pack('N', crc32('iCCP'.$body));
        // After the header chunk: 8 bytes of signature, 25 of IHDR.
        $kept = app(Pictures::class)->take(substr($png, 0, 33).$chunk.substr($png, 33));
        self::assertSame(0xFF, (self::first($kept) >> 16) & 255, 'the red of sRGB, written in P3');
        self::assertLessThan(12, (self::first($kept) >> 8) & 255);
        self::assertStringNotContainsString('iCCP', (string) app(Pictures::class)->read($kept));
        self::assertSame(0xEA3323, self::first(app(Pictures::class)->take($png)), 'without a profile it is sRGB');
        ob_start();
        imagejpeg($image, null, 95);
        $jpeg = (string) ob_get_clean();
        $icc = self::icc(self::P3);
        $half = intdiv(strlen($icc), 2);
        $segments = '';
        foreach ([substr($icc, 0, $half), substr($icc, $half)] as $n => $part) {
            $part = "ICC_PROFILE\0".chr($n + 1).chr(2).$part;
            $segments .= "\xff\xe2".pack('n', strlen($part) + 2).$part;
        }
        $kept = app(Pictures::class)->take(substr($jpeg, 0, 2).$segments.substr($jpeg, 2));
        self::assertGreaterThan(250, (self::first($kept) >> 16) & 255);
        // A profile that claims what it is not changes nothing.
        $broken = pack('N', 6).'iCCPx'."\0\0abc".pack('N', crc32('iCCPx'."\0\0abc"));
        self::assertSame(0xEA3323, self::first(app(Pictures::class)->take(substr($png, 0, 33).$broken.substr($png, 33))));
    }

    private static function first(Picture $picture): int
    {
        $image = imagecreatefromstring(app(Pictures::class)->read($picture));
        self::assertNotFalse($image);

        return (int) imagecolorat($image, 3, 3) & 0xFFFFFF;
    }

    /**
     * A profile by matrix and curves, as ICC.1:2010 lays it out.
     *
     * @param  list<array{float, float}>  $primaries
     */
    private static function icc(array $primaries): string
    {
        $white = [self::D65[0] / self::D65[1], 1.0, (1 - self::D65[0] - self::D65[1]) / self::D65[1]];
        $gain = array_map(
            fn (float $from, float $to) => $to / $from,
            self::times(self::BRADFORD, $white),
            self::times(self::BRADFORD, self::D50),
        );
        $fixed = fn (float $n): string => pack('N', (int) round($n * 65536) & 0xFFFFFFFF);
        $matrix = self::matrix($primaries);
        $tags = [];
        foreach (['r', 'g', 'b'] as $k => $name) {
            $cones = self::times(self::BRADFORD, [$matrix[0][$k], $matrix[1][$k], $matrix[2][$k]]);
            $xyz = self::times(
                self::inverse(self::BRADFORD),
                array_map(fn (float $c, float $g) => $c * $g, $cones, $gain),
            );
            $tags[$name.'XYZ'] = "XYZ \0\0\0\0".implode('', array_map($fixed, $xyz));
            $curve = array_map($fixed, [2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045]);
            $tags[$name.'TRC'] = "para\0\0\0\0".pack('n', 3)."\0\0".implode('', $curve);
        }
        $table = pack('N', count($tags));
        $data = '';
        foreach ($tags as $name => $tag) {
            $table .= $name.pack('NN', 128 + 4 + 12 * count($tags) + strlen($data), strlen($tag));
            $data .= $tag;
        }

        $profile = str_pad(str_pad('', 12, "\0").'mntrRGB XYZ ', 128, "\0").$table.$data;

        return substr_replace($profile, pack('N', strlen($profile)), 0, 4);
    }

    /**
     * Linear RGB to XYZ: columns are the primaries, so scaled that they make the white.
     *
     * @param  list<array{float, float}>  $primaries
     * @return list<list<float>>
     */
    private static function matrix(array $primaries): array
    {
        $columns = array_map(fn (array $p) => [$p[0] / $p[1], 1.0, (1 - $p[0] - $p[1]) / $p[1]], $primaries);
        $rows = array_map(fn (int $k) => array_column($columns, $k), [0, 1, 2]);
        $white = [self::D65[0] / self::D65[1], 1.0, (1 - self::D65[0] - self::D65[1]) / self::D65[1]];
        $scale = self::times(self::inverse($rows), $white);

        return array_map(fn (array $row) => array_map(fn (float $n, float $s) => $n * $s, $row, $scale), $rows);
    }

    /**
     * @param  list<list<float>>  $m
     * @param  list<float>  $v
     * @return list<float>
     */
    private static function times(array $m, array $v): array
    {
        return array_map(fn (array $row) => $row[0] * $v[0] + $row[1] * $v[1] + $row[2] * $v[2], $m);
    }

    /**
     * By Cramer's rule.
     *
     * @param  list<list<float>>  $m
     * @return list<list<float>>
     */
    private static function inverse(array $m): array
    {
        $minor = fn (int $i, int $j): float => $m[($i + 1) % 3][($j + 1) % 3] * $m[($i + 2) % 3][($j + 2) % 3] -
            $m[($i + 1) % 3][($j + 2) % 3] * $m[($i + 2) % 3][($j + 1) % 3];
        $det = $m[0][0] * $minor(0, 0) + $m[0][1] * $minor(0, 1) + $m[0][2] * $minor(0, 2);

        return array_map(
            fn (int $i) => array_map(fn (int $j) => $minor($j, $i) / $det, [0, 1, 2]),
            [0, 1, 2],
        );
    }

    private static function linear(int $byte): float
    {
        $c = $byte / 255;

        return $c <= 0.04045 ? $c / 12.92 : (($c + 0.055) / 1.055) ** 2.4;
    }

    private static function byte(float $l): int
    {
        $l = max(0.0, min(1.0, $l));

        return (int) round(255 * ($l <= 0.0031308 ? 12.92 * $l : 1.055 * $l ** (1 / 2.4) - 0.055));
    }
}
