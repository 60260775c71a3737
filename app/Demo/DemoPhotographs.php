<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\Photographs\KeepPhotographs;
use App\Jobs\MeasurePhotograph;
use App\Models\Photograph;
use App\Models\Piece;
use App\Models\Unit;
use App\Models\User;
use App\Pictures\Drawings;
use App\Pictures\FlatPaintTable;
use App\Pictures\Png;
use App\Studio\Pictures;
use App\Studio\UnitPlans;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothPicture;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\PlantedFault;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\View;

/**
 * Stands in for the studio's camera: the models that are in check, photographed from the front, some with a fault, and
 * their figure in undercoat. It draws, and so it is left to the worker.
 */
final class DemoPhotographs implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 180;

    private const ORDER = '26-033';

    private const SIGNED = '26-029';

    private const WIDTH = 600;

    /** By number of the model: key and area of what is wrong with it, and its size. */
    private const FAULTS = [
        3 => null,
        4 => ['colour_drift', 'hood', 12.0],
        5 => ['light_from_below', 'coat', null],
        6 => null,
    ];

    public function __construct()
    {
        $this->onQueue(Drawings::QUEUE);
    }

    public function handle(KeepPhotographs $keep, Pictures $pictures, UnitPlans $plans, Booth $booth): void
    {
        $unit = Unit::query()
            ->with(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces'])
            ->whereHas('order', fn ($q) => $q->where('number', self::ORDER))
            ->firstOrFail();
        // Begun again after the worker was cut off, it goes on where it was.
        $done = Photograph::query()->where('shows', 'undercoated')->count();
        $by = User::query()->where('role', 'painter')->orderBy('id')->firstOrFail();
        $plan = $plans->inForce($unit)->plain();
        if ($done === 0) {
            $bare = $this->drawn($booth, $plan, [FlatPaintTable::undercoat()], 1, null);
            $sha = $pictures->take(Png::of($bare))->sha256;
            $kept = $keep->keepOfFigure($unit->sculpt, $sha, View::Front, 'undercoated', $by);
            $this->place($keep, $kept, $plan, $bare);
        }
        $this->signed($plans, $booth, $pictures, $by);
        foreach (self::FAULTS as $number => $fault) {
            $piece = $unit->pieces->firstOrFail(fn (Piece $p) => $p->number === $number);
            if (Photograph::query()->where('piece_id', $piece->id)->exists()) {
                continue;
            }
            $picture = $this->drawn($booth, $plan, Coat::all($plan->work->steps), $number, $fault);
            $sha = $pictures->take(Png::of($picture))->sha256;
            $this->place($keep, $keep->keep($piece, $sha, View::Front, $by), $plan, $picture);
        }
    }

    /** A model that was signed off was photographed before: what is signed takes no photographs any more. */
    private function signed(UnitPlans $plans, Booth $booth, Pictures $pictures, User $by): void
    {
        $unit = Unit::query()
            ->with(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces'])
            ->whereHas('order', fn ($q) => $q->where('number', self::SIGNED))
            ->firstOrFail();
        $piece = $unit->pieces->firstOrFail();
        if (Photograph::query()->where('piece_id', $piece->id)->exists()) {
            return;
        }
        $plan = $plans->inForce($unit)->plain();
        $picture = $this->drawn($booth, $plan, Coat::all($plan->work->steps), $piece->number, null);
        $photograph = Photograph::query()->create([
            'piece_id' => $piece->id,
            'view' => View::Front->value,
            'sha256' => $pictures->take(Png::of($picture))->sha256,
            'placement' => self::placement($plan, $picture),
            'state' => 'waiting',
            'made_by' => $by->id,
        ]);
        MeasurePhotograph::dispatch($photograph->id)->onQueue(Drawings::QUEUE);
    }

    /**
     * @param  list<Coat>  $coats
     * @param  array{string, string, float|null}|null  $fault
     */
    private function drawn(Booth $booth, Plan $plan, array $coats, int $seed, ?array $fault): BoothPicture
    {
        return $booth->draw(
            new BoothRequest(
                $plan->request->sculpt,
                $coats,
                View::Front,
                self::WIDTH,
                $seed,
                $fault === null ? [] : [new PlantedFault(...$fault)],
            ),
        );
    }

    private function place(KeepPhotographs $keep, Photograph $photograph, Plan $plan, BoothPicture $picture): void
    {
        $keep->place($photograph, self::placement($plan, $picture), $photograph->revision);
    }

    /**
     * @return array{base_left: array{float, float}, base_right: array{float, float}, top: array{float, float},
     *     card: list<int>}
     */
    private static function placement(Plan $plan, BoothPicture $picture): array
    {
        [$left, $right, $top] = Placement::marks($plan->request->sculpt, View::Front);
        $at = fn (array $mark): array => [$mark[0] * $picture->width, $mark[1] * $picture->height];
        [$x, $y, $side] = $picture->card;
        $in = intdiv($side, 5);

        return [
            'base_left' => $at($left),
            'base_right' => $at($right),
            'top' => $at($top),
            'card' => [$x + $in, $y + $side + $in, $x + $side - $in, $y + 2 * $side - $in],
        ];
    }
}
