<?php

declare(strict_types=1);

namespace App\Pdf;

use App\Models\Order;
use App\Models\Parcel;
use App\Models\Piece;
use App\Models\Studio;
use App\Models\Unit;
use App\Repositories\Standards;
use Ordotype\Core\Standard\Clause;
use TCPDF;

/** What goes with models: labels for their handles, and the slip in a parcel. */
final class OrderPapers
{
    /** A label, in mm: two of three rows of fingers wide, so that it goes round a cork. */
    private const WIDE = 58;

    private const HIGH = 24;

    private const QR = 18;

    public function __construct(private readonly StudioPaper $paper, private readonly Standards $standards)
    {
    }

    /** A label for each model: its code, what it is, and a mark that leads to its page. */
    public function labels(Order $order, string $address): string
    {
        $pdf = $this->paper->begin("Labels of order $order->number");
        $pdf->setAutoPageBreak(false);
        $x = $left = StudioPaper::MARGIN;
        $y = $pdf->GetY();
        foreach ($this->pieces($order) as $piece) {
            if ($x + self::WIDE > $pdf->getPageWidth() - $left) {
                $x = $left;
                $y += self::HIGH;
            }
            if ($y + self::HIGH > $pdf->getPageHeight() - $left) {
                $pdf->AddPage();
                $y = $left;
            }
            $this->label($pdf, $piece, $order, $address, $x, $y);
            $x += self::WIDE;
        }

        return (string) $pdf->Output('', 'S');
    }

    /** What a parcel holds, what was promised of it, and how to look after it; no prices. */
    public function slip(Parcel $parcel): string
    {
        $order = Order::query()->with(['units.pieces.signOffs', 'units.sculpt', 'units.receiving', 'version'])
            ->findOrFail($parcel->order_id);
        $standard = $this->standards->core($order->version);
        $units = [];
        foreach ($order->units as $unit) {
            $in = $unit->pieces->whereIn('id', $parcel->pieces);
            if ($in->isNotEmpty()) {
                $tier = $standard->tier($unit->tier);
                $units[] = [
                    'name' => $unit->sculpt->name.($unit->label === null ? '' : ", $unit->label"),
                    'tier' => $tier->name,
                    'pieces' => $in->map(fn (Piece $p) => ['code' => $p->code, 'certificate' => self::certificate($p)]),
                    'promised' => array_filter(array_map(
                        fn (Clause $c) => $c->clientText,
                        $standard->clausesOf($tier),
                    )),
                    'spares' => $unit->receiving?->spares,
                ];
            }
        }
        $pdf = $this->paper->begin("Parcel of order $order->number");
        $pdf->writeHTML(view('orders.slip', ['order' => $order, 'parcel' => $parcel, 'units' => $units])->render());

        return (string) $pdf->Output('', 'S');
    }

    private static function certificate(Piece $piece): ?int
    {
        $number = $piece->signOffs->where('kind', 'sign_off')->max('number');

        return is_numeric($number) ? (int) $number : null;
    }

    private function label(TCPDF $pdf, Piece $piece, Order $order, string $address, float $x, float $y): void
    {
        $pdf->Rect($x, $y, self::WIDE, self::HIGH, 'D', ['all' => ['width' => 0.1, 'dash' => '1,1', 'color' => [150]]]);
        $pdf->write2DBarcode("$address/p/$piece->code", 'QRCODE,M', $x + 3, $y + 3, self::QR, self::QR);
        $text = $x + self::QR + 6;
        $wide = self::WIDE - self::QR - 8;
        $pdf->setFont(StudioPaper::FONT, 'B', 13);
        $pdf->setXY($text, $y + 3);
        $pdf->Cell($wide, 6, $piece->code);
        $pdf->setFont(StudioPaper::FONT, '', 7);
        $pdf->setXY($text, $y + 10);
        $pdf->MultiCell($wide, 3.4, "{$piece->unit->sculpt->name}\n$piece->number of {$piece->unit->pieces->count()}, ".
            "order $order->number", 0, 'L');
    }

    /** @return list<Piece> */
    private function pieces(Order $order): array
    {
        $order->load(['units.pieces', 'units.sculpt']);

        return array_values($order->units->flatMap(
            fn (Unit $u) => $u->standing()->each(fn (Piece $p) => $p->setRelation('unit', $u)),
        )->all());
    }

    /** Where links begin: as the studio says, else where the page is. */
    public static function address(string $here): string
    {
        return rtrim(Studio::row()->address ?? $here, '/');
    }
}
