<?php

declare(strict_types=1);

namespace App\Http\Controllers\Figures;

use App\Actions\Figures\KeepSculpt;
use App\Http\Requests\Figures\MapEdited;
use App\Http\Requests\Figures\MapSent;
use App\Http\Requests\ListAsked;
use App\Http\Requests\Photographs\PictureSent;
use App\Models\Picture;
use App\Models\Sculpt;
use App\Queries\Figures\MapShown;
use App\Queries\Figures\MapTried;
use App\Studio\Pictures;
use App\Studio\Templates;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Ordotype\Core\Format\Json;

/** Maps of figures, made from a picture or a schematic, checked as they grow. */
final class SculptController
{
    public function __construct(private readonly MapShown $shown)
    {
    }

    public function index(ListAsked $asked): JsonResponse
    {
        return new JsonResponse($this->shown->page($asked->find(), $asked->cursor()));
    }

    public function templates(Templates $templates): JsonResponse
    {
        return new JsonResponse(['data' => $templates->all()]);
    }

    public function show(string $slug): JsonResponse
    {
        return new JsonResponse($this->shown->of(self::named($slug)));
    }

    public function store(MapSent $given, KeepSculpt $keep): JsonResponse
    {
        return new JsonResponse($this->shown->of($keep->create($given->document())), 201);
    }

    public function update(MapEdited $given, string $slug, KeepSculpt $keep): JsonResponse
    {
        $sculpt = $keep->edit(self::named($slug), $given->document(), $given->pictures(), $given->revision());

        return new JsonResponse($this->shown->of($sculpt));
    }

    public function attempt(MapSent $given, MapTried $tried): JsonResponse
    {
        return new JsonResponse($tried->of($given->document()));
    }

    public function export(string $slug): Response
    {
        $sculpt = self::named($slug);

        return new Response(Json::encode(Json::decode($sculpt->document))."\n", 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"$sculpt->slug.json\"",
        ]);
    }

    public function takePicture(PictureSent $given, Pictures $pictures): JsonResponse
    {
        $picture = $pictures->take($given->bytes());

        return new JsonResponse(
            ['sha256' => $picture->sha256, 'width' => $picture->width, 'height' => $picture->height],
            201,
        );
    }

    public function picture(string $sha, Pictures $pictures): Response
    {
        return $pictures->answered(Picture::query()->findOrFail($sha));
    }

    private static function named(string $slug): Sculpt
    {
        return Sculpt::query()->where('slug', $slug)->firstOrFail();
    }
}
