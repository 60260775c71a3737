<?php

declare(strict_types=1);

namespace App\Queries\Check;

use App\Models\Check;
use App\Models\LotRow;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Repositories\Releases;
use App\Studio\Checks;
use App\Studio\LeftOut;
use App\Studio\UnitPhotographs;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Words\CheckWords;

/**
 * All models of a unit that are offered, or those of them that were drawn, side by side, with how far each look of
 * theirs is.
 */
final class TrayShown
{
    public function __construct(
        private readonly Releases $releases,
        private readonly Checks $checks,
        private readonly UnitPhotographs $photographs,
    ) {
    }

    /**
     * @param  list<LeftOut>  $left  what was just not done
     * @return array<string, mixed>
     */
    public function of(Unit $unit, User $user, array $left = []): array
    {
        $unit->load([
            'order.version',
            'order.scheme',
            'order.overrules',
            'sculpt',
            'pieces' => fn ($q) => $q->orderBy('number')->with(Checks::OF_PIECES),
        ]);
        $release = $this->releases->of($unit);
        $drawn = LotRow::looked($unit->id);
        $looks = $models = [];
        foreach ($unit->pieces->where('stage', Stage::Offered->value) as $piece) {
            if ($drawn !== null && ! in_array($piece->number, $drawn, true)) {
                continue;
            }
            $piece->setRelation('unit', $unit);
            $check = $piece->checks->firstWhere('closed_at', null)?->setRelation('piece', $piece);
            $asked = $check === null ? $this->checks->asking($piece, $release) : $this->checks->questions($check);
            $models[] = $this->model($piece, $check, $asked, $user);
            foreach ($asked as $c) {
                $looks[Checks::look($c)] ??= [
                    'key' => Checks::look($c),
                    'view' => $c->view?->value,
                    'name' => CheckWords::look($c->view, $c->aspect),
                    'lines' => $this->lines($asked, $check, Checks::look($c), $release),
                ];
            }
        }

        return [
            'unit' => [
                'id' => $unit->id,
                'sculpt' => $release->request->sculpt->name,
                'tier' => $release->request->tier->name,
                'standard_version' => $release->inputs->standardVersion,
                'distance_cm' => $release->request->tier->viewing->distanceCm,
            ],
            'looks' => array_values($looks),
            'models' => $models,
            'photographs' => $this->newest($unit),
            'left' => $left,
            'may_answer' => Rights::has($user, 'check.answer'),
        ];
    }

    /**
     * @param  list<Checkpoint>  $asked
     * @return list<string> what is looked at, in words
     */
    private function lines(array $asked, ?Check $check, string $look, Release $release): array
    {
        $words = new CheckWords($release->request->standard);
        $kept = array_column($check->questions ?? [], 'text', 'key');
        $of = array_filter($asked, fn (Checkpoint $c) => Checks::look($c) === $look);
        $said = array_map(fn (Checkpoint $c) => $kept[$c->key->id] ?? $words->checkpoint($c), $of);

        return array_values(array_unique($said));
    }

    /**
     * @param  list<Checkpoint>  $asked
     * @return array<string, mixed>
     */
    private function model(Piece $piece, ?Check $check, array $asked, User $user): array
    {
        $answered = $check?->answers->pluck('question')->all() ?? [];
        $faulty = $check?->faults->pluck('question')->all() ?? [];
        $states = [];
        foreach ($asked as $c) {
            $look = Checks::look($c);
            $states[$look] ??= ['open' => 0, 'faults' => 0];
            $states[$look]['open'] += in_array($c->key->id, $answered, true) ? 0 : 1;
            $states[$look]['faults'] += count(array_keys($faulty, $c->key->id, true));
        }

        return [
            'id' => $piece->id,
            'number' => $piece->number,
            'code' => $piece->code,
            'check' => $check?->id,
            'own_work' => $this->checks->isOwnWork($piece, $user),
            'held_by' => $check === null || $check->isFreeFor($user) ? null : $check->holder?->name,
            'looks' => (object) $states,
            'passes' => $check !== null && $this->checks->verdict($check)->passes,
        ];
    }

    /** @return list<array{model: int, view: string, sha256: string, drawn: bool}> of each model and side */
    private function newest(Unit $unit): array
    {
        $shown = [];
        foreach ($this->photographs->newest($unit) as $number => $views) {
            foreach ($views as $view => $photograph) {
                $shown[] = [
                    'model' => $number,
                    'view' => $view,
                    'sha256' => $photograph->sha256,
                    'drawn' => $photograph->picture->is_drawn,
                ];
            }
        }

        return $shown;
    }
}
