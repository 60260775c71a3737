<?php

declare(strict_types=1);

namespace App\Studio;

use App\Exceptions\PictureRefused;
use App\Models\Picture;
use App\Pictures\Jpeg;
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

    /** Shorter than this nothing is seen on it, px. */
    private const SHORTEST = 16;

    /** From here on it is said that room for pictures runs out. */
    private const NEARLY = 0.8;

    /** The longest side that is kept: enough to outline on, and to look at on a large screen. */
    private const LONGEST = 2400;

    private const TYPES = [
        IMAGETYPE_PNG => 'image/png',
        IMAGETYPE_JPEG => 'image/jpeg',
        IMAGETYPE_WEBP => 'image/webp',
    ];

    /**
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
        if (min($info[0], $info[1]) < self::SHORTEST) {
            throw PictureRefused::tooSmall($info[0], $info[1], self::SHORTEST);
        }
        if (($info['channels'] ?? 3) === 4 && $info[2] === IMAGETYPE_JPEG) {
            throw PictureRefused::forPrint();
        }
        $moving = [IMAGETYPE_PNG => 'acTL', IMAGETYPE_WEBP => 'ANIM'][$info[2]] ?? null;
        if ($moving !== null && str_contains(substr($bytes, 0, 4096), $moving)) {
            throw PictureRefused::moves();
        }
        $image = $this->fitted($this->upright(self::decoded($bytes, $info[2]), Exif::orientation($bytes)));
        $profile = Profiles::of($bytes);
        $image = $profile === null ? $image : Profiles::applied($image, $profile);
        ob_start();
        $info[2] === IMAGETYPE_PNG ? imagepng($image, null, 6) : imagejpeg($image, null, 88);
        $stored = (string) ob_get_clean();
        $sha = hash('sha256', $stored);
        $this->mustFit($sha, strlen($stored));
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

    /** @return array{bytes: int, of: int, is_nearly_full: bool} what the pictures take of the room there is for them */
    public static function room(): array
    {
        $bytes = (int) Picture::query()->sum('bytes');
        $of = (int) (((float) config('ordotype.pictures_gb')) * 1e9);

        return ['bytes' => $bytes, 'of' => $of, 'is_nearly_full' => $bytes > self::NEARLY * $of];
    }

    private function mustFit(string $sha, int $bytes): void
    {
        ['bytes' => $taken, 'of' => $of] = self::room();
        if ($taken + $bytes > $of && Picture::query()->where('sha256', $sha)->doesntExist()) {
            throw PictureRefused::noRoom($of);
        }
    }

    private static function decoded(string $bytes, int $type): GdImage
    {
        $image = $type === IMAGETYPE_JPEG && ! Jpeg::isWhole($bytes) ? false : @imagecreatefromstring($bytes);

        return $image === false ? throw PictureRefused::damaged() : $image;
    }

    /** A telephone says in the file how it was held; that goes with the metadata, so the picture is turned first. */
    private function upright(GdImage $image, int $orientation): GdImage
    {
        if (in_array($orientation, [2, 4, 5, 7], true)) {
            imageflip($image, $orientation === 4 ? IMG_FLIP_VERTICAL : IMG_FLIP_HORIZONTAL);
        }
        $turn = match ($orientation) {
            3 => 180,
            6, 7 => 270,
            5, 8 => 90,
            default => 0,
        };
        $turned = $turn === 0 ? $image : imagerotate($image, $turn, 0);

        return $turned === false ? $image : $turned;
    }
}
