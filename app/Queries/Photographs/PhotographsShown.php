<?php

declare(strict_types=1);

namespace App\Queries\Photographs;

use App\Models\Check;
use App\Models\Photograph;
use App\Models\Piece;
use App\Models\Sculpt as SculptRow;
use App\Pictures\Measuring;
use App\Repositories\Figures;
use App\Studio\UnitPhotographs;
use App\Studio\UnitPlans;
use Illuminate\Database\Eloquent\Builder;
use InvalidArgumentException;
use Ordotype\Core\Picture\Photo\AreaMeasure;
use Ordotype\Core\Picture\Photo\Drift;
use Ordotype\Core\Picture\Photo\Figure;
use Ordotype\Core\Picture\Photo\Finish;
use Ordotype\Core\Picture\Photo\HeldFigure;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Words\PhotoWords;
use stdClass;

/** Photographs of a model or a figure, the points by which they are placed, and what they say for the check. */
final class PhotographsShown
{
    public function __construct(
        private readonly Figures $figures,
        private readonly UnitPlans $plans,
        private readonly UnitPhotographs $photographs,
    ) {
    }

    /** @return array<string, mixed> with what other pictures there are to look at beside it */
    public function of(Piece $piece): array
    {
        $unit = $piece->unit->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces']);
        $plan = $this->plans->inForce($unit)->kindOf($piece->number)->plan;

        return $this->shown($plan->request->sculpt, Photograph::query()->where('piece_id', $piece->id)) + [
            'held' => $this->held($piece, $plan),
            'beside' => $this->beside($piece, $plan->request->sculpt),
            'examples' => ExamplesShown::ofTiers([$unit->tier])[$unit->tier],
        ];
    }

    /** @return array{marks: stdClass, data: list<array<string, mixed>>} */
    public function ofFigure(SculptRow $sculpt): array
    {
        return $this->shown($this->figures->of($sculpt), Photograph::query()->where('sculpt_id', $sculpt->id));
    }

    /**
     * @param  Builder<Photograph>  $of
     * @return array{marks: stdClass, data: list<array<string, mixed>>}
     */
    private function shown(Sculpt $sculpt, Builder $of): array
    {
        return [
            'marks' => (object) self::marks($sculpt),
            'data' => array_values(
                $of
                    ->with(['picture', 'maker'])
                    ->orderBy('id')
                    ->get()
                    ->map(fn (Photograph $p) => self::one($p, $sculpt))
                    ->all(),
            ),
        ];
    }

    /** @return array<string, array{base_left: list<float>, base_right: list<float>, top: list<float>}> by view */
    private static function marks(Sculpt $sculpt): array
    {
        $marks = [];
        foreach (View::drawn() as $view) {
            try {
                [$left, $right, $top] = Placement::marks($sculpt, $view);
                $marks[$view->value] = ['base_left' => $left, 'base_right' => $right, 'top' => $top];
            } catch (InvalidArgumentException) {
                // Without outlines there is nothing to lay over a photograph.
                continue;
            }
        }

        return $marks;
    }

    /** @return array<string, mixed> */
    public static function one(Photograph $p, Sculpt $sculpt): array
    {
        return [
            'id' => $p->id,
            'view' => $p->view,
            'shows' => $p->shows,
            'drawn' => $p->picture->is_drawn,
            'sha256' => $p->sha256,
            'width' => $p->picture->width,
            'height' => $p->picture->height,
            'by' => $p->maker->name,
            'at' => $p->created_at?->toIso8601ZuluString(),
            'placement' => $p->placement,
            'width_mm' => self::widthMm($p, $sculpt),
            'state' => $p->state,
            'said' => $p->said,
            'revision' => $p->revision,
            'areas' => array_values(
                array_map(self::area(...), UnitPhotographs::measures($p->measures, $sculpt)),
            ),
        ];
    }

    /** How much it shows from left to right; null as long as nothing is laid over it. */
    private static function widthMm(Photograph $p, Sculpt $sculpt): ?float
    {
        return $p->placement === null
            ? null
            : round($p->picture->width / Measuring::placed($p, $sculpt)->scale($sculpt), 2);
    }

    /**
     * The test model's newest photographs and those of the model before it, to be laid beside this one's.
     *
     * @return list<array<string, mixed>>
     */
    private function beside(Piece $piece, Sculpt $sculpt): array
    {
        $newest = $this->photographs->newest($piece->unit);
        $test = $piece->unit->pieces->firstWhere('id', $piece->unit->test_piece_id)?->number;
        $before = max([0, ...array_filter(array_keys($newest), fn (int $n) => $n < $piece->number)]);
        $others = array_diff(array_unique([$test ?? 0, $before]), [0, $piece->number]);
        $found = [];
        foreach ($others as $number) {
            foreach ($newest[$number] ?? [] as $photograph) {
                $photograph->load(['picture', 'maker']);
                $found[] = [
                    'model' => $number,
                    'is_test' => $number === $test,
                    'photograph' => self::one($photograph, $sculpt),
                ];
            }
        }

        return $found;
    }

    /** @return array<string, mixed> */
    private static function area(AreaMeasure $m): array
    {
        $figure = fn (Figure $f): array => [
            'value' => $f->value,
            'pixels' => $f->pixels,
            'why' => $f->why === null ? null : PhotoWords::why($f->why),
        ];

        return [
            'area' => $m->area->key,
            'name' => $m->area->name,
            'pixels' => $m->pixels,
            'why' => $m->why === null ? null : PhotoWords::why($m->why),
            'contrast' => $figure($m->contrast),
            'stark' => $figure($m->stark),
            'from_above' => $figure($m->fromAbove),
            'bare' => $figure($m->bare),
            'line_width' => $figure($m->lineWidth),
            'tones' => $m->tones === null ? null : count($m->tones),
        ];
    }

    /**
     * What the newest photographs say for and against what the tier asks, and which question of the open check it
     * belongs to.
     *
     * @return list<array<string, mixed>>
     */
    private function held(Piece $piece, Plan $plan): array
    {
        $newest = $this->photographs->newest($piece->unit);
        $check = $piece->checks()->orderByDesc('round')->first();
        $said = [];
        foreach ($newest[$piece->number] ?? [] as $view => $photograph) {
            foreach ($this->figures($piece, $photograph, $plan, $newest) as $held) {
                $said[] = [
                    'photograph' => $photograph->id,
                    'view' => $view,
                    'area' => $held->area->key,
                    'name' => $held->area->name,
                    'is_met' => $held->isMet,
                    'says' => PhotoWords::held($held),
                    'figures' => PhotoWords::figures($held),
                    'question' => $check === null ? null : self::question($check, $held, $view),
                ];
            }
        }

        return $said;
    }

    /**
     * @param  array<int, array<string, Photograph>>  $newest
     * @return list<HeldFigure>
     */
    private function figures(Piece $piece, Photograph $photograph, Plan $plan, array $newest): array
    {
        $sculpt = $plan->request->sculpt;
        $test = $piece->unit->pieces->firstWhere('id', $piece->unit->test_piece_id);
        $ofTest = $test === null || $test->id === $piece->id ? null : $newest[$test->number][$photograph->view] ?? null;
        $reference = UnitPhotographs::measures($ofTest->measures ?? $photograph->reference, $sculpt);
        $colours = $this->photographs->colours($piece->unit, $photograph->view, $sculpt);
        $finish = new Finish(
            $plan,
            $reference,
            Drift::middle($colours),
            isset($photograph->placement['card']),
        );

        return $finish->held(UnitPhotographs::measures($photograph->measures, $sculpt));
    }

    /** The key of the question that asks for it, seen from the photograph's side. */
    private static function question(Check $check, HeldFigure $held, string $view): ?string
    {
        $clauses = Reason::ids($held->asked->reasons);
        foreach ($check->questions as $question) {
            $asksIt = array_intersect($question['clauses'], $clauses) !== [];
            if ($question['view'] === $view && $asksIt && in_array($held->area->key, $question['areas'], true)) {
                return $question['key'];
            }
        }

        return null;
    }
}
