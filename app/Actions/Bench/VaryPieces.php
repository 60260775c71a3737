<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\BenchRefused;
use App\Exceptions\FigureRefused;
use App\Models\AmendmentRow;
use App\Models\StepLog;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Planning\Unit\LateVariants;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Words\PlanWords;

/**
 * Late variants: finished models of a unit that looks like clones get something more, go back to the bench for it, and
 * are varnished and looked at again.
 */
final class VaryPieces
{
    public function __construct(
        private readonly NextRelease $next,
        private readonly Releases $releases,
        private readonly ActivityLog $log,
    ) {
    }

    /** @param  list<int>  $pieces  ids */
    public function __invoke(Unit $unit, array $pieces, string $area, string $technique, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $pieces, $area, $technique, $revision): Unit {
            $unit = $this->next->locked($unit, $revision) ?? throw BenchRefused::notReleased($unit);
            $found = $unit->pieces->whereIn('id', $pieces);
            if ($found->isEmpty() || $found->count() !== count(array_unique($pieces))) {
                throw BenchRefused::noSuchPieces();
            }
            NextRelease::noneSigned($found);
            $this->canBe($unit, $area, $technique);
            $amendment = Json::encode([
                'level' => 'piece',
                'do' => 'add',
                'clause' => null,
                'technique' => $technique,
                'scope' => ['area' => [$area]],
                'values' => (object) [],
                'reason' => 'So that the models do not look like clones.',
                'price' => null,
                'on' => null,
            ]);
            foreach ($found as $piece) {
                $of = ['piece_id' => $piece->id, 'made_by' => Auth::id()];
                AmendmentRow::query()->create($of + ['body' => $amendment]);
            }
            $again = array_map(
                fn (Family $f) => $f->value,
                array_filter(Family::cases(), fn (Family $f) => $f->isDoneAgain()),
            );
            $unit = $this->next->keep(
                $unit,
                fn (StepLog $log) => in_array($log->family, $again, true),
                array_values($found->pluck('id')->all()),
            );
            $this->log->write('unit.late_variants', $unit, null, [
                'pieces' => $found->pluck('code')->all(),
                'area' => $area,
                'technique' => $technique,
            ]);

            return $unit->refresh();
        });
    }

    private function canBe(Unit $unit, string $area, string $technique): void
    {
        $request = $this->releases->of($unit)->request;
        if (! $request->sculpt->has($area)) {
            throw FigureRefused::noSuchArea($area, $request->sculpt->name, '/area');
        }
        $there = $request->sculpt->area($area);
        $keys = array_map(fn (Technique $t) => $t->key, LateVariants::on($there, $request->standard->techniques));
        if (! in_array($technique, $keys, true)) {
            throw BenchRefused::noSuchVariant(PlanWords::area($there));
        }
    }
}
