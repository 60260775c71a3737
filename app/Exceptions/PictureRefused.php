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

    /** Nothing can be seen on so few pixels. */
    public static function tooSmall(int $width, int $height, int $shortest): self
    {
        return new self(
            "The picture has $width × $height pixels; at least $shortest on each side are needed.",
            '/picture',
        );
    }

    /** Inks are no colours that could be measured. */
    public static function forPrint(): self
    {
        return new self(
            'This picture is kept in the inks of a printing press (CMYK), whose colours nobody can measure here: '.
                'save it in sRGB and send that.',
            '/picture',
        );
    }

    /** Several pictures in one file. */
    public static function moves(): self
    {
        return new self('This file holds several pictures, one after another: send the one that is meant.', '/picture');
    }

    /** The studio has only so much room for pictures. */
    public static function noRoom(int $bytes): self
    {
        return new self(
            sprintf(
                'The studio’s room for pictures, %s GB, is full. Whoever looks after the machine can make more '.
                    '(ORDOTYPE_PICTURES_GB).',
                rtrim(rtrim(number_format($bytes / 1e9, 2), '0'), '.'),
            ),
            '/picture',
            507,
        );
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
