<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\NotPlaced;
use App\Exceptions\SignedOffPieces;
use App\Jobs\MeasurePhotograph;
use App\Models\Photograph;
use App\Models\Piece;
use App\Models\User;
use App\Pictures\Drawings;
use App\Repositories\Figures;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\DB;
use InvalidArgumentException;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Photo\Placement;
use Ordotype\Core\Sculpt\View;

/** Photographs of models: kept, placed, measured by the worker, taken away while the model is not signed off. */
final class KeepPhotographs
{
    public function __construct(private readonly Figures $figures, private readonly ActivityLog $log)
    {
    }

    /** With the placement of the last one of its unit that was taken from this side, as a beginning. */
    public function keep(Piece $piece, string $sha256, View $view, User $by): Photograph
    {
        self::stillOpen($piece);
        $before = Photograph::query()
            ->whereIn('piece_id', Piece::query()->where('unit_id', $piece->unit_id)->select('id'))
            ->where('view', $view->value)
            ->whereNotNull('placement')
            ->latest('id')
            ->first();

        return DB::transaction(function () use ($piece, $sha256, $view, $by, $before): Photograph {
            $photograph = Photograph::query()->create([
                'piece_id' => $piece->id,
                'view' => $view->value,
                'sha256' => $sha256,
                'placement' => $before?->placement,
                'state' => 'kept',
                'made_by' => $by->id,
            ]);
            $this->log->write('photograph.kept', $photograph, null, ['piece' => $piece->id, 'sha256' => $sha256]);

            return $photograph;
        });
    }

    /**
     * @param  array{base_left: array{float, float}, base_right: array{float, float}, top: array{float, float},
     *     card: list<int>|null}  $placement
     *
     * @throws NotPlaced
     */
    public function place(Photograph $photograph, array $placement): Photograph
    {
        self::stillOpen($photograph->piece);
        $sculpt = $this->figures->of($photograph->piece->unit->sculpt);
        try {
            Placement::ofPoints(
                $sculpt,
                View::from($photograph->view),
                $placement['base_left'],
                $placement['base_right'],
                $placement['top'],
            );
        } catch (InvalidArgumentException $e) {
            throw new NotPlaced($e->getMessage());
        }

        return DB::transaction(function () use ($photograph, $placement): Photograph {
            $before = $photograph->placement;
            $photograph->update(['placement' => $placement, 'state' => 'waiting', 'measures' => null, 'said' => null]);
            $this->log->write('photograph.placed', $photograph, $before, $placement);
            MeasurePhotograph::dispatch($photograph->id)->onQueue(Drawings::QUEUE)->afterCommit();

            return $photograph;
        });
    }

    public function remove(Photograph $photograph): void
    {
        self::stillOpen($photograph->piece);
        DB::transaction(function () use ($photograph): void {
            $this->log->write('photograph.removed', $photograph, ['sha256' => $photograph->sha256], null);
            $photograph->delete();
        });
    }

    private static function stillOpen(Piece $piece): void
    {
        if (in_array($piece->stage, [Stage::Signed->value, Stage::Delivered->value], true)) {
            throw new SignedOffPieces([$piece->number]);
        }
    }
}
