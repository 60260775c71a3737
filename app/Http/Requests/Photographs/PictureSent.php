<?php

declare(strict_types=1);

namespace App\Http\Requests\Photographs;

use App\Exceptions\PictureRefused;
use App\Http\Requests\StudioRequest;
use App\Studio\Pictures;
use Illuminate\Http\UploadedFile;

/** A picture as a file. What it holds is judged when it is decoded. */
final class PictureSent extends StudioRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }

    /** @throws PictureRefused when no file came through, which is what an oversized one looks like */
    public function bytes(): string
    {
        $file = $this->file('picture');
        if (! ($file instanceof UploadedFile) || ! $file->isValid()) {
            throw PictureRefused::tooLarge((int) (Pictures::MAX_BYTES / 1_000_000));
        }

        return (string) file_get_contents($file->getRealPath());
    }
}
