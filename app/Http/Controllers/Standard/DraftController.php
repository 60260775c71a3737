<?php

declare(strict_types=1);

namespace App\Http\Controllers\Standard;

use App\Actions\Standard\EditStandard;
use App\Exceptions\StandardRefused;
use App\Http\Requests\OldRevision;
use App\Http\Requests\Standard\ClauseRemoved;
use App\Http\Requests\Standard\ClauseWritten;
use App\Http\Requests\Standard\DraftEdits;
use App\Http\Requests\Standard\EditsOnFigure;
use App\Http\Requests\Standard\Publication;
use App\Queries\Standard\EditOnFigure;
use App\Queries\Standard\EditOnStudio;
use App\Queries\Standard\LadderShown;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ordotype\Core\Format\Json;

/** The draft of the standard: opened, edited, tried on a figure before an edit is kept, published. */
final class DraftController
{
    public function __construct(private readonly EditStandard $edit, private readonly LadderShown $ladder)
    {
    }

    public function open(Request $request): JsonResponse
    {
        return new JsonResponse($this->ladder->of($this->edit->open(), $request->user()), 201);
    }

    public function write(ClauseWritten $given): JsonResponse
    {
        $row = $this->edit->write($given->tier(), $given->clause(), $given->revision());

        return new JsonResponse([
            'tier' => $row->tier,
            'clause' => Json::decode($row->body),
            'revision' => $row->revision,
            'draft_revision' => $row->version()->value('revision'),
        ]);
    }

    public function remove(ClauseRemoved $given): JsonResponse
    {
        $this->edit->remove($given->tier(), $given->clause(), $given->revision());

        return new JsonResponse(null, 204);
    }

    /** Several changes at once, each from what it was to what it is to be. */
    public function change(DraftEdits $given): JsonResponse
    {
        $edits = $given->edits();
        if ($edits === []) {
            throw StandardRefused::nothingToChange();
        }
        [$draft, $made, $notOffered] = $this->edit->change($edits);

        return new JsonResponse([
            'draft_revision' => $draft->revision,
            'changes' => array_map($this->ladder->edit(...), $made),
            'not_offered' => $notOffered,
        ]);
    }

    public function publish(Publication $given): JsonResponse
    {
        return new JsonResponse(
            $this->ladder->of($this->edit->publish($given->revision(), $given->note()), $given->person()),
            201,
        );
    }

    public function discard(OldRevision $given): JsonResponse
    {
        $this->edit->discard($given->revision());

        return new JsonResponse(null, 204);
    }

    /** What changes that are not kept yet do to a figure. */
    public function attempt(EditsOnFigure $given, EditOnFigure $tried): JsonResponse
    {
        return new JsonResponse($tried->of($given->edits(), $given->tier(), $given->sculpt()));
    }

    /** What they do to the whole ladder and to open orders. */
    public function consequences(DraftEdits $given, EditOnStudio $tried): JsonResponse
    {
        return new JsonResponse($tried->of($given->edits()));
    }
}
