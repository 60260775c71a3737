<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Standard\School;

/** What painters call the schools that disagree, and their answers. */
final class SchoolWords
{
    public static function school(School $school): string
    {
        return match ($school) {
            School::Undercoat => 'undercoat',
            School::Build => 'how colour is built up',
            School::SkinWash => 'the wash on skin',
            School::Metals => 'when metals are painted',
            School::MetalGround => 'the ground under metal',
            School::GoldLight => 'the last light of gold',
            School::Edges => 'which edges are lit',
            School::Spraying => 'spraying',
            School::Ground => 'when the ground is done',
            School::Decals => 'decals',
            School::Backs => 'backs',
            School::Weathering => 'weathering',
            School::Look => 'the look',
            School::Neighbours => 'inner areas and what lies on them',
            School::Faces => 'when faces are painted',
            School::Texture => 'sand and paste on the ground',
        };
    }

    /** @param  string  $answer  one of the school's */
    public static function answer(School $school, string $answer): string
    {
        return match ($answer) {
            'value_sketch' => 'light from above, sketched in grey',
            'mid_grey' => 'mid grey',
            'up_from_dark' => 'up from dark',
            'from_mid' => 'out from the middle tone',
            'stain_down' => 'down from stains',
            'with_bases' => 'with the other base colours',
            'as_is' => 'as it is',
            'pale_gold' => 'pale gold',
            'every_visible' => 'every edge that is seen',
            'light_facing' => 'edges that face the light',
            'focal' => 'edges near the face',
            'brush_only' => 'brush only',
            'can' => 'spray can',
            'on_gloss' => 'on gloss',
            'wet_wash' => 'into a wet wash',
            'under_wash' => 'under the wash',
            'inner_finished' => 'inner areas washed and drybrushed first',
            'all_bases' => 'all base colours first',
            'inner' => 'by layer, like the rest',
            'first', 'last', 'over', 'none' => $school === School::SkinWash
                ? ['first' => 'before the base', 'over' => 'over the base', 'none' => 'none'][$answer] ?? $answer
                : $answer,
            default => Terms::plain($answer),
        };
    }
}
