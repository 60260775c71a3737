<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Planning\Plan\Doubt;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\Warning;
use Ordotype\Core\Planning\Plan\WarningKind;
use Ordotype\Core\Planning\Sequencing\Cycle;
use Ordotype\Core\Planning\Sequencing\HeldBack;

/** What a plan wants a person to know, as sentences. */
final readonly class WarningWords
{
    private PlanWords $words;

    public function __construct(PlanRequest $request)
    {
        $this->words = new PlanWords($request);
    }

    public function of(Warning $w): string
    {
        $area = $w->area->name ?? 'the model';
        $technique = $w->technique->name ?? 'it';

        return match ($w->kind) {
            WarningKind::GradeLowered => "Nothing that is allowed on $area meets the tier at the grade this ".
                'pace wants: '.
                "grade $w->gradeBar is taken there.",
            WarningKind::AmendmentOnSome => "Amendment {$w->amendment?->number} holds on some models only: this ".
                'is the plan of the others.',
            WarningKind::RuleOverruled => $this->overruled($w),
            WarningKind::NoWetWash => "There is no wash on $area for its decal to go into: it wants gloss under ".
                'it instead.',
            WarningKind::NothingCounted => "$technique on $area is timed by the piece, and the map counts ".
                'nothing there: it '.
                'takes no time in this plan.',
            WarningKind::NoColours => "The scheme has no colours for $area.",
            WarningKind::NoSilver => "The method wants silver in the last light on $area, and neither the ".
                'scheme nor the shelf has one.',
            WarningKind::NoLights => "The scheme has no light colours for $area, which gets ".
                self::count((int) $w->passes, 'light pass', 'light passes').
                '.',
            WarningKind::LightRepeated => "$area gets ".
                self::count((int) $w->passes, 'light pass', 'light passes').
                ' from '.
                self::count((int) $w->colours, 'colour', 'colours').
                " and the mixes between: {$w->repeated?->words()} is repeated.",
            WarningKind::LightNotLighter => "On $area the light $w->paint is not lighter than $w->beside before it.",
            WarningKind::LightNotSeen => "On $area the light $w->paint is hardly lighter ".
                "than $w->beside: the difference is not seen on the table.",
            WarningKind::SprayedThoughDearer => "$area is sprayed because ".$this->words->reasons($w->reasons).
                ' asks for it: by brush the unit would take '.Terms::minutes($w->minutes ?? 0.0).' less, set-up and '.
                'masking counted.',
            WarningKind::HardlySeen => "$technique on $area will hardly be seen: ".self::doubt($w).'.',
            WarningKind::OrderCircle => $w->cycle === null ? '' : Terms::sentence(self::cycle($w->cycle)),
        };
    }

    /** Rules that run in a circle. */
    public static function cycle(Cycle $cycle): string
    {
        $edges = array_map(
            fn (HeldBack $h) => PlanWords::step($h->earlier).
                ' comes before '.
                PlanWords::step($h->later).
                ' ('.
                Terms::rule($h->rule).
                ')',
            $cycle->edges,
        );

        return implode('; ', $edges).
            '. No order keeps all of these: “'.
            Terms::rule($cycle->broken).
            '” is given up here.';
    }

    private function overruled(Warning $w): string
    {
        $o = $w->overrule;

        return $o === null
            ? ''
            : 'Set aside for this order: '.
                    Terms::rule($o->rule).
                    ', between '.
                    $this->words->place($o->earlier).
                    ' and '.
                    $this->words->place($o->later).
                    ". $o->reason";
    }

    private static function doubt(Warning $w): string
    {
        return match ($w->doubt) {
            Doubt::MarkTooSmall => sprintf(
                'its mark of %s mm is smaller than the %.2f mm that are noticed from %s cm',
                Terms::number($w->technique->markMm ?? 0.0),
                $w->noticedMm,
                Terms::number($w->distanceCm ?? 0.0),
            ),
            Doubt::HardlyDarker => 'its paint is hardly darker than the base colour',
            null, Doubt::DarkAndHidden => 'the area is dark and nobody looks at it',
        };
    }

    private static function count(int $n, string $one, string $many): string
    {
        return "$n ".($n === 1 ? $one : $many);
    }
}
