<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\Severity;

/** Which kinds of fault a technique or the material of an area can cause, and which belong to what is asked. */
final readonly class FaultsThere
{
    /** Of the model as a whole, but not of one model alone. */
    private const OF_UNIT = 'monotone_unit';

    /** What an area that stays unpainted on purpose cannot have. */
    private const OF_COVER = ['bare_primer', 'patchy_cover', 'rub_through', 'unpainted_hidden'];

    /** What comes of holding the model and of finishing it; also offered where it lies (common practice, no source). */
    private const OF_HANDLING = ['rub_through', 'handle_scar', 'chipped_off_handle', 'fingerprint', 'glue_bloom'];

    public function __construct(private Plan $plan, private FaultTable $faults)
    {
    }

    /** @return list<FaultKind> */
    public function on(Area $area): array
    {
        return array_values(array_filter($this->faults->kinds, fn (FaultKind $k) => $this->canHave($area, $k)));
    }

    /** @return list<string> keys: what varnish and handling can have done to the whole model */
    public function ofHandling(): array
    {
        $isIt = fn (FaultKind $k): bool => in_array($k->key, self::OF_HANDLING, true) ||
            (($k->where === 'whole' || in_array(Effect::Protect, $k->effects, true)) &&
                $k->key !== self::OF_UNIT &&
                ($k->effects === [] || self::gives($this->plan->whole, $k->effects)));

        return array_keys(array_filter($this->faults->kinds, $isIt));
    }

    /** Whether it is critical or major at the tier. */
    public function isGrave(string $key): bool
    {
        $kind = $this->faults->kinds[$key] ?? null;

        return $kind !== null &&
            Judgement::severityOf($kind, $this->plan->request->tier, $this->plan->request->sculpt) !== Severity::Minor;
    }

    private function canHave(Area $area, FaultKind $kind): bool
    {
        if ($kind->key === FaultTable::MISSING || $kind->where === 'whole') {
            return false;
        }
        if ($kind->materials !== [] && ! in_array($area->material, $kind->materials, true)) {
            return false;
        }
        $planned = $this->plan->area($area->key);
        $isUnpainted = $area->rank !== Rank::Ground && ! self::gives($planned, [Effect::BaseColour]);
        if ($isUnpainted && in_array($kind->key, self::OF_COVER, true)) {
            return false;
        }

        return $kind->effects === [] || self::gives($planned, $kind->effects);
    }

    /** @param  list<Effect>  $effects */
    private static function gives(PlannedArea $planned, array $effects): bool
    {
        foreach ($planned->choice->techniques ?? [] as $used) {
            if ($used->technique->givesAny(...$effects)) {
                return true;
            }
        }

        return false;
    }
}
