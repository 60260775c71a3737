<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Scheme;
use App\Models\Sculpt;
use App\Models\ShareLink;
use App\Models\StandardVersion;
use App\Queries\FigureShown;
use App\Studio\ActivityLog;
use App\Studio\Refusal;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Ladder\ComparedRung;
use Ordotype\Core\Ladder\ComparisonSheet;
use Ordotype\Core\Planning\PlannedArea;
use Ordotype\Core\Words\Voices;

/**
 * One figure at every offered tier, for a client: on screen, on paper, and by a link that shows this and nothing else.
 */
final class ComparisonController
{
    public function show(Request $request): JsonResponse
    {
        $given = $request->validate(['sculpt' => ['required', 'string', 'exists:sculpts,slug']]);

        return new JsonResponse($this->sheet(Standards::current(), $given['sculpt'], true));
    }

    public function links(): JsonResponse
    {
        return new JsonResponse([
            'data' => ShareLink::query()
                ->orderByDesc('id')
                ->limit(100)
                ->get()
                ->map(
                    fn (ShareLink $l) => [
                        'id' => $l->id,
                        'sculpt' => $l->shows['sculpt'] ?? '',
                        'version' => $l->shows['version'] ?? 0,
                        'prices' => (bool) ($l->shows['prices'] ?? false),
                        'expires_at' => $l->expires_at->toIso8601ZuluString(),
                        'holds' => $l->holds(),
                    ],
                )
                ->all(),
        ]);
    }

    public function share(Request $request): JsonResponse
    {
        $given = $request->validate([
            'sculpt' => ['required', 'string', 'exists:sculpts,slug'],
            'prices' => ['required', 'boolean'],
            'days' => ['required', 'integer', 'min:1', 'max:365'],
        ]);
        $secret = bin2hex(random_bytes(16));
        $link = DB::transaction(function () use ($given, $secret, $request): ShareLink {
            $link = ShareLink::query()->create([
                'hash' => hash('sha256', $secret),
                'what' => 'comparison',
                'shows' => [
                    'sculpt' => $given['sculpt'],
                    'prices' => (bool) $given['prices'],
                    'version' => Standards::current()->number,
                ],
                'made_by' => $request->user()?->getAuthIdentifier(),
                'expires_at' => now()->addDays((int) $given['days']),
            ]);
            ActivityLog::write('share.made', $link, null, $link->shows);

            return $link;
        });

        return new JsonResponse(
            [
                'id' => $link->id,
                'path' => "/shared/$secret",
                'expires_at' => $link->expires_at->toIso8601ZuluString(),
            ],
            201,
        );
    }

    public function withdraw(ShareLink $link): JsonResponse
    {
        DB::transaction(function () use ($link): void {
            $link->update(['withdrawn_at' => $link->withdrawn_at ?? now()]);
            ActivityLog::write('share.withdrawn', $link, null, null);
        });

        return new JsonResponse(null, 204);
    }

    /** What a link shows, without signing in. Expired, withdrawn and never made look the same. */
    public function shared(string $secret): JsonResponse
    {
        $link = ShareLink::query()->where('hash', hash('sha256', $secret))->first();
        if ($link === null || ! $link->holds()) {
            throw new Refusal('This link shows nothing any more. Ask the studio for a new one.', '', 404);
        }
        $version = StandardVersion::query()
            ->where('number', $link->shows['version'] ?? 0)
            ->firstOrFail();

        return new JsonResponse(
            $this->sheet($version, (string) ($link->shows['sculpt'] ?? ''), (bool) ($link->shows['prices'] ?? false)),
        );
    }

    /** @return array<string, mixed> */
    private function sheet(StandardVersion $version, string $slug, bool $prices): array
    {
        $standard = Standards::core($version);
        $sculpt = UnitPlans::sculpt(Sculpt::query()->where('slug', $slug)->firstOrFail());
        $scheme = UnitPlans::scheme(Scheme::query()->first());
        $sheet = new ComparisonSheet($standard, $sculpt, $scheme, UnitPlans::shelf());

        return [
            'studio' => $standard->name,
            'version' => $version->number,
            'sculpt' => $sculpt->name,
            'slug' => $slug,
            'currency' => $standard->currency,
            'frame_mm' => $sculpt->frameMm ?? [60, 80],
            'figure' => FigureShown::of($sculpt, $scheme, UnitPlans::shelf()),
            'rungs' => array_map(
                fn (ComparedRung $r) => [
                    'key' => $r->tier->key,
                    'name' => $r->tier->name,
                    'order' => $r->tier->order,
                    'status' => $r->tier->status->value,
                    'intent' => $r->tier->intent,
                    'distance_cm' => $r->tier->viewing->distanceCm,
                    'adds' => (new Voices($r->fromBelow))->gains(),
                    'loses' => (new Voices($r->fromBelow))->losses(),
                    'not_here' => $r->toNext === null ? [] : (new Voices($r->toNext))->gains(),
                    'price' => $prices && $r->price() !== null
                            ? ['low' => $r->price()->low, 'high' => $r->price()->high]
                            : null,
                    'marks' => array_map(
                        fn (PlannedArea $a) => ['area' => $a->demand->area->key ?? '', 'effects' => self::marks($a)],
                        $r->plan->areas,
                    ),
                ],
                $sheet->rungs,
            ),
        ];
    }

    /** @return list<string> the effects whose marks the schematic figure shows */
    private static function marks(PlannedArea $planned): array
    {
        $marks = [];
        foreach ($planned->choice->techniques ?? [] as $used) {
            foreach (array_keys($used->technique->effects) as $effect) {
                $marks[$effect] = true;
            }
        }

        return array_map(strval(...), array_keys($marks));
    }
}
