<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Bench\MadeAmendment;
use Ordotype\Core\Bench\Release;
use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Overrule;
use Ordotype\Core\Planning\Sequencing\Pass;
use Ordotype\Core\Planning\Sequencing\PrecedenceGraph;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Planning\Unit\PieceKind;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Standard;
use stdClass;

/**
 * Writes `ordotype/release@1`: what a unit went to the bench with, so that nothing later has to be worked out again.
 */
final class ReleaseFormat
{
    public const WORD = 'ordotype/release@1';

    /** Minutes at most between two steps of which the second goes into what is still wet. */
    private const WET_MINUTES = 10;

    public static function write(Release $release): stdClass
    {
        $request = $release->request;
        $work = $release->plan->work;

        return (object) [
            'format' => self::WORD,
            'number' => $release->number,
            'reconstructed' => $release->isReconstructed,
            'inputs_sha256' => $release->inputs->sha256,
            'standard_version' => (object) [
                'number' => $release->inputs->standardVersion,
                'sha256' => $release->inputs->standardSha256,
            ],
            'standard' => StandardFormat::write(self::resolved($request)),
            'faults' => FaultFormat::write($release->faults),
            'sculpt' => SculptFormat::write($request->sculpt),
            'scheme' => $request->scheme === null
                    ? null
                    : (object) [
                        'version' => $release->inputs->schemeVersion,
                        'document' => SchemeFormat::write($request->scheme),
                    ],
            'paints' => array_map(self::paint(...), $request->shelf->paints),
            'method' => MethodFormat::write($request->method),
            'pieces' => $request->pieces,
            'amendments' => array_map(self::amendment(...), $release->inputs->amendments),
            'overrules' => array_map(self::overrule(...), $request->arrangement->overrules),
            'by_hand' => (object) [
                'sequence' => array_map(fn (StepKey $k) => $k->id, $request->arrangement->sequence),
                'paints' => (object) $request->arrangement->paints,
                'practice' => $request->arrangement->practice,
            ],
            'gates' => array_map(fn (Gate $g) => $g->value, $release->acceptance()->gates ?? []),
            'kinds' => array_map(fn (PieceKind $k) => self::kind($k, $release), $release->plan->kinds),
            'steps' => ReleasedStepFormat::writeAll($release),
            'passes' => array_map(self::pass(...), $work->passes),
            'edges' => self::edges($release->edges),
            'wet' => self::wet($release->edges),
            'idle_minutes' => $work->idleMinutes,
            'critical_path' => $work->criticalPath,
        ];
    }

    /**
     * What the next release of a unit says without a piece that is lost or cancelled: all but its number, and that
     * piece,
     * stays as it was released.
     *
     * @param  stdClass  $document  stays as it is
     */
    public static function withoutPiece(stdClass $document, int $piece): stdClass
    {
        $next = Json::decode(Json::encode($document));
        if (! ($next instanceof stdClass) || ! is_array($next->kinds)) {
            return $document;
        }
        $kinds = [];
        foreach ($next->kinds as $kind) {
            if ($kind instanceof stdClass && is_array($kind->pieces)) {
                $kind->pieces = array_values(array_filter($kind->pieces, fn (mixed $p) => $p !== $piece));
                $kinds = $kind->pieces === [] ? $kinds : [...$kinds, $kind];
            }
        }
        $next->kinds = $kinds === [] ? $next->kinds : $kinds;

        return $next;
    }

    /** The rule book with the one tier in it, its clauses as they resolve, and the price that goes with it. */
    private static function resolved(PlanRequest $request): Standard
    {
        $tier = $request->tier->saying($request->standard->clausesOf($request->tier));
        $prices = array_filter($request->standard->prices, fn (PriceRange $p) => $p->tier === $tier->key);

        return new Standard(
            $request->standard->name,
            $request->standard->techniques,
            [$tier],
            array_values($prices),
            $request->standard->currency,
        );
    }

    private static function paint(Paint $p): stdClass
    {
        return (object) [
            'name' => $p->name,
            'kind' => $p->kind,
            'hex' => $p->colour->hex(),
            'hiding' => $p->hiding->value,
        ];
    }

    private static function amendment(MadeAmendment $made): stdClass
    {
        return (object) [
            'no' => $made->amendment->number,
            'piece' => $made->piece,
            'by' => $made->by,
            'at' => $made->at,
            'amendment' => AmendmentFormat::write($made->amendment),
        ];
    }

    private static function overrule(Overrule $o): stdClass
    {
        return (object) [
            'rule' => $o->rule->value,
            'earlier' => $o->earlier->id,
            'later' => $o->later->id,
            'reason' => $o->reason,
        ];
    }

    private static function kind(PieceKind $kind, Release $release): stdClass
    {
        $own = $kind->plan->request->scheme;
        $plain = $release->request->scheme;

        return (object) [
            'pieces' => $kind->pieces,
            'variant' => $kind->variant?->name,
            'lacks' => $kind->lacks,
            'amendments' => $kind->amendments,
            'edited' => $kind->edited,
            'scheme' => $own === null || $own == $plain ? null : SchemeFormat::write($own),
            'steps' => array_map(fn (StepKey $k) => $k->id, $release->needs[$kind->pieces[0]] ?? $release->keys),
            'plan' => PlanFormat::write($kind->plan),
        ];
    }

    private static function pass(Pass $pass): stdClass
    {
        return (object) [
            'steps' => array_map(fn (int $i) => $i + 1, $pass->steps),
            'minutes' => $pass->minutes,
            'dry' => $pass->drying,
            'slips' => array_map(PlanFormat::slip(...), $pass->slips),
        ];
    }

    /** @return list<stdClass> each edge with both ends, by their numbers in the order of work */
    public static function edges(PrecedenceGraph $graph): array
    {
        $edges = [];
        for ($earlier = 0; $earlier < $graph->steps; $earlier++) {
            foreach ($graph->after($earlier) as $later => $rules) {
                $words = array_map(fn (Rule $r) => $r->value, array_values($rules));
                $edges[] = (object) ['earlier' => $earlier + 1, 'later' => $later + 1, 'rules' => $words];
            }
        }

        return $edges;
    }

    /** @return list<stdClass> */
    public static function wet(PrecedenceGraph $graph): array
    {
        $wet = [];
        for ($first = 0; $first < $graph->steps; $first++) {
            foreach ($graph->after($first) as $then => $rules) {
                if (isset($rules[Rule::WhileWet->value])) {
                    $wet[] = (object) [
                        'first' => $first + 1,
                        'then' => $then + 1,
                        'most_minutes' => self::WET_MINUTES,
                    ];
                }
            }
        }

        return $wet;
    }
}
