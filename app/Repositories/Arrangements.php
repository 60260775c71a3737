<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Order;
use App\Models\OverruleRow;
use App\Models\Unit;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problem;
use Ordotype\Core\Planning\Plan\Arrangement;
use Ordotype\Core\Planning\Sequencing\Overrule;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Planning\Unit\Variant;
use Ordotype\Core\Standard\Amendment;
use stdClass;

/** What the lead has arranged for a unit, as it is kept and as the core takes it. */
final class Arrangements
{
    /** Numbers of amendments that come with variants start here, so that they are told from the unit's own. */
    public const VARIANT_AMENDMENTS = 900;

    public function of(Unit $unit): Arrangement
    {
        $kept = $unit->arrangement ?? [];

        return new Arrangement(
            $this->overrules($unit->order),
            array_map(StepKey::kept(...), $kept['sequence'] ?? []),
            $kept['paints'] ?? [],
            $kept['practice'] ?? null,
        );
    }

    /** @return list<Overrule> */
    public function overrules(Order $order): array
    {
        return array_values($order->overrules->map(fn (OverruleRow $o) => $o->core())->all());
    }

    /**
     * @param  list<mixed>  $documents  each {name, share, colours: {slots, areas} or null, amendments:
     *     [ordotype/amendment@1]}
     * @param  array<string, true>  $techniques  keys of the catalogue
     * @return list<Variant>
     *
     * @throws FormatException naming every path that is wrong and why
     */
    public function variants(array $documents, array $techniques): array
    {
        $variants = [];
        $problems = [];
        $share = 0.0;
        $number = self::VARIANT_AMENDMENTS;
        foreach ($documents as $i => $document) {
            $at = "/variants/$i";
            if (
                ! ($document instanceof stdClass) ||
                ! is_string($document->name ?? null) ||
                trim($document->name) === ''
            ) {
                $problems[] = new Problem("$at/name", 'must be the name of the variant');

                continue;
            }
            if (! is_numeric($document->share ?? null) || $document->share <= 0 || $document->share > 1) {
                $problems[] = new Problem("$at/share", 'must be a share above 0, up to 1');

                continue;
            }
            $share += (float) $document->share;
            try {
                $amendments = AmendmentFormat::read($document->amendments ?? [], $techniques);
                $variants[] = new Variant(
                    $document->name,
                    (float) $document->share,
                    $this->colours($document->colours ?? null),
                    array_map(function (Amendment $a) use (&$number): Amendment {
                        return $a->numbered(++$number);
                    }, $amendments),
                );
            } catch (FormatException $e) {
                array_push(
                    $problems,
                    ...array_map(fn (Problem $p) => new Problem($at.$p->path, $p->reason), $e->problems),
                );
            }
        }
        if ($share > 1.0 + 1e-9) {
            $problems[] = new Problem('/variants', 'the shares together are more than the whole unit');
        }
        if ($problems !== []) {
            throw new FormatException($problems);
        }

        return $variants;
    }

    private function colours(mixed $colours): ?Scheme
    {
        if ($colours === null) {
            return null;
        }
        $document = $colours instanceof stdClass ? $colours : new stdClass();

        return SchemeFormat::read(
            (object) [
                'format' => SchemeFormat::WORD,
                'name' => 'variant',
                'slots' => $document->slots ?? new stdClass(),
                'areas' => $document->areas ?? new stdClass(),
            ],
        );
    }

    /** @return list<mixed> */
    public function variantDocuments(Unit $unit): array
    {
        $kept = $unit->variants === null ? [] : Json::decode($unit->variants);

        return is_array($kept) ? array_values($kept) : [];
    }
}
