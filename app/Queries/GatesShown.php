<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Repositories\Releases;
use App\Studio\BenchWork;
use App\Studio\GateKeeper;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Inspection\GateStanding;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Words\CheckWords;
use Ordotype\Core\Words\Terms;

/** The gates of a unit with what is looked at there, and the models that stand at them. */
final class GatesShown
{
    public function __construct(private readonly Releases $releases)
    {
    }

    /** @return array<string, mixed> */
    public function of(Unit $unit, User $user): array
    {
        $unit->load([
            'pieces' => fn ($q) => $q
                ->whereIn('stage', [Stage::Planned->value, Stage::OnBench->value])
                ->orderBy('number'),
            ...array_map(fn (string $of) => "pieces.$of", BenchWork::OF_PIECES),
        ]);
        $release = $this->releases->of($unit);
        $gates = GateKeeper::of($release);
        $said = GateKeeper::said($unit->pieces->pluck('id')->all());

        return [
            'data' => array_map(
                fn (Gate $gate) => [
                    'gate' => $gate->value,
                    'name' => Terms::gate($gate),
                    'lines' => CheckWords::gate($gate),
                    'models' => array_values(
                        $unit->pieces
                            ->filter(
                                fn (Piece $p) => GateKeeper::standing($gates, $gate, $p, $release) ===
                                    GateStanding::At,
                            )
                            ->map(
                                fn (Piece $p) => [
                                    'id' => $p->id,
                                    'number' => $p->number,
                                    'passed' => $said[$p->id][$gate->value]->passed ?? null,
                                    'note' => $said[$p->id][$gate->value]->note ?? null,
                                    'by' => $said[$p->id][$gate->value]->user->name ?? null,
                                ],
                            )
                            ->all(),
                    ),
                ],
                $gates->all(),
            ),
            'may_answer' => Rights::has($user, 'check.answer'),
        ];
    }
}
