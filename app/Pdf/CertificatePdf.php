<?php

declare(strict_types=1);

namespace App\Pdf;

use App\Models\Studio;
use App\Queries\Certificate\CertificateForClient;
use App\Studio\Pictures;
use Carbon\CarbonImmutable;
use TCPDF;

/** A signed record on paper, in the client's words, with its pictures: the same that its address shows. */
final class CertificatePdf
{
    /** Of the row of pictures, in mm. */
    private const HIGH = 70;

    private const WIDE = 55;

    private const GAP = 4;

    /** So many pictures are printed; the rest is seen at the record's address. */
    private const MOST = 24;

    public function __construct(
        private readonly CertificateForClient $shown,
        private readonly Pictures $pictures,
        private readonly StudioPaper $paper,
    ) {
    }

    /** @return string the document's bytes */
    public function of(string $secret): string
    {
        $read = $this->shown->at($secret);
        $zone = Studio::row()->time_zone;
        $day = fn (string $at): string => CarbonImmutable::parse($at)->setTimezone($zone)->format('j F Y');
        $pdf = $this->paper->begin("Certificate {$read['number']}: {$read['order']['title']}");
        $part = fn (string $name): string => view("certificate.$name", ['c' => $read, 'day' => $day])->render();
        $pdf->writeHTML($part('head'));
        $pdf->Ln(self::GAP);
        $this->draw($pdf, $secret, $read['pictures']);
        $pdf->writeHTML($part('body'));

        return (string) $pdf->Output('', 'S');
    }

    /** @param  list<array{model: int, view: string, sha256: string, drawn: bool}>  $pictures */
    private function draw(TCPDF $pdf, string $secret, array $pictures): void
    {
        $x = StudioPaper::MARGIN;
        foreach (array_slice($pictures, 0, self::MOST) as $picture) {
            if ($x + self::WIDE > $pdf->getPageWidth() - StudioPaper::MARGIN) {
                $x = StudioPaper::MARGIN;
                $pdf->setY($pdf->GetY() + self::HIGH + self::GAP + 8);
            }
            if ($pdf->GetY() + self::HIGH + 8 > $pdf->getPageHeight() - StudioPaper::MARGIN) {
                $pdf->AddPage();
            }
            $y = $pdf->GetY();
            $bytes = $this->pictures->read($this->shown->photograph($secret, $picture['sha256'])->picture);
            $pdf->Image("@$bytes", $x, $y, self::WIDE, self::HIGH, '', '', '', true, 200, '', false, false, 0, 'CM');
            $pdf->setFontSize(7);
            $pdf->MultiCell(
                self::WIDE,
                6,
                "Model {$picture['model']}, the {$picture['view']}".
                    ($picture['drawn'] ? ': drawn, not photographed' : ''),
                0,
                'L',
                false,
                1,
                $x,
                $y + self::HIGH + 1,
            );
            $pdf->setFontSize(9.5);
            $pdf->setY($y);
            $x += self::WIDE + self::GAP;
        }
        if ($pictures !== []) {
            $pdf->setY($pdf->GetY() + self::HIGH + self::GAP + 6);
        }
        $more = count($pictures) - self::MOST;
        if ($more > 0) {
            $pdf->writeHTML("<p>$more more are seen at the address of the record.</p>");
        }
    }
}
