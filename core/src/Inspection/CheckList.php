<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Facing;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\FaultTable;

/**
 * What to look at on a piece, as one turns it in the hand: side by side, on each a few looks, in each what is answered
 * there. What one clause asks at one extent is one checkpoint with all its areas; what can be wrong is put on the
 * checkpoints of the same look, and on one more where none of them is about it.
 */
final readonly class CheckList
{
    /** A view with fewer areas than this is looked over at once. */
    private const FEW = 3;

    /** Notice of an area by its focus, 0 to 3 (house default). */
    private const WEIGHT = [1, 2, 4, 8];

    private FaultsThere $there;

    private RequirementsInCheck $inCheck;

    /**
     * @param  list<View>  $views  from which the tier wants it looked at
     * @param  bool  $hasReference  whether the client sent a picture to follow
     */
    public function __construct(
        private Plan $plan,
        private FaultTable $faults,
        private array $views = [],
        private bool $hasReference = false,
    ) {
        $this->there = new FaultsThere($plan, $faults);
        $this->inCheck = new RequirementsInCheck($plan->request->standard, $faults);
    }

    /** @return list<Look> view by view, in each the most noticed first, the whole model at the end */
    public function looks(): array
    {
        $looks = [];
        foreach (array_filter(View::cases(), fn (View $v) => $v->isStop()) as $view) {
            $ofView = $this->ofView($view);
            // Stable: of two that are noticed alike the aspect's place decides.
            usort($ofView, fn (Look $a, Look $b) => $b->notice() <=> $a->notice());
            array_push($looks, ...$ofView);
        }

        return [...$looks, ...$this->ofWholeModel()];
    }

    /** @return list<Checkpoint> of all looks */
    public function checkpoints(): array
    {
        return array_merge(...array_map(fn (Look $l) => $l->checkpoints, $this->looks()));
    }

    /** @param  list<Area>  $areas */
    private static function noticeOf(array $areas): int
    {
        $weights = array_map(fn (Area $a) => self::WEIGHT[$a->focus], $areas);
        $shares = array_map(fn (Area $a) => (self::WEIGHT[$a->focus] * max(1.0, $a->sharePct)) / 100, $areas);

        return (int) round(10 * array_sum($shares) + max([0, ...$weights]));
    }

    /** @return list<Look> in the order of the aspects */
    private function ofView(View $view): array
    {
        $areas = array_values(
            array_filter($this->plan->request->sculpt->areas, fn (Area $a) => $a->view() === $view),
        );
        if ($areas === []) {
            return in_array($view, $this->views, true) ? $this->ofFarSide($view) : [];
        }
        $isFew = count($areas) < self::FEW;
        $only = $isFew ? ($view === View::Top ? Aspect::Ground : Aspect::All) : null;
        $asked = $faults = [];
        foreach ($areas as $area) {
            foreach ($this->plan->area($area->key)->demand->requirements as $requirement) {
                $aspect = ($only ?? $this->aspectOf($requirement, $area))->value;
                $name = Asked::name($requirement, $requirement->accept($this->inCheck));
                $asked[$aspect][$name] ??= new Asked($requirement, $requirement->accept($this->inCheck));
                $asked[$aspect][$name]->add($requirement, $area);
            }
            foreach ($this->there->on($area) as $kind) {
                $faults[($only ?? Aspect::ofFault($kind))->value][$kind->key][$area->key] = $area;
            }
        }
        $looks = [];
        foreach (Aspect::cases() as $aspect) {
            $checkpoints = $this->checkpointsOf(
                $view,
                $aspect,
                array_values($asked[$aspect->value] ?? []),
                $faults[$aspect->value] ?? [],
            );
            if ($checkpoints !== []) {
                $looks[] = new Look($view, $aspect, $checkpoints);
            }
        }

        return $looks;
    }

    /**
     * A side that holds no area of its own shows what goes round the model: all of it is looked over at once.
     *
     * @return list<Look>
     */
    private function ofFarSide(View $view): array
    {
        $areas = array_values(
            array_filter(
                $this->plan->request->sculpt->areas,
                fn (Area $a) => $a->rank !== Rank::Ground &&
                    ($a->facing === Facing::Both || ($a->outline[$view->value] ?? []) !== []),
            ),
        );
        $faults = [];
        foreach ($areas as $area) {
            foreach ($this->there->on($area) as $kind) {
                $faults[] = $kind->key;
            }
        }
        $all = $this->ofFaults($view, Aspect::All, $areas, array_values(array_unique($faults)));

        return $areas === [] ? [] : [new Look($view, Aspect::All, [$all])];
    }

    private function aspectOf(Requirement $r, Area $area): Aspect
    {
        $shines = $area->isMetal() || $area->material === Material::GemLens;

        return $r->accept($this->inCheck)->aspect ?? ($shines ? Aspect::Metal : Aspect::Cover);
    }

    /**
     * @param  list<Asked>  $asked
     * @param  array<string, array<string, Area>>  $faults  where each kind can be, by its key and the area's
     * @return list<Checkpoint> the most noticed first
     */
    private function checkpointsOf(View $view, Aspect $aspect, array $asked, array $faults): array
    {
        // Those about most come first, so that what no clause speaks of is put on the widest.
        usort($asked, fn (Asked $a, Asked $b) => count($b->areas) <=> count($a->areas));
        $offered = [];
        foreach ($asked as $i => $one) {
            $offered[$i] = $one->inCheck->faults;
            $this->leave($faults, $offered[$i], $one);
        }
        foreach ($asked as $i => $one) {
            // What a clause says of its own shortfall is not said of every fault that is found with the same look.
            foreach ($one->requirement->severity === null ? $faults : [] as $kind => $areas) {
                if (array_intersect_key($areas, $one->areas) !== []) {
                    $offered[$i][] = $kind;
                }
            }
            $this->leave($faults, $offered[$i], $one);
        }
        $checkpoints = [];
        foreach ($asked as $i => $one) {
            $checkpoints[] = $this->checkpoint($view, $aspect, $one, $offered[$i]);
        }
        if ($faults !== []) {
            $areas = array_values(array_merge(...array_values($faults)));
            $checkpoints[] = $this->ofFaults($view, $aspect, $areas, array_keys($faults));
        }
        usort($checkpoints, fn (Checkpoint $a, Checkpoint $b) => $b->notice <=> $a->notice);

        return $checkpoints;
    }

    /**
     * Takes off what a checkpoint offers where it is about.
     *
     * @param  array<string, array<string, Area>>  $faults
     * @param  list<string>  $offered
     */
    private function leave(array &$faults, array $offered, Asked $one): void
    {
        foreach ($offered as $kind) {
            $faults[$kind] = array_diff_key($faults[$kind] ?? [], $one->areas);
            if ($faults[$kind] === []) {
                unset($faults[$kind]);
            }
        }
    }

    /** @param  list<string>  $faults */
    private function checkpoint(?View $view, Aspect $aspect, Asked $asked, array $faults): Checkpoint
    {
        $areas = array_values($asked->areas);
        $clauses = array_map(strval(...), array_keys($asked->clauses));

        return new Checkpoint(
            CheckpointKey::ofClause($view, $aspect, $clauses[0] ?? '', implode(' ', $asked->what())),
            $view,
            array_map(fn (Area $a) => $a->key, $areas),
            $clauses,
            array_values(array_unique($faults)),
            $asked->inCheck->isToBeThere || $this->isGrave($areas, $faults),
            $asked->requirement->severity,
            self::noticeOf($areas),
            $asked->requirement,
            $aspect,
        );
    }

    /**
     * @param  list<Area>  $areas
     * @param  list<string>  $faults
     */
    private function ofFaults(?View $view, Aspect $aspect, array $areas, array $faults): Checkpoint
    {
        return new Checkpoint(
            CheckpointKey::ofFaults($view, $aspect),
            $view,
            array_values(array_unique(array_map(fn (Area $a) => $a->key, $areas))),
            [],
            $faults,
            $this->isGrave($areas, $faults),
            null,
            self::noticeOf($areas),
            aspect: $aspect,
        );
    }

    /**
     * Whether a critical or major fault can lie on what is looked at.
     *
     * @param  list<Area>  $areas
     * @param  list<string>  $faults
     */
    private function isGrave(array $areas, array $faults): bool
    {
        $seen = array_filter($areas, fn (Area $a) => $a->focus >= 2) !== [];

        return $seen && array_filter($faults, $this->there->isGrave(...)) !== [];
    }

    /** @return list<Look> varnish and handling, the client's picture, and the final look with all asked of the whole */
    private function ofWholeModel(): array
    {
        $all = $this->plan->request->sculpt->areas;
        $looks = [];
        $handling = $this->there->ofHandling();
        if ($handling !== []) {
            $looks[] = new Look(null, Aspect::Varnish, [$this->ofFaults(null, Aspect::Varnish, $all, $handling)]);
        }
        if ($this->hasReference) {
            $looks[] = new Look(null, Aspect::Reference, [
                $this->ofFaults(null, Aspect::Reference, $all, ['wrong_paint', 'too_dark_or_bright', 'decal_wrong']),
            ]);
        }
        $final = $turning = [];
        foreach ($this->plan->whole->demand->requirements as $requirement) {
            $asked = new Asked($requirement, $requirement->accept($this->inCheck));
            $asked->add($requirement, null);
            if ($asked->inCheck->isTurning) {
                $turning += $asked->clauses;
            } elseif ($asked->inCheck->isToBeThere) {
                $final[] = $asked;
            }
        }
        $checkpoints = array_map(
            fn (Asked $a) => $this->checkpoint(null, Aspect::Final, $a, $a->inCheck->faults),
            $final,
        );
        $turned = new Checkpoint(
            CheckpointKey::finalLook(),
            null,
            array_map(fn (Area $a) => $a->key, $all),
            array_map(strval(...), array_keys($turning)),
            array_keys($this->faults->kinds),
            true,
            null,
            0,
            aspect: Aspect::Final,
        );
        $looks[] = new Look(null, Aspect::Final, [...$checkpoints, $turned]);

        return $looks;
    }
}
