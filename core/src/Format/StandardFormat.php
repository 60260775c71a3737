<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problems;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Standard\Aim;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ExtendsLoop;
use Ordotype\Core\Standard\Pace;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Standard\Viewing;
use stdClass;

/** Reads and writes `ordotype/standard@1`. */
final class StandardFormat
{
    public const WORD = 'ordotype/standard@1';

    /**
     * @param  mixed  $document  decoded JSON, objects as stdClass
     *
     * @throws FormatException naming every path that is wrong and why
     */
    public static function read(mixed $document): Standard
    {
        $problems = new Problems();
        $root = Node::root($document, $problems)
            ->format(self::WORD)
            ->keys(['format', 'name', 'techniques', 'tiers', 'prices', 'currency']);

        $techniques = [];
        foreach ($root->list('techniques') as $node) {
            $technique = TechniqueFormat::read($node);
            if (isset($techniques[$technique->key])) {
                $node->get('key')->problem("\"$technique->key\" is the key of an earlier technique too");
            }
            $techniques[$technique->key] = $technique;
        }
        $known = array_fill_keys(array_map(strval(...), array_keys($techniques)), true);
        foreach ($root->list('techniques') as $node) {
            foreach ($node->list('excludes') as $other) {
                if (is_string($other->value) && ! isset($known[$other->value])) {
                    $other->problem("\"$other->value\" is not a technique of this catalogue");
                }
            }
        }

        $tiers = [];
        foreach ($root->list('tiers') as $node) {
            $tier = self::tier($node, $known);
            if (isset($tiers[$tier->key])) {
                $node->get('key')->problem("\"$tier->key\" is the key of an earlier tier too");
            }
            $tiers[$tier->key] = $tier;
        }
        $prices = [];
        foreach ($root->list('prices') as $node) {
            $prices[] = $price = self::price($node);
            if (! isset($tiers[$price->tier])) {
                $node->get('tier')->problem("\"$price->tier\" is not a tier of this standard");
            }
        }
        $currency = $root->string('currency');
        if (preg_match('/^[A-Z]{3}$/D', $currency) !== 1) {
            $root->get('currency')->problem('must be a currency code of three capital letters, such as EUR');
        }

        $standard = new Standard(
            $root->string('name'),
            array_values($techniques),
            array_values($tiers),
            $prices,
            $currency,
        );
        if (! $problems->any()) {
            self::checkExtends($root, $standard);
        }
        $problems->refuse();

        return $standard;
    }

    public static function write(Standard $standard): stdClass
    {
        return (object) [
            'format' => self::WORD,
            'name' => $standard->name,
            'techniques' => array_map(TechniqueFormat::write(...), $standard->techniques),
            'tiers' => array_map(self::writeTier(...), $standard->tiers),
            'prices' => array_map(
                fn (PriceRange $p) => (object) [
                    'size' => $p->size->value,
                    'role' => $p->role->value,
                    'tier' => $p->tier,
                    'low' => $p->low,
                    'high' => $p->high,
                ],
                $standard->prices,
            ),
            'currency' => $standard->currency,
        ];
    }

    /** @param  array<string, true>  $techniques */
    private static function tier(Node $node, array $techniques): Tier
    {
        $node->keys(
            ['key', 'name', 'order', 'status', 'intent', 'pace', 'aim', 'viewing', 'clauses'],
            ['default_status', 'extends', 'drop', 'faults'],
        );
        $clauses = [];
        $suffixes = [];
        foreach ($node->list('clauses') as $item) {
            $clause = ClauseFormat::read($item, $techniques);
            if ($clause === null) {
                continue;
            }
            if (isset($suffixes[$clause->suffix()])) {
                $item->get('id')->problem("\"$clause->id\" ends like an earlier clause of this tier");
            }
            $suffixes[$clause->suffix()] = true;
            $clauses[] = $clause;
        }
        $faults = null;
        if ($node->has('faults')) {
            $faults = array_map(fn (Node $n) => $n->asEnum(Severity::class), $node->map('faults'));
        }
        $default = $node->has('default_status') ? $node->enum('default_status', TechniqueStatus::class) : null;
        if ($default?->isForWhatNoClauseNames() === false) {
            $node->get('default_status')->problem('must be one of not_offered, on_request, allowed');
        }
        if ($node->has('drop') && ! $node->has('extends')) {
            $node->get('drop')->problem('drops clauses of no other tier: "extends" is missing');
        }
        $viewing = $node->get('viewing')->keys(['distance_cm', 'angle_arcmin']);

        return new Tier(
            key: $node->key('key'),
            name: $node->string('name'),
            order: $node->int('order', 0, 999),
            status: $node->enum('status', TierStatus::class),
            intent: $node->string('intent', mayBeEmpty: true),
            pace: $node->enum('pace', Pace::class),
            aim: $node->enum('aim', Aim::class),
            viewing: new Viewing($viewing->number('distance_cm', 1, 1000), $viewing->number('angle_arcmin', 0.1, 60)),
            clauses: $clauses,
            defaultStatus: $default,
            extends: $node->has('extends') ? $node->string('extends') : null,
            drop: $node->has('drop') ? $node->strings('drop') : null,
            faults: $faults,
        );
    }

    public static function writeTier(Tier $tier): stdClass
    {
        return (object) ([
            'key' => $tier->key,
            'name' => $tier->name,
            'order' => $tier->order,
            'status' => $tier->status->value,
            'intent' => $tier->intent,
            'pace' => $tier->pace->value,
            'aim' => $tier->aim->value,
        ] +
            array_filter(
                [
                    'default_status' => $tier->defaultStatus?->value,
                    'extends' => $tier->extends,
                    'drop' => $tier->drop,
                    'faults' => $tier->faults === null
                            ? null
                            : (object) array_map(fn (Severity $s) => $s->value, $tier->faults),
                ],
                fn (mixed $v) => $v !== null,
            ) + [
                'viewing' => (object) [
                    'distance_cm' => $tier->viewing->distanceCm,
                    'angle_arcmin' => $tier->viewing->angleArcmin,
                ],
                'clauses' => array_map(ClauseFormat::write(...), $tier->clauses),
            ]);
    }

    private static function price(Node $node): PriceRange
    {
        $node->keys(['size', 'role', 'tier', 'low', 'high']);
        $low = $node->money('low');
        $high = $node->moneyOrNull('high');
        if ($high !== null && (float) $high < (float) $low) {
            $node->get('high')->problem("$high is below the low end, $low");
        }

        return new PriceRange(
            $node->enum('size', Size::class),
            $node->enum('role', Role::class),
            $node->string('tier'),
            $low,
            $high,
        );
    }

    private static function checkExtends(Node $root, Standard $standard): void
    {
        foreach ($root->list('tiers') as $i => $node) {
            $tier = $standard->tiers[$i];
            if ($tier->extends === null) {
                continue;
            }
            if (! $standard->hasTier($tier->extends)) {
                $node->get('extends')->problem("\"$tier->extends\" is not a tier of this standard");

                continue;
            }
            try {
                $standard->clausesOf($tier);
                $taken = array_map(
                    fn (Clause $c) => $c->suffix(),
                    $standard->clausesOf($standard->tier($tier->extends)),
                );
            } catch (ExtendsLoop $e) {
                $node->get('extends')->problem($e->getMessage());

                continue;
            } catch (\OutOfBoundsException) {
                continue; // another tier of the chain names an unknown one, and that is said there
            }
            foreach ($node->list('drop') as $item) {
                if (! in_array($item->value, $taken, true)) {
                    $item->problem($item->asString()." is not the end of any clause of \"$tier->extends\"");
                }
            }
        }
    }
}
