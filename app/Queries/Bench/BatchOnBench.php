<?php

declare(strict_types=1);

namespace App\Queries\Bench;

use App\Models\FaultRow;
use App\Models\Piece;
use App\Models\Unit;
use App\Queries\Figures\FigureShown;
use App\Queries\Plan\PaintsOfUnit;
use App\Repositories\Releases;
use App\Studio\BenchWork;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Bench\WantedStep;
use Ordotype\Core\Inspection\Spread;
use Ordotype\Core\Planning\Sequencing\Pass;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Planning\Unit\PaintNeeds;
use Ordotype\Core\Words\CheckWords;
use Ordotype\Core\Words\ClauseWords;
use Ordotype\Core\Words\OrderWords;

/** One batch as the bench works through it: its passes, and what each model has had. */
final class BatchOnBench
{
    public function __construct(
        private readonly Releases $releases,
        private readonly BenchWork $work,
        private readonly WetPaint $wet,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Unit $unit): array
    {
        $unit->load([
            'order',
            'pieces' => fn ($q) => $q
                ->whereNotIn('stage', [Stage::Lost->value, Stage::Cancelled->value])
                ->orderBy('number'),
            ...array_map(fn (string $of) => "pieces.$of", BenchWork::OF_PIECES),
        ]);
        $release = $this->releases->of($unit);
        $request = $release->request;
        $pieces = $unit->pieces->map(fn (Piece $p) => $this->piece($p, $release))->values()->all();

        return [
            'unit' => [
                'id' => $unit->id,
                'order_number' => $unit->order->number,
                'title' => $unit->order->title,
                'sculpt' => $request->sculpt->name,
                'tier' => $request->tier->name,
                'frame_mm' => $request->sculpt->frameMm ?? [60, 80],
                'revision' => $unit->revision,
                'release' => $release->number,
                'untouched' => $unit->pieces->every(fn (Piece $p) => $p->standing->isEmpty()),
            ],
            'figure' => FigureShown::of($request->sculpt, $request->scheme, $request->shelf),
            'passes' => array_map(
                fn (Pass $p, int $i, array $said) => $this->pass($p, $i + 1, $release, $pieces) + $said,
                $release->passes(),
                array_keys($release->passes()),
                OrderWords::passes($release->plan->work, $release->edges, $request->sculpt),
            ),
            'next_pass' => $this->nextPass($unit, $release, $pieces),
            'pieces' => $pieces,
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $pieces
     * @return array<string, mixed>
     */
    private function pass(Pass $pass, int $no, Release $release, array $pieces): array
    {
        $open = count(array_filter($pieces, fn (array $piece) => $this->isOpen($pass, $release, [$piece])));
        $request = $release->request;
        $steps = array_map(fn (int $i) => $release->plan->work->steps[$i], $pass->steps);
        $technique = $steps[0]->technique;

        return [
            'no' => $no,
            'technique' => $technique->name,
            'areas' => array_values(
                array_filter(array_map(fn ($s) => $s->area?->key, $steps), fn (?string $a) => $a !== null),
            ),
            'paint' => $steps[0]->colour?->words(),
            'hex' => $steps[0]->colour?->colour?->hex(),
            'extent' => $steps[0]->extent->word(),
            'place' => ltrim((new ClauseWords($release->request->standard))->places($steps[0]->because), ', '),
            'minutes' => round($pass->minutes, 2),
            'pot' => [
                'models' => $open,
                'paints' => array_map(
                    PaintsOfUnit::need(...),
                    PaintNeeds::ofSteps($steps, $request->sculpt, $request->shelf, $open),
                ),
            ],
            'dry' => $pass->drying,
            'steps' => array_map(fn (int $i) => $release->keys[$i]->id, $pass->steps),
            'how' => $technique->notes->how,
            'consistency' => $technique->notes->consistency,
            'tools' => $technique->notes->tools,
            'good' => $technique->notes->good,
            'caution' => $technique->notes->caution,
        ];
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece, Release $release): array
    {
        $repairs = $this->work->of($piece, $release)->repairs;
        $wants = $release->needs[$piece->number] ?? null;

        return [
            'id' => $piece->id,
            'number' => $piece->number,
            'code' => $piece->code,
            'stage' => $piece->stage,
            'wants' => $wants === null ? null : array_map(fn (StepKey $k) => $k->id, $wants),
            'done' => BenchWork::done($piece),
            'wet' => $this->wet->of($piece, $release),
            'found' => array_values(
                $this->work
                    ->sentBack($piece)
                    ->map(
                        fn (FaultRow $f) => [
                            'name' => $release->faults->kinds[$f->fault]->name ?? 'A fault',
                            'area' => $f->area,
                            'said' => CheckWords::spread(Spread::from($f->spread), $f->size_mm),
                            'pin' => $f->pin,
                            'steps' => array_keys(BenchWork::repairOf($f, $release->request->standard)->steps),
                        ],
                    )
                    ->all(),
            ),
            'repairs' => array_map(
                fn (string $key, WantedStep $s) => [
                    'key' => $key,
                    'technique' => $s->technique->name,
                    'area' => $s->area,
                    'minutes' => $s->minutes,
                    'dry' => $s->technique->dry,
                ],
                array_keys($repairs),
                array_values($repairs),
            ),
        ];
    }

    /**
     * Where work goes on: the pass that was marked last, where it is still open on some model, else the next open one;
     * from the end on again from the first. The last pass where all are done.
     *
     * @param  list<array<string, mixed>>  $pieces
     */
    private function nextPass(Unit $unit, Release $release, array $pieces): int
    {
        $open = array_keys(array_filter($release->passes(), fn (Pass $p) => $this->isOpen($p, $release, $pieces)));
        $latest = $unit->pieces->flatMap(fn (Piece $p) => $p->standing)->sortByDesc('id')->first()?->step;
        $at = 0;
        foreach ($release->passes() as $i => $pass) {
            $at = in_array($latest, $this->keys($pass, $release), true) ? $i : $at;
        }
        $onwards = array_values(array_filter($open, fn (int $i) => $i >= $at));

        return $onwards[0] ?? $open[0] ?? max(0, count($release->passes()) - 1);
    }

    /** @param  list<array<string, mixed>>  $pieces */
    private function isOpen(Pass $pass, Release $release, array $pieces): bool
    {
        $keys = $this->keys($pass, $release);
        foreach ($pieces as $piece) {
            $needed = $piece['wants'] === null ? $keys : array_intersect($keys, $piece['wants']);
            $atWork = in_array($piece['stage'], [Stage::Planned->value, Stage::OnBench->value], true);
            if ($atWork && array_diff($needed, $piece['done']) !== []) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    private function keys(Pass $pass, Release $release): array
    {
        return array_map(fn (int $s) => $release->keys[$s]->id, $pass->steps);
    }
}
