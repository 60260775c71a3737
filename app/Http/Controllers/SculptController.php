<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSculpt;
use App\Models\Picture;
use App\Models\Sculpt;
use App\Models\Unit;
use App\Queries\FigureShown;
use App\Studio\Pictures;
use App\Studio\Refusal;
use App\Studio\Templates;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Problem\FormatException;
use Ordotype\Core\Problem\Problem;
use Ordotype\Core\Sculpt\MapCheck;
use Ordotype\Core\Sculpt\MapFinding;
use Ordotype\Core\Sculpt\OutlinedSurface;
use Ordotype\Core\Words\MapWords;
use stdClass;

/** Maps of figures, made from a picture or a schematic, checked as they grow. */
final class SculptController
{
    public function index(): JsonResponse
    {
        return new JsonResponse([
            'data' => Sculpt::query()
                ->orderBy('name')
                ->get()
                ->map(function (Sculpt $s): array {
                    $core = UnitPlans::sculpt($s);

                    return [
                        'slug' => $s->slug,
                        'name' => $s->name,
                        'role' => $s->role,
                        'size' => $s->size,
                        'areas' => count($core->areas),
                        'outlined' => count(array_filter($core->areas, fn ($a) => $a->outline !== [])),
                        'frame_mm' => $core->frameMm ?? [60, 80],
                        'figure' => FigureShown::of($core, null, UnitPlans::shelf()),
                    ];
                })
                ->all(),
            'templates' => Templates::all(),
        ]);
    }

    public function show(string $slug): JsonResponse
    {
        return new JsonResponse($this->written(Sculpt::query()->where('slug', $slug)->firstOrFail()));
    }

    public function store(Request $request, KeepSculpt $keep): JsonResponse
    {
        return new JsonResponse($this->written($keep->create($this->document($request))), 201);
    }

    public function update(Request $request, string $slug, KeepSculpt $keep): JsonResponse
    {
        $given = $request->validate([
            'revision' => ['required', 'integer'],
            'document' => ['required', 'array'],
            'pictures' => ['nullable', 'array:front,back'],
            'pictures.front' => ['nullable', 'string', 'exists:pictures,sha256'],
            'pictures.back' => ['nullable', 'string', 'exists:pictures,sha256'],
        ]);
        $sculpt = $keep->edit(
            Sculpt::query()->where('slug', $slug)->firstOrFail(),
            $this->document($request),
            $given['pictures'] ?? [],
            (int) $given['revision'],
        );

        return new JsonResponse($this->written($sculpt));
    }

    /**
     * A map that is not kept yet: what its format refuses, what is odd about it, and the shares its outlines propose.
     */
    public function attempt(Request $request): JsonResponse
    {
        $request->validate(['document' => ['required', 'array']]);
        $document = $this->document($request);
        $problems = [];
        try {
            $sculpt = SculptFormat::read($document);
        } catch (FormatException $e) {
            $problems = array_map(fn (Problem $p) => ['pointer' => $p->path, 'detail' => $p->reason], $e->problems);
            try {
                // Shares that do not make 100 yet are no reason not to look at the outlines that propose them.
                $sculpt = SculptFormat::read(self::sharedOut($document));
            } catch (FormatException) {
                return new JsonResponse(['problems' => $problems, 'findings' => [], 'shares' => new stdClass()]);
            }
        }

        return new JsonResponse([
            'problems' => $problems,
            'findings' => array_map(
                fn (MapFinding $f) => [
                    'kind' => $f->kind->value,
                    'area' => $f->area?->key,
                    'text' => MapWords::of($f),
                ],
                (new MapCheck($sculpt))->findings(),
            ),
            'shares' => (object) (new OutlinedSurface($sculpt))->shares(),
        ]);
    }

    private static function sharedOut(stdClass $document): stdClass
    {
        $copy = Json::decode(Json::encode($document));
        assert($copy instanceof stdClass);
        $areas = is_array($copy->areas ?? null)
            ? array_filter(
                $copy->areas,
                fn (mixed $a) => $a instanceof stdClass && is_numeric($a->share_pct ?? null) && $a->share_pct > 0,
            )
            : [];
        $sum = array_sum(array_map(fn (stdClass $a) => (float) $a->share_pct, $areas));
        foreach ($sum > 0.0 ? $areas : [] as $area) {
            $area->share_pct = (100 * $area->share_pct) / $sum;
        }

        return $copy;
    }

    public function export(string $slug): Response
    {
        $sculpt = Sculpt::query()->where('slug', $slug)->firstOrFail();

        return new Response(Json::encode(Json::decode($sculpt->document))."\n", 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"$sculpt->slug.json\"",
        ]);
    }

    public function takePicture(Request $request): JsonResponse
    {
        $file = $request->file('picture');
        if (! ($file instanceof UploadedFile) || ! $file->isValid()) {
            throw new Refusal(
                'Send the picture as a file of at most '.(int) (Pictures::MAX_BYTES / 1_000_000).' MB.',
                '/picture',
            );
        }
        $picture = Pictures::take((string) file_get_contents($file->getRealPath()));

        return new JsonResponse(
            ['sha256' => $picture->sha256, 'width' => $picture->width, 'height' => $picture->height],
            201,
        );
    }

    public function picture(string $sha): Response
    {
        $picture = Picture::query()->findOrFail($sha);

        return new Response(Pictures::read($picture), 200, [
            'Content-Type' => $picture->mime,
            'Cache-Control' => 'private, max-age=31536000, immutable',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    /** @return array<string, mixed> */
    private function written(Sculpt $sculpt): array
    {
        $core = UnitPlans::sculpt($sculpt);

        return [
            'slug' => $sculpt->slug,
            'name' => $sculpt->name,
            'revision' => $sculpt->revision,
            'document' => Json::decode($sculpt->document),
            'pictures' => ['front' => $sculpt->picture_front, 'back' => $sculpt->picture_back],
            'on_bench' => Unit::query()->where('sculpt_id', $sculpt->id)->whereNotNull('released_at')->count(),
            'findings' => array_map(
                fn (MapFinding $f) => [
                    'kind' => $f->kind->value,
                    'area' => $f->area?->key,
                    'text' => MapWords::of($f),
                ],
                (new MapCheck($core))->findings(),
            ),
        ];
    }

    private function document(Request $request): stdClass
    {
        $body = Json::decode($request->getContent());
        $document = $body instanceof stdClass ? $body->document ?? null : null;
        if (! ($document instanceof stdClass)) {
            throw new Refusal('"document" must be an object.', '/document');
        }
        $document->format = SculptFormat::WORD;

        return $document;
    }
}
