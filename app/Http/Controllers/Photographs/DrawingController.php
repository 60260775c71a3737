<?php

declare(strict_types=1);

namespace App\Http\Controllers\Photographs;

use App\Models\Drawing;
use App\Pictures\Drawings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Drawings of the booth, for whoever was given the address of one. */
final class DrawingController
{
    public function __construct(private readonly Drawings $drawings)
    {
    }

    /** Looking at one for the first time has it drawn. */
    public function state(string $sha, string $secret): JsonResponse
    {
        $drawing = self::known($sha, $secret);
        $this->drawings->want($drawing);

        return $this->told($drawing);
    }

    public function again(string $sha, string $secret): JsonResponse
    {
        $drawing = self::known($sha, $secret);
        $this->drawings->tryAgain($drawing);

        return $this->told($drawing);
    }

    private function told(Drawing $drawing): JsonResponse
    {
        return new JsonResponse([
            'state' => $drawing->state === 'known' ? 'waiting' : $drawing->state,
            'before' => $drawing->state === 'waiting' ? $this->drawings->before($drawing) : 0,
        ]);
    }

    public function picture(string $sha, string $secret): Response
    {
        $drawing = self::known($sha, $secret);
        if ($drawing->state !== 'ready') {
            throw new NotFoundHttpException('This picture is not drawn yet.');
        }

        return new Response($this->drawings->read($drawing), 200, [
            'Content-Type' => 'image/png',
            'Cache-Control' => 'private, max-age=31536000, immutable',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    private static function known(string $sha, string $secret): Drawing
    {
        if (! hash_equals(Drawings::key($sha), $secret)) {
            throw new NotFoundHttpException('There is no such picture.');
        }

        return Drawing::query()->findOrFail($sha);
    }
}
