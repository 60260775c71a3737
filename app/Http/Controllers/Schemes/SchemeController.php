<?php

declare(strict_types=1);

namespace App\Http\Controllers\Schemes;

use App\Actions\Schemes\EditScheme;
use App\Http\Requests\Bench\TestModelJudged;
use App\Http\Requests\ListAsked;
use App\Http\Requests\Schemes\NewScheme;
use App\Http\Requests\Schemes\SchemeEdited;
use App\Http\Requests\Schemes\SchemeTried;
use App\Http\Requests\Schemes\SchemeWanted;
use App\Models\Order;
use App\Models\Scheme;
use App\Queries\Schemes\SchemeOnFigures;
use App\Queries\Schemes\SchemeShown;
use App\Queries\Schemes\SchemesListed;
use Illuminate\Http\JsonResponse;
use Ordotype\Core\Format\SchemeFormat;

/**
 * The colours of armies, slot by slot over all figures of an order, in versions, with how their test models came out.
 */
final class SchemeController
{
    public function __construct(private readonly SchemeShown $shown, private readonly EditScheme $edit)
    {
    }

    public function index(ListAsked $asked, SchemesListed $schemes): JsonResponse
    {
        return new JsonResponse($schemes->page($asked->find(), $asked->cursor()));
    }

    public function show(SchemeWanted $given, string $slug): JsonResponse
    {
        return new JsonResponse($this->shown->of(self::named($slug), self::order($given->order())));
    }

    public function store(NewScheme $given, SchemeOnFigures $figures): JsonResponse
    {
        $document = $given->document();
        if ($given->fill()) {
            $document = SchemeFormat::write($figures->filled(SchemeFormat::read($document)));
        }

        return new JsonResponse($this->shown->of($this->edit->create($document), null), 201);
    }

    public function update(SchemeEdited $given, string $slug): JsonResponse
    {
        $scheme = $this->edit->edit(self::named($slug), $given->document(), $given->from(), $given->note());

        return new JsonResponse($this->shown->of($scheme, self::order($given->order())));
    }

    /** A scheme that is not kept yet. */
    public function attempt(SchemeTried $given, SchemeOnFigures $figures): JsonResponse
    {
        return new JsonResponse($figures->of(SchemeFormat::read($given->document()), self::order($given->order())));
    }

    public function judge(TestModelJudged $given, string $slug): JsonResponse
    {
        $scheme = $this->edit->judge(self::named($slug), $given->accepted(), $given->note(), $given->piece());

        return new JsonResponse($this->shown->of($scheme, null));
    }

    private static function named(string $slug): Scheme
    {
        return Scheme::query()->where('slug', $slug)->firstOrFail();
    }

    private static function order(?int $id): ?Order
    {
        return $id === null ? null : Order::query()->findOrFail($id);
    }
}
