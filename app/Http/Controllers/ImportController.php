<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ImportDocument;
use App\Studio\Packs;
use App\Studio\Refusal;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Documents in the open formats, in and out. */
final class ImportController
{
    /** The file itself is the body. All of it is taken in, or nothing. */
    public function store(Request $request, ImportDocument $import): JsonResponse
    {
        return new JsonResponse(['said' => $import->text($this->file($request))], 201);
    }

    /** What taking a pack in would change, without doing it. */
    public function preview(Request $request): JsonResponse
    {
        return new JsonResponse(Packs::preview($this->file($request)));
    }

    public function packs(): JsonResponse
    {
        return new JsonResponse(['data' => Packs::shipped()]);
    }

    public function pack(string $pack): Response
    {
        return new Response(Packs::text($pack), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"$pack.json\"",
        ]);
    }

    private function file(Request $request): string
    {
        $text = (string) $request->getContent();
        if (trim($text) === '' || trim($text) === '[]' || trim($text) === '{}') {
            throw new Refusal('The file is empty.');
        }
        if (strlen($text) > 8_000_000) {
            throw new Refusal('The file is larger than 8 MB.', '', 413);
        }

        return $text;
    }
}
