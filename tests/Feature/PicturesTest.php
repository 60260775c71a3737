<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Picture;
use App\Studio\Pictures;
use GdImage;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;

/** Whatever somebody sends as a picture is kept as it looks, or refused with the reason. */
final class PicturesTest extends StudioTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->actingAs($this->person('painter'));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        $png = self::file('png');
        $jpeg = self::file('jpeg');
        $webp = self::file('webp');
        yield 'one pixel' => ['at least 16', self::file('png', imagecreatetruecolor(1, 1))];
        yield 'a line' => ['at least 16', self::file('png', imagecreatetruecolor(900, 3))];
        foreach (['png' => $png, 'jpeg' => $jpeg, 'webp' => $webp] as $kind => $file) {
            yield "half a $kind" => ['damaged', substr($file, 0, intdiv(strlen($file), 2))];
            yield "a $kind without its last bytes" => ['damaged', substr($file, 0, -20)];
            yield "the head of a $kind" => ['', substr($file, 0, 60)];
        }
        yield 'a picture that moves' => ['several pictures', substr($png, 0, 33).self::chunk('acTL', pack('NN', 2, 0)).substr($png, 33)];
        $anim = 'RIFF'.pack('V', 4 + 18 + strlen($webp)).'WEBPVP8X'.pack('V', 10)."\x02\0\0\0".substr(pack('V', 63), 0, 3).substr(pack('V', 39), 0, 3);
        yield 'a webp that moves' => ['', $anim.'ANIM'.pack('V', 6).str_repeat("\0", 6).substr($webp, 12)];
        // Four channels in the frame header of a JPEG: the inks of a press.
        yield 'for the press' => ['CMYK', self::pressed($jpeg)];
        yield 'more pixels than are taken' => ['million are taken', self::claiming($png, 30_000, 30_000)];
        yield 'a drawing by instructions' => ['no picture', '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'];
    }

    #[DataProvider('refused')]
    public function test_it_is_refused_with_the_reason_and_nothing_is_kept(string $why, string $bytes): void
    {
        $there = Picture::query()->count();
        $answer = $this->post('/api/v1/pictures', ['picture' => UploadedFile::fake()->createWithContent('p.png', $bytes)], ['Accept' => 'application/json']);
        self::assertSame(422, $answer->getStatusCode(), (string) $answer->getContent());
        self::assertSame('/picture', $answer->json('errors.0.pointer'));
        self::assertStringContainsString($why, (string) $answer->json('detail'));
        self::assertSame([$there, []], [Picture::query()->count(), Storage::disk()->allFiles()]);
    }

    public function test_it_is_turned_as_it_was_held_and_mirrored_back(): void
    {
        $jpeg = self::file('jpeg');
        // Where the red corner comes to lie, by the eight ways of Exif: rows and columns of the corner.
        $corners = [1 => [0, 0], 2 => [1, 0], 3 => [1, 1], 4 => [0, 1], 5 => [0, 0], 6 => [1, 0], 7 => [1, 1], 8 => [0, 1]];
        foreach ($corners as $orientation => [$right, $below]) {
            $tiff = "II*\0".pack('V', 8).pack('v', 1).pack('vvVV', 0x0112, 3, 1, $orientation).pack('V', 0);
            $segment = "\xff\xe1".pack('n', strlen($tiff) + 8)."Exif\0\0".$tiff;
            $kept = app(Pictures::class)->take(substr($jpeg, 0, 2).$segment.substr($jpeg, 2));
            $image = imagecreatefromstring(app(Pictures::class)->read($kept));
            self::assertInstanceOf(GdImage::class, $image);
            self::assertSame($orientation > 4 ? [40, 64] : [64, 40], [imagesx($image), imagesy($image)], "way $orientation");
            $at = fn (int $r, int $b): int => (imagecolorat($image, $r === 1 ? imagesx($image) - 4 : 3, $b === 1 ? imagesy($image) - 4 : 3) >> 16) & 255;
            foreach ([[0, 0], [1, 0], [0, 1], [1, 1]] as [$r, $b]) {
                $isRed = [$r, $b] === [$right, $below];
                self::assertSame($isRed, $at($r, $b) > 128, "way $orientation, corner $r $b");
            }
        }
    }

    public function test_sixteen_bits_are_read_and_nothing_rides_along(): void
    {
        $rows = '';
        for ($y = 0; $y < 20; $y++) {
            $rows .= "\0".str_repeat(pack('nnn', 0x8040, 0x4080, 0xC0FF), 20);
        }
        $png = "\x89PNG\r\n\x1a\n".self::chunk('IHDR', pack('NNCCCCC', 20, 20, 16, 2, 0, 0, 0)).self::chunk('IDAT', (string) gzcompress($rows)).self::chunk('IEND', '');
        $kept = app(Pictures::class)->take($png.'<?php system($_GET["c"]);');
        $stored = app(Pictures::class)->read($kept);
        self::assertStringNotContainsString('<?php', $stored);
        $image = imagecreatefromstring($stored);
        self::assertInstanceOf(GdImage::class, $image);
        $colour = imagecolorat($image, 5, 5);
        foreach ([16 => 0x80, 8 => 0x40, 0 => 0xC0] as $shift => $value) {
            self::assertEqualsWithDelta($value, ($colour >> $shift) & 255, 1);
        }
    }

    public function test_the_studio_has_so_much_room_for_pictures_and_is_told_before_it_is_full(): void
    {
        $taken = (int) Picture::query()->sum('bytes');
        $file = self::file('png');
        config(['ordotype.pictures_gb' => ($taken + 1000) / 1e9]);
        self::assertTrue($this->api('lead', 'GET', 'studio', null, 200)->json('pictures.is_nearly_full') || $taken === 0);
        config(['ordotype.pictures_gb' => ($taken + 10) / 1e9]);
        $send = fn () => $this->actingAs($this->person('painter'))->post('/api/v1/pictures', ['picture' => UploadedFile::fake()->createWithContent('p.png', $file)], ['Accept' => 'application/json']);
        $full = $send();
        self::assertSame(507, $full->getStatusCode());
        self::assertStringContainsString('is full', (string) $full->json('detail'));
        config(['ordotype.pictures_gb' => 20]);
        $send()->assertSuccessful();
        config(['ordotype.pictures_gb' => ($taken + 10) / 1e9]);
        $send()->assertSuccessful();
        self::assertFalse($this->api('desk', 'GET', 'studio', null, 200)->json('pictures.of') > 20e9);
    }

    public function test_whether_pictures_can_be_written_is_said_to_whoever_watches(): void
    {
        self::assertTrue($this->get('/up')->assertOk()->json('pictures'));
        Storage::shouldReceive('disk->put')->andReturn(false);
        self::assertFalse($this->get('/up')->assertStatus(503)->json('pictures'));
    }

    /** @param  'png'|'jpeg'|'webp'  $kind */
    private static function file(string $kind, ?GdImage $image = null): string
    {
        if ($image === null) {
            $image = imagecreatetruecolor(64, 40);
            imagefilledrectangle($image, 0, 0, 15, 9, 0xFF0000);
            for ($i = 0; $i < 30; $i++) {
                imagesetpixel($image, 20 + $i, 20, $i * 70000);
            }
        }
        ob_start();
        match ($kind) {
            'png' => imagepng($image),
            'jpeg' => imagejpeg($image, null, 95),
            'webp' => imagewebp($image),
        };

        return (string) ob_get_clean();
    }

    private static function chunk(string $name, string $body): string
    {
        return pack('N', strlen($body)).$name.$body.pack('N', crc32($name.$body));
    }

    private static function claiming(string $png, int $width, int $height): string
    {
        return substr($png, 0, 8).self::chunk('IHDR', pack('NN', $width, $height).substr($png, 24, 5)).substr($png, 33);
    }

    /** The same file with a fourth channel in its frame header. */
    private static function pressed(string $jpeg): string
    {
        $at = (int) strpos($jpeg, "\xff\xc0");
        $length = ((array) unpack('n', substr($jpeg, $at + 2, 2)))[1];

        return substr($jpeg, 0, $at + 2).pack('n', $length + 3).substr($jpeg, $at + 4, 5)."\x04".substr($jpeg, $at + 10, $length - 8)."\x04\x11\0".substr($jpeg, $at + 2 + $length);
    }
}
