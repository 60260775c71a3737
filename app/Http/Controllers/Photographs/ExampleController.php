<?php

declare(strict_types=1);

namespace App\Http\Controllers\Photographs;

use App\Actions\Photographs\KeepExamples;
use App\Http\Requests\Photographs\NewExample;
use App\Models\Example;
use App\Queries\Photographs\ExamplesShown;
use Illuminate\Http\JsonResponse;

/** Details of signed-off work, kept as examples of a tier. */
final class ExampleController
{
    public function __construct(private readonly ExamplesShown $shown)
    {
    }

    public function index(): JsonResponse
    {
        return new JsonResponse($this->shown->all());
    }

    public function store(NewExample $given, KeepExamples $keep): JsonResponse
    {
        $keep->keep($given->photograph(), $given->area(), $given->person());

        return new JsonResponse($this->shown->all(), 201);
    }

    public function remove(Example $example, KeepExamples $keep): JsonResponse
    {
        $keep->remove($example);

        return new JsonResponse(null, 204);
    }
}
