<?php

declare(strict_types=1);

namespace App\Actions\Photographs;

use App\Exceptions\PictureRefused;
use App\Models\Example;
use App\Models\Photograph;
use App\Models\User;
use App\Pictures\Measuring;
use App\Repositories\Figures;
use App\Studio\ActivityLog;
use App\Studio\Pictures;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Sculpt\Area;

/** Keeps details of photographs of signed-off models as examples of their tier. */
final class KeepExamples
{
    /** Share of its size that is shown around the area. */
    private const AROUND = 0.08;

    public function __construct(
        private readonly Figures $figures,
        private readonly Pictures $pictures,
        private readonly ActivityLog $log,
    ) {
    }

    /** Kept twice it is kept once. */
    public function keep(Photograph $photograph, string $areaKey, User $by): Example
    {
        $piece = $photograph->piece;
        if ($piece === null || ! in_array($piece->stage, [Stage::Signed->value, Stage::Delivered->value], true)) {
            throw PictureRefused::noSuchDetail('Only a model that is signed off shows what its tier looks like.');
        }
        $sculpt = $this->figures->of($photograph->figure());
        if ($photograph->placement === null || ! $sculpt->has($areaKey)) {
            throw PictureRefused::noSuchDetail(
                'Lay the outlines over the photograph first, and name an area that it shows.',
            );
        }
        $area = $sculpt->area($areaKey);
        $bytes = $this->cut($photograph, $area, Measuring::placed($photograph, $sculpt));
        $of = ['tier' => $piece->unit->tier, 'photograph_id' => $photograph->id, 'area' => $area->name];
        $picture = $this->pictures->take($bytes);

        return DB::transaction(function () use ($of, $area, $picture, $by): Example {
            $example = Example::query()->firstOrCreate(
                $of,
                ['material' => $area->material->value, 'sha256' => $picture->sha256, 'made_by' => $by->id],
            );
            $this->log->write('example.kept', $example, null, $of);

            return $example;
        });
    }

    public function remove(Example $example): void
    {
        DB::transaction(function () use ($example): void {
            $this->log->write('example.removed', $example, ['sha256' => $example->sha256], null);
            $example->delete();
        });
    }

    /** @return string a picture file of the box about the area's outlines */
    private function cut(Photograph $photograph, Area $area, Placement $placement): string
    {
        $xs = $ys = [];
        foreach ($area->outline[$photograph->view] ?? [] as $ring) {
            foreach ($ring as $point) {
                [$xs[], $ys[]] = $placement->atOf($area->key, $point);
            }
        }
        if ($xs === []) {
            throw PictureRefused::noSuchDetail("$area->name is not seen from this side.");
        }
        $more = self::AROUND * max(max($xs) - min($xs), max($ys) - min($ys));
        $left = (int) max(0, min($xs) - $more);
        $top = (int) max(0, min($ys) - $more);
        $width = (int) min($photograph->picture->width - $left, max($xs) - min($xs) + 2 * $more);
        $height = (int) min($photograph->picture->height - $top, max($ys) - min($ys) + 2 * $more);
        $image = imagecreatefromstring($this->pictures->read($photograph->picture));
        $cut = $image === false || $width < 1 || $height < 1
            ? false
            : imagecrop($image, ['x' => $left, 'y' => $top, 'width' => $width, 'height' => $height]);
        if ($cut === false) {
            throw PictureRefused::noSuchDetail("$area->name lies beside the photograph.");
        }
        ob_start();
        imagepng($cut);

        return (string) ob_get_clean();
    }
}
