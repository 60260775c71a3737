<?php

declare(strict_types=1);

namespace App\Console;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Ladder\RequirementChange;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Words\PlanWords;
use Ordotype\Core\Words\Terms;
use Ordotype\Core\Words\Voices;

final class DiffCommand extends CoreCommand
{
    protected $signature = 'ordotype:diff
        {--standard= : file in ordotype/standard@1}
        {--from= : key of the tier to start from}
        {--to= : key of the tier to compare with}
        {--sculpt= : file in ordotype/sculpt@1}
        {--scheme= : file in ordotype/scheme@1}
        {--method= : file in ordotype/method@1}
        {--shelf= : CSV of paints}
        {--voice=painter : painter, or client for plain words}
        {--json : print JSON}';

    protected $description =
        'Show what one tier asks of a sculpt that another does not, and the minutes and '.'price it takes';

    protected function work(): int
    {
        $difference = new TierDifference(
            $this->planner()->plan($this->request('from')),
            $this->planner()->plan($this->request('to')),
        );
        $voices = new Voices($difference);
        match (true) {
            $this->option('json') === true => $this->line(Json::encode(self::document($difference, $voices))),
            $this->option('voice') === 'client' => $this->forClient($difference, $voices),
            default => $this->forPainter($difference, $voices),
        };

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private static function document(TierDifference $difference, Voices $voices): array
    {
        [$low, $high] = $difference->prices();

        return [
            'from' => $difference->from->request->tier->key,
            'to' => $difference->to->request->tier->key,
            'sculpt' => $difference->to->request->sculpt->name,
            'changes' => array_map(
                fn (RequirementChange $c) => [
                    'change' => $c->trend->value,
                    'area' => ($c->after ?? $c->before)?->area,
                    'subject' => ($c->after ?? $c->before)?->subject(),
                    'before' => $voices->amount($c->before),
                    'after' => $voices->amount($c->after),
                    'clauses' => array_values(
                        array_unique(Reason::ids([...$c->before->reasons ?? [], ...$c->after->reasons ?? []])),
                    ),
                ],
                $difference->changes,
            ),
            'minutes' => [
                'from' => $difference->from->minutesByPasses(),
                'to' => $difference->to->minutesByPasses(),
                'change' => $difference->minutes(),
            ],
            'prices' => ['from' => self::price($low), 'to' => self::price($high)],
        ];
    }

    private function forClient(TierDifference $difference, Voices $voices): void
    {
        $this->line("{$difference->to->request->tier->name} gives, over {$difference->from->request->tier->name}:");
        foreach ($voices->gains() as $line) {
            $this->line("  + $line");
        }
        foreach ($voices->losses() as $line) {
            $this->line("  - $line");
        }
    }

    private function forPainter(TierDifference $difference, Voices $voices): void
    {
        [$low, $high] = $difference->prices();
        [$from, $to] = [$difference->from, $difference->to];
        $this->line(
            "{$to->request->sculpt->name}: {$from->request->tier->name} ".
                round($from->minutesByPasses()).
                " min → {$to->request->tier->name} ".
                round($to->minutesByPasses()).
                ' min ('.
                sprintf('%+d', (int) round($difference->minutes())).
                ' a piece)',
        );
        $this->line('Price: '.(self::price($low) ?? 'none set').' → '.(self::price($high) ?? 'none set'));
        $words = new PlanWords($to->request);
        $this->table(
            ['Change', 'Area', 'What', 'Before', 'After'],
            array_map(
                fn (RequirementChange $c) => [
                    Terms::plain($c->trend->value),
                    self::area($c, $to->request->sculpt),
                    self::subject($c, $words),
                    $voices->amount($c->before) ?? '·',
                    $voices->amount($c->after) ?? '·',
                ],
                $difference->changes,
            ),
        );
    }

    private static function area(RequirementChange $c, Sculpt $sculpt): string
    {
        $key = ($c->after ?? $c->before)?->area;

        return PlanWords::area($key === null ? null : $sculpt->area($key));
    }

    private static function subject(RequirementChange $c, PlanWords $words): string
    {
        $asked = $c->after ?? $c->before;

        return $asked === null ? '' : $words->subject($asked);
    }

    private static function price(?PriceRange $price): ?string
    {
        return $price === null ? null : ($price->high === null ? "from $price->low" : "$price->low to $price->high");
    }
}
