<?php

declare(strict_types=1);

namespace App\Actions\Figures;

use App\Exceptions\Conflict;
use App\Exceptions\FigureRefused;
use App\Models\Sculpt;
use App\Models\Unit;
use App\Repositories\Figures;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt as CoreSculpt;
use stdClass;

/**
 * Keeps maps of figures. What is being painted from a map keeps its areas; outlines and pictures can always be
 * bettered.
 */
final class KeepSculpt
{
    public function __construct(private readonly ActivityLog $log, private readonly Figures $figures)
    {
    }

    public function create(stdClass $document): Sculpt
    {
        $document->format = SculptFormat::WORD;
        $read = SculptFormat::readAnew($document);

        return DB::transaction(function () use ($read, $document): Sculpt {
            $slug = Str::slug($read->name);
            if ($slug === '' || Sculpt::query()->where('slug', $slug)->exists()) {
                throw FigureRefused::nameTaken($read->name);
            }
            $sculpt = Sculpt::query()->create([
                'slug' => $slug,
                'name' => $read->name,
                'role' => $read->role->value,
                'size' => $read->size->value,
                'document' => Json::encode($document),
            ]);
            $this->log->write('sculpt.made', $sculpt, null, CanonicalJson::encode($document));

            return $sculpt->refresh();
        });
    }

    /** @param  array{front?: string|null, back?: string|null}  $pictures  those that change */
    public function edit(Sculpt $sculpt, stdClass $document, array $pictures, int $revision): Sculpt
    {
        $document->format = SculptFormat::WORD;
        $read = SculptFormat::readAnew($document);

        return DB::transaction(function () use ($sculpt, $read, $document, $pictures, $revision): Sculpt {
            $sculpt = Sculpt::query()->lockForUpdate()->findOrFail($sculpt->id);
            if ($sculpt->revision !== $revision) {
                throw Conflict::figure($sculpt);
            }
            $painted = Unit::query()->where('sculpt_id', $sculpt->id)->whereNotNull('released_at')->count();
            if ($painted > 0 && self::bones($read) !== self::bones($this->figures->of($sculpt))) {
                throw FigureRefused::inUse($painted);
            }
            $before = $sculpt->document;
            $sculpt->update(
                [
                    'name' => $read->name,
                    'role' => $read->role->value,
                    'size' => $read->size->value,
                    'document' => Json::encode($document),
                    'revision' => $sculpt->revision + 1,
                ] +
                    (array_key_exists('front', $pictures) ? ['picture_front' => $pictures['front']] : []) +
                    (array_key_exists('back', $pictures) ? ['picture_back' => $pictures['back']] : []),
            );
            $this->log->write('sculpt.edited', $sculpt, $before, $sculpt->document);

            return $sculpt->refresh();
        });
    }

    /** Everything of a map that planning depends on: all but outlines and names. */
    private static function bones(CoreSculpt $sculpt): string
    {
        return serialize([
            $sculpt->role,
            $sculpt->size,
            $sculpt->surfaceCm2,
            $sculpt->definition(),
            array_map(
                fn (Area $a) => [
                    $a->key,
                    $a->material,
                    $a->relief,
                    $a->rank,
                    $a->focus,
                    $a->facing,
                    $a->layer,
                    $a->sharePct,
                    $a->count,
                    $a->access,
                    $a->part,
                    $a->touches,
                    $a->surround,
                    $a->slot,
                ],
                $sculpt->areas,
            ),
        ]);
    }
}
