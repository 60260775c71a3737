<?php

declare(strict_types=1);

namespace App\Http\Controllers\Schemes;

use App\Actions\Schemes\ShelvePaint;
use App\Actions\Schemes\ShelveTable;
use App\Http\Requests\ListAsked;
use App\Http\Requests\Schemes\NewPaint;
use App\Http\Requests\Schemes\PaintEdited;
use App\Http\Requests\Schemes\TableOfPaints;
use App\Http\Resources\Schemes\PaintBrief;
use App\Models\Paint as PaintRow;
use App\Queries\Schemes\PaintsListed;
use Illuminate\Http\JsonResponse;
use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Colour\PaintFault;
use Ordotype\Core\Words\SchemeWords;

/** The shelf of paints. */
final class PaintController
{
    public function index(ListAsked $asked, PaintsListed $paints): JsonResponse
    {
        return new JsonResponse($paints->page($asked->find(), $asked->cursor()));
    }

    /** A table as it is understood; kept, what the shelf does not have yet stands there. */
    public function table(TableOfPaints $given, ShelveTable $shelve): JsonResponse
    {
        $table = $shelve->read($given->table(), $given->columns());
        $new = $shelve->missing($table);
        $added = $given->keep() ? $shelve($table) : 0;

        return new JsonResponse([
            'headers' => $table->headers,
            'columns' => $table->columns,
            'paints' => array_map(
                fn (Paint $p) => [
                    'name' => $p->name,
                    'kind' => $p->kind,
                    'hex' => $p->colour->hex(),
                    'hiding' => $p->hiding->value,
                    'ml' => $p->ml,
                ],
                $new,
            ),
            'there' => count($table->paints) - count($new),
            'wrong' => array_map(
                fn (int $line, PaintFault $fault) => ['line' => $line, 'why' => SchemeWords::paint($fault)],
                array_keys($table->faults),
                $table->faults,
            ),
            'added' => $added,
        ]);
    }

    public function update(PaintEdited $given, PaintRow $paint, ShelvePaint $shelve): JsonResponse
    {
        return new JsonResponse(new PaintBrief($shelve->edit($paint, $given->facts())));
    }

    public function store(NewPaint $given, ShelvePaint $shelve): JsonResponse
    {
        return new JsonResponse(new PaintBrief($shelve($given->facts())), 201);
    }
}
