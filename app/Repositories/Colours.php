<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Paint;
use App\Models\Scheme;
use App\Models\Unit;
use Ordotype\Core\Colour\Hiding;
use Ordotype\Core\Colour\Paint as CorePaint;
use Ordotype\Core\Colour\Scheme as CoreScheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SchemeFormat;

/** Schemes and the shelf of paints as the core takes them. */
final class Colours
{
    public function scheme(?Scheme $scheme): ?CoreScheme
    {
        return $scheme === null ? null : SchemeFormat::read(Json::decode($scheme->document));
    }

    /** The colours of a unit: of its order's scheme, once it is on the bench in the version it was released with. */
    public function ofUnit(Unit $unit): ?CoreScheme
    {
        $scheme = $unit->order->scheme;
        if ($scheme === null || $unit->scheme_number === null || $unit->scheme_number === $scheme->number) {
            return $this->scheme($scheme);
        }

        return SchemeFormat::read(
            Json::decode($scheme->versions()->where('number', $unit->scheme_number)->firstOrFail()->document),
        );
    }

    /** The scheme that figures are shown in where no order says which. */
    public function usual(): ?CoreScheme
    {
        return $this->scheme(Scheme::query()->orderBy('id')->first());
    }

    public function shelf(): Shelf
    {
        $paints = Paint::query()
            ->orderBy('id')
            ->get()
            ->map(
                fn (Paint $p) => new CorePaint(
                    $p->name,
                    $p->kind,
                    Srgb::fromHex($p->hex),
                    Hiding::from($p->hiding),
                    (float) $p->ml,
                ),
            );

        return new Shelf(array_values($paints->all()));
    }
}
