<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\PictureRefused;
use App\Models\Picture;
use App\Pictures\Png;
use App\Pictures\Profiles;
use GdImage;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Storage;

/**
 * Takes pictures in: limits before anything is decoded, then decoded and written anew, so that neither metadata nor
 * active content comes along, in sRGB whatever profile they came with; the file is named by the SHA-256 of what is
 * stored.
 */
final class Pictures
{
    public const MAX_BYTES = 24_000_000;

    private const MAX_PIXELS = 40_000_000;

    /** The longest side that is kept: enough to outline on, and to look at on a large screen. */
    private const LONGEST = 2400;

    private const TYPES = [
        IMAGETYPE_PNG => 'image/png',
        IMAGETYPE_JPEG => 'image/jpeg',
        IMAGETYPE_WEBP => 'image/webp',
    ];

    /**
     * @throws PictureRefused
     * @throws PictureRefused
     * @throws PictureRefused
     * @throws PictureRefused
     */
    public function take(string $bytes): Picture
    {
        if (strlen($bytes) > self::MAX_BYTES) {
            throw PictureRefused::tooLarge((int) (self::MAX_BYTES / 1_000_000));
        }
        $info = @getimagesizefromstring($bytes);
        if ($info === false || ! isset(self::TYPES[$info[2]])) {
            throw PictureRefused::notAPicture();
        }
        if ($info[0] * $info[1] > self::MAX_PIXELS) {
            throw PictureRefused::tooManyPixels($info[0], $info[1], (int) (self::MAX_PIXELS / 1_000_000));
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw PictureRefused::damaged();
        }
        $image = $this->fitted($this->upright($image, $info[2] === IMAGETYPE_JPEG ? $bytes : ''));
        $profile = Profiles::of($bytes);
        $image = $profile === null ? $image : Profiles::applied($image, $profile);
        ob_start();
        $info[2] === IMAGETYPE_PNG ? imagepng($image, null, 6) : imagejpeg($image, null, 88);
        $stored = (string) ob_get_clean();
        $sha = hash('sha256', $stored);
        Storage::disk()->put($this->path($sha), $stored);

        return Picture::query()->firstOrCreate(
            ['sha256' => $sha],
            [
                'mime' => $info[2] === IMAGETYPE_PNG ? 'image/png' : 'image/jpeg',
                'width' => imagesx($image),
                'height' => imagesy($image),
                'bytes' => strlen($stored),
                'is_drawn' => Png::isDrawn($bytes),
                'made_by' => Auth::id(),
                'created_at' => now(),
            ],
        );
    }

    public function read(Picture $picture): string
    {
        return Storage::disk()->get($this->path($picture->sha256)) ?? throw PictureRefused::gone();
    }

    private function path(string $sha): string
    {
        return 'pictures/'.substr($sha, 0, 2)."/$sha";
    }

    private function fitted(GdImage $image): GdImage
    {
        $longest = max(imagesx($image), imagesy($image));
        $scaled =
            $longest <= self::LONGEST
                ? $image
                : imagescale(
                    $image,
                    (int) round((imagesx($image) * self::LONGEST) / $longest),
                    (int) round((imagesy($image) * self::LONGEST) / $longest),
                    IMG_BICUBIC,
                );

        return $scaled === false ? $image : $scaled;
    }

    /** A picture as it is sent: it never changes under its address. */
    public function answered(Picture $picture): Response
    {
        return new Response($this->read($picture), 200, [
            'Content-Type' => $picture->mime,
            'Cache-Control' => 'private, max-age=31536000, immutable',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    /** A telephone says in the file how it was held; that goes with the metadata, so the picture is turned first. */
    private function upright(GdImage $image, string $jpeg): GdImage
    {
        $turn = match ($this->orientation($jpeg)) {
            3 => 180,
            6 => 270,
            8 => 90,
            default => 0,
        };
        $turned = $turn === 0 ? $image : imagerotate($image, $turn, 0);

        return $turned === false ? $image : $turned;
    }

    /** The orientation tag (0x0112) of the first Exif directory of a JPEG file; 1 where there is none. */
    private function orientation(string $jpeg): int
    {
        $exif = strpos(substr($jpeg, 0, 65536), "Exif\0\0");
        if ($exif === false) {
            return 1;
        }
        $tiff = substr($jpeg, $exif + 6, 4096);
        $little = str_starts_with($tiff, 'II');
        $short = fn (int $at): int => strlen($tiff) < $at + 2
            ? 0
            : ($little
                ? ord($tiff[$at]) | (ord($tiff[$at + 1]) << 8)
                : (ord($tiff[$at]) << 8) | ord($tiff[$at + 1]));
        $first = strlen($tiff) < 8 ? 0 : ($little ? $short(4) : $short(6));
        for ($i = 0, $n = $short($first); $i < $n; $i++) {
            if ($short($first + 2 + 12 * $i) === 0x0112) {
                return $short($first + 2 + 12 * $i + 8);
            }
        }

        return 1;
    }
}
