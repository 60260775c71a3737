<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Pictures and photographs as files, and what is placed on them. */
final class PictureRefused extends Refusal
{
    /** A photograph shows no such detail, or is of a model that is not signed off. */
    public static function noSuchDetail(string $why): self
    {
        return new self($why, '/area');
    }

    /** The file is no picture that can be read. */
    public static function notAPicture(): self
    {
        return new self('This is no picture that can be read: send a PNG, JPEG or WebP file.', '/picture');
    }

    /** The points that were set place nothing. */
    public static function notPlaced(string $why): self
    {
        return new self($why, '/top');
    }

    /** The picture cannot be decoded. */
    public static function damaged(): self
    {
        return new self('The picture is damaged and cannot be read.', '/picture');
    }

    /** The file of a picture is missing. */
    public static function gone(): self
    {
        return new self('The file of this picture is not there any more.', '', 404);
    }

    /** A picture has a largest size. */
    public static function tooLarge(int $megabytes): self
    {
        return new self("Send the picture as a file of at most $megabytes MB.", '/picture');
    }

    /** A picture has a largest number of pixels. */
    public static function tooManyPixels(
        int $width,
        int $height,
        int $millions,
    ): self {
        return new self(
            "The picture has $width × $height pixels; at most $millions million are taken.",
            '/picture',
        );
    }
}
