<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use BackedEnum;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Sculpt\Facing;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Standard\Place;
use Ordotype\Core\Standard\School;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Studio\OrderStatus;
use Ordotype\Core\Studio\PaymentWhen;
use Ordotype\Core\Studio\QuoteEnd;
use Ordotype\Core\Studio\QuotesSetting;

/** The closed sets with what a person reads for each value, in the order in which they are offered. */
final class Vocabulary
{
    /** @return array<string, array<string, string>> words by value by set */
    public static function sets(): array
    {
        return [
            'rank' => self::plain(Rank::cases()),
            'relief' => self::of(Relief::cases(), Terms::relief(...)),
            'material' => self::of(Material::cases(), Terms::material(...)),
            'role' => self::plain(Role::cases()),
            'size' => self::plain(Size::cases()),
            'facing' => self::plain(Facing::cases()),
            'view' => self::plain(View::cases()),
            'gate' => self::of(Gate::cases(), Terms::gate(...)),
            'family' => self::of(Family::cases(), Terms::family(...)),
            'effect' => self::of(Effect::cases(), Terms::effect(...)),
            'place' => self::of(Place::cases(), Terms::place(...)),
            'criterion' => self::of(Criterion::cases(), Terms::criterion(...)),
            'unit' => array_map(trim(...), self::of(Criterion::cases(), Terms::unit(...))),
            'status' => self::of(TechniqueStatus::cases(), Terms::status(...)),
            'stage' => self::of(Stage::cases(), Terms::stage(...)),
            'order_status' => self::of(OrderStatus::cases(), Terms::orderStatus(...)),
            'quotes' => self::of(QuotesSetting::cases(), OrderLifeWords::quotes(...)),
            'quote_end' => self::of(QuoteEnd::cases(), QuoteWords::end(...)),
            'payment_when' => self::of(PaymentWhen::cases(), OrderLifeWords::payment(...)),
            'school' => self::of(School::cases(), SchoolWords::school(...)),
            'answer' => self::answers(),
        ];
    }

    /** @return array<string, string> by school and answer, "undercoat:mid_grey" */
    private static function answers(): array
    {
        $words = [];
        foreach (School::cases() as $school) {
            foreach ($school->answers() as $answer) {
                $words["$school->value:$answer"] = SchoolWords::answer($school, $answer);
            }
        }

        return $words;
    }

    /**
     * @param  list<BackedEnum>  $cases
     * @return array<string, string>
     */
    private static function plain(array $cases): array
    {
        return self::of($cases, fn (BackedEnum $c) => Terms::plain((string) $c->value));
    }

    /**
     * @template T of BackedEnum
     *
     * @param  list<T>  $cases
     * @param  callable(T): string  $word
     * @return array<string, string>
     */
    private static function of(array $cases, callable $word): array
    {
        return array_combine(array_map(fn (BackedEnum $c) => (string) $c->value, $cases), array_map($word, $cases));
    }
}
