<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Sculpt;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Sculpt\Sculpt as CoreSculpt;

/** Maps of figures as the core takes them. */
final class Figures
{
    public function of(Sculpt $sculpt): CoreSculpt
    {
        return SculptFormat::read(Json::decode($sculpt->document));
    }

    /** @throws ModelNotFoundException<Sculpt> */
    public function named(string $slug): CoreSculpt
    {
        return $this->of(Sculpt::query()->where('slug', $slug)->firstOrFail());
    }

    /** @return list<CoreSculpt> every figure of the studio, the oldest first */
    public function all(): array
    {
        return array_values(Sculpt::query()->orderBy('id')->get()->map($this->of(...))->all());
    }
}
