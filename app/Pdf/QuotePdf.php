<?php

declare(strict_types=1);

namespace App\Pdf;

use App\Formats\Read;
use App\Models\Drawing;
use App\Models\Order;
use App\Models\QuoteRow;
use App\Models\Unit;
use App\Pictures\Drawings;
use App\Queries\Sharing\QuoteForClient;
use App\Studio\UnitPlans;
use Carbon\CarbonImmutable;
use Illuminate\Http\Response;
use TCPDF;

/** A version of a quote on A4, in the studio's own head: the same that its page shows. */
final class QuotePdf
{
    /** Of a picture, in mm. */
    private const WIDE = 34;

    private const HIGH = 46;

    public function __construct(
        private readonly StudioPaper $paper,
        private readonly QuoteForClient $shown,
        private readonly UnitPlans $plans,
        private readonly Drawings $drawings,
    ) {
    }

    public function answered(Order $order, QuoteRow $version): Response
    {
        return new Response($this->of($order, $version), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"quote-$order->number-$version->number.pdf\"",
        ]);
    }

    /** @return string the document's bytes */
    public function of(Order $order, QuoteRow $version): string
    {
        $order->load(['units.sculpt', 'units.pieces', 'version', 'scheme', 'overrules']);
        $quote = $this->shown->version($order, $version, []);
        $with = [
            'order' => $order,
            'q' => $quote,
            'money' => fn (string $amount): string => Read::money($amount, $quote['currency']),
            'day' => fn (string $day): string => Read::day(CarbonImmutable::parse($day)),
        ];
        $part = fn (string $name, array $more = []): string => view("quote.$name", $with + $more)->render();
        $pdf = $this->paper->begin("Quote $version->number of order $order->number");
        $pdf->writeHTML($part('head'));
        foreach ($quote['units'] as $i => $unit) {
            $this->unit($pdf, $order->units->firstWhere('id', $unit['id']), $order, $part('unit', [
                'u' => $unit,
                'sum' => $quote['sums']['lines'][$i],
            ]));
        }
        $pdf->writeHTML($part('sums'));

        return (string) $pdf->Output('', 'S');
    }

    /** A unit with its picture beside it, on one page. */
    private function unit(TCPDF $pdf, ?Unit $unit, Order $order, string $words): void
    {
        if ($pdf->GetY() + self::HIGH + 6 > $pdf->getPageHeight() - StudioPaper::MARGIN) {
            $pdf->AddPage();
        }
        $top = $pdf->GetY();
        $picture = $unit === null ? null : $this->picture($unit->setRelation('order', $order));
        $left = StudioPaper::MARGIN;
        if ($picture !== null) {
            $fit = ['', '', '', true, 200, '', false, false, 0, 'CM'];
            $pdf->Image("@$picture", $left, $top, self::WIDE, self::HIGH, ...$fit);
            $left += self::WIDE + 5;
        }
        $wide = $pdf->getPageWidth() - StudioPaper::MARGIN - $left;
        $pdf->writeHTMLCell($wide, 0, $left, $top, $words, 0, 1);
        $pdf->setY(max($pdf->GetY(), $picture === null ? 0 : $top + self::HIGH) + 5);
    }

    /** Its drawing, where it is drawn already; the page of the quote has it drawn. */
    private function picture(Unit $unit): ?string
    {
        $address = $this->drawings->views($this->plans->inForce($unit)->plain(), plain: true)['front'] ?? null;
        $drawing = $address === null ? null : Drawing::query()->find(strtok($address, '/'));

        return $drawing?->state === 'ready' ? $this->drawings->read($drawing) : null;
    }
}
