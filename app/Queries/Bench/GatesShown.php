<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Policies\Rights;
use App\Repositories\Releases;
use App\Studio\BenchWork;
use App\Studio\GateKeeper;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Planning\Sequencing\Gates;
use Ordotype\Core\Planning\Sequencing\GateStanding;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Words\CheckWords;
use Ordotype\Core\Words\Terms;

/** The gates of a unit with what is looked at there, and the models that stand at them. */
final class GatesShown
{
    private const GONE = [Stage::Lost->value, Stage::Cancelled->value];

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
            'order.scheme',
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
            'test' => $gates->wantsTestModel() ? $this->test($unit, $release, $gates, $user) : null,
            'may_answer' => Rights::has($user, 'check.answer'),
        ];
    }

    /**
     * The model that is painted first, how it came out, and what waits for it; nobody is asked for one when a single
     * model is painted, or colours were begun without.
     *
     * @return array<string, mixed>|null
     */
    private function test(Unit $unit, Release $release, Gates $gates, User $user): ?array
    {
        $all = $unit->pieces()->whereNotIn('stage', self::GONE)->count();
        $piece = $unit->test_piece_id === null
            ? null
            : Piece::query()->with(BenchWork::OF_PIECES)->find($unit->test_piece_id)?->setRelation('unit', $unit);
        $said = GateKeeper::onTestModel($unit);
        $scheme = $unit->order->scheme;
        $rest = $unit->pieces
            ->where('id', '!=', $piece?->id)
            ->map(fn (Piece $p) => [$p->number, GateKeeper::standing($gates, Gate::TestModel, $p, $release)])
            ->reject(fn (array $p) => $p[1] === GateStanding::Past);

        if ($all < 2 || ($piece === null && $rest->count() < $all)) {
            return null;
        }

        return [
            'model' => $piece?->number,
            'is_painted' => $piece !== null && GateKeeper::isPainted($piece, $release),
            'passed' => $said?->passed,
            'note' => $said?->note,
            'by' => $said?->user->name,
            'lines' => CheckWords::gate(Gate::TestModel),
            'rest' => array_values($rest->map(fn (array $p) => $p[0])->all()),
            'minutes' => $piece === null ? 0 : (int) round(BenchWork::minutesOf($piece)),
            'scheme' => $scheme === null ? null : [
                'slug' => $scheme->slug,
                'name' => $scheme->name,
                'painted' => $unit->scheme_number,
                'newest' => $scheme->number,
                'is_changed' => ! $scheme->isStillRejected(),
            ],
            'unit_revision' => $unit->revision,
            'may_judge' => Rights::has($user, 'schemes.edit'),
        ];
    }
}
