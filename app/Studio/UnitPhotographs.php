<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Photograph;
use App\Models\Piece;
use App\Models\Unit;
use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\MeasureFormat;
use Ordotype\Core\Picture\Photo\AreaMeasure;
use Ordotype\Core\Sculpt\Sculpt;

/** What the photographs of a unit's models say, the newest of each model and side. */
final class UnitPhotographs
{
    /** @return array<int, array<string, Photograph>> by number of the model, then by view: the newest measured one */
    public function newest(Unit $unit): array
    {
        $newest = [];
        $measured = Photograph::query()
            ->with(['piece:id,number', 'picture'])
            ->whereIn('piece_id', Piece::query()->where('unit_id', $unit->id)->select('id'))
            ->where('state', 'measured')
            ->orderBy('id')
            ->get();
        foreach ($measured as $photograph) {
            $newest[$photograph->piece->number ?? 0][$photograph->view] = $photograph;
        }
        ksort($newest);

        return $newest;
    }

    /** @return array<string, AreaMeasure> by area key */
    public static function measures(?string $written, Sculpt $sculpt): array
    {
        return $written === null ? [] : MeasureFormat::read(Json::decode($written), $sculpt);
    }

    /**
     * The colours of every model that was photographed from a side with a grey card.
     *
     * @return array<int, array<string, Lab>> by number of the model, then by area key
     */
    public function colours(Unit $unit, string $view, Sculpt $sculpt): array
    {
        $models = [];
        foreach ($this->newest($unit) as $number => $views) {
            $photograph = $views[$view] ?? null;
            if ($photograph === null || ! isset($photograph->placement['card'])) {
                continue;
            }
            foreach (self::measures($photograph->measures, $sculpt) as $key => $measure) {
                if ($measure->colour !== null && ! $measure->area->isMetal()) {
                    $models[$number][$key] = $measure->colour;
                }
            }
        }

        return $models;
    }
}
