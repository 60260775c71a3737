<?php

declare(strict_types=1);

namespace App\Actions\Photographs;

use App\Exceptions\BenchRefused;
use App\Exceptions\Conflict;
use App\Exceptions\PictureRefused;
use App\Jobs\MeasurePhotograph;
use App\Models\Photograph;
use App\Models\Picture;
use App\Models\Piece;
use App\Models\Sculpt;
use App\Models\Unit;
use App\Models\User;
use App\Pictures\Drawings;
use App\Pictures\Finding;
use App\Repositories\Figures;
use App\Studio\ActivityLog;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use InvalidArgumentException;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Sculpt\View;

/** Photographs of models: kept, placed, measured by the worker, taken away while the model is not signed off. */
final class KeepPhotographs
{
    public function __construct(
        private readonly Figures $figures,
        private readonly ActivityLog $log,
        private readonly Finding $finding,
    ) {
    }

    /**
     * With the placement of the last one of its unit that was taken from this side, or what can be found in it, as a
     * beginning.
     */
    public function keep(Piece $piece, string $sha256, View $view, User $by): Photograph
    {
        self::stillOpen($piece);
        $before = Photograph::query()
            ->whereIn('piece_id', Piece::query()->where('unit_id', $piece->unit_id)->select('id'))
            ->where('view', $view->value);

        $as = ['piece_id' => $piece->id, 'view' => $view->value, 'sha256' => $sha256];

        return $this->kept($as, $before, $piece->unit->sculpt, $by);
    }

    /** @param  'undercoated'|'bare'  $shows */
    public function keepOfFigure(Sculpt $sculpt, string $sha256, View $view, string $shows, User $by): Photograph
    {
        $of = ['sculpt_id' => $sculpt->id, 'view' => $view->value, 'shows' => $shows];

        return $this->kept($of + ['sha256' => $sha256], Photograph::query()->where($of), $sculpt, $by);
    }

    /**
     * @param  array<string, int|string>  $as
     * @param  Builder<Photograph>  $before  of the same set-up
     */
    private function kept(array $as, Builder $before, Sculpt $sculpt, User $by): Photograph
    {
        $picture = Picture::query()->findOrFail($as['sha256']);
        // Points in pixels say nothing in a picture of another size.
        $alike = ['width' => $picture->width, 'height' => $picture->height];
        $placement = $before
            ->whereNotNull('placement')
            ->whereHas('picture', fn ($q) => $q->where($alike))
            ->latest('id')
            ->first()?->placement;
        $placement ??= $this->finding->in($picture, $sculpt, View::from((string) $as['view']));

        return DB::transaction(function () use ($as, $placement, $by): Photograph {
            $photograph = Photograph::query()->create(
                $as + ['placement' => $placement, 'state' => 'kept', 'made_by' => $by->id],
            );
            $this->log->write('photograph.kept', $photograph, null, $as);

            return $photograph->refresh();
        });
    }

    /**
     * @param  array{base_left: array{float, float}, base_right: array{float, float}, top: array{float, float},
     *     card: list<int>|null, shifts?: array<string, list<float>>}  $placement
     * @param  int  $revision  of the placement that was looked at
     *
     * @throws PictureRefused
     */
    public function place(Photograph $photograph, array $placement, int $revision): Photograph
    {
        self::stillOpen($photograph->piece);
        $sculpt = $this->figures->of($photograph->figure());
        try {
            Placement::ofPoints(
                $sculpt,
                View::from($photograph->view),
                $placement['base_left'],
                $placement['base_right'],
                $placement['top'],
            );
        } catch (InvalidArgumentException $e) {
            throw PictureRefused::notPlaced($e->getMessage());
        }

        return DB::transaction(function () use ($photograph, $placement, $revision): Photograph {
            $photograph = Photograph::query()->lockForUpdate()->findOrFail($photograph->id);
            if ($photograph->revision !== $revision) {
                throw Conflict::photograph($photograph);
            }
            $before = $photograph->placement;
            $photograph->update([
                'placement' => $placement,
                'state' => $photograph->piece_id === null ? 'kept' : 'waiting',
                'measures' => null,
                'said' => null,
                'revision' => $revision + 1,
            ]);
            $this->log->write('photograph.placed', $photograph, $before, $placement);
            if ($photograph->piece_id !== null) {
                MeasurePhotograph::dispatch($photograph->id)->onQueue(Drawings::QUEUE)->afterCommit();
            } elseif ($photograph->shows === 'undercoated') {
                $this->measureAnew($photograph);
            }

            return $photograph;
        });
    }

    /** What is not signed off and was photographed from the same side is measured with the light that is known now. */
    private function measureAnew(Photograph $undercoated): void
    {
        $open = Piece::query()
            ->whereIn('unit_id', Unit::query()->where('sculpt_id', $undercoated->sculpt_id)->select('id'))
            ->whereNotIn('stage', [Stage::Signed->value, Stage::Delivered->value]);
        $ids = Photograph::query()
            ->whereIn('piece_id', $open->select('id'))
            ->where(['view' => $undercoated->view, 'state' => 'measured'])
            ->pluck('id');
        foreach ($ids as $id) {
            MeasurePhotograph::dispatch((int) $id)->onQueue(Drawings::QUEUE)->afterCommit();
        }
    }

    public function remove(Photograph $photograph): void
    {
        self::stillOpen($photograph->piece);
        DB::transaction(function () use ($photograph): void {
            // Removed by several at once, it is removed once.
            if (Photograph::query()->lockForUpdate()->find($photograph->id) === null) {
                return;
            }
            $this->log->write('photograph.removed', $photograph, ['sha256' => $photograph->sha256], null);
            $photograph->delete();
        });
    }

    /** @param  int|null  $number  of the model that the others are compared with; null: none any more */
    public function testModel(Unit $unit, ?int $number): Unit
    {
        $piece = $number === null ? null : $unit->pieces()->where('number', $number)->firstOrFail();

        return DB::transaction(function () use ($unit, $piece): Unit {
            $unit = Unit::query()->lockForUpdate()->findOrFail($unit->id);
            $before = $unit->test_piece_id;
            $unit->update(['test_piece_id' => $piece?->id]);
            $this->log->write('unit.test_model', $unit, $before, $piece?->id);

            return $unit;
        });
    }

    private static function stillOpen(?Piece $piece): void
    {
        if ($piece !== null && in_array($piece->stage, [Stage::Signed->value, Stage::Delivered->value], true)) {
            throw BenchRefused::signedOff([$piece->number]);
        }
    }
}
