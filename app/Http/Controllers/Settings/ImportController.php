<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Actions\Settings\ImportDocument;
use App\Actions\Settings\LongImports;
use App\Exceptions\ImportRefused;
use App\Http\Resources\Settings\ImportState;
use App\Models\Import;
use App\Models\User;
use App\Studio\Packs;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Documents in the open formats, in and out. */
final class ImportController
{
    public function __construct(private readonly Packs $packs, private readonly LongImports $long)
    {
    }

    /** The file itself is the body. All of it is taken in, or nothing; a long one by the worker. */
    public function store(Request $request, ImportDocument $import): JsonResponse
    {
        $text = $this->file($request);
        if (! LongImports::isLong($text)) {
            return new JsonResponse(['said' => $import->text($text)], 201);
        }
        $by = $request->user();
        assert($by instanceof User);

        return new JsonResponse(['import' => new ImportState($this->long->queue($text, $by))], 202);
    }

    /** How far a long file is. */
    public function state(Import $import): JsonResponse
    {
        return new JsonResponse(new ImportState($import));
    }

    public function callOff(Import $import): JsonResponse
    {
        return new JsonResponse(new ImportState($this->long->callOff($import)));
    }

    /** What taking a pack in would change, without doing it. */
    public function preview(Request $request): JsonResponse
    {
        return new JsonResponse($this->packs->preview($this->file($request)));
    }

    public function packs(): JsonResponse
    {
        return new JsonResponse(['data' => $this->packs->shipped()]);
    }

    public function pack(string $pack): Response
    {
        return new Response($this->packs->text($pack), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"$pack.json\"",
        ]);
    }

    private function file(Request $request): string
    {
        $text = (string) $request->getContent();
        if (trim($text) === '' || trim($text) === '[]' || trim($text) === '{}') {
            throw ImportRefused::empty();
        }
        if (strlen($text) > 8_000_000) {
            throw ImportRefused::tooLarge(8);
        }

        return $text;
    }
}
