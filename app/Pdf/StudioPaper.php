<?php

declare(strict_types=1);

namespace App\Pdf;

use App\Models\Picture;
use App\Models\Studio;
use App\Studio\Pictures;
use TCPDF;

/** A sheet with the studio's own head: its mark, its name, the lines under it. */
final class StudioPaper
{
    public const FONT = 'dejavusans';

    /** In mm, on every side. */
    public const MARGIN = 18;

    /** Of the mark, in mm. */
    private const MARK = 16;

    public function __construct(private readonly Pictures $pictures)
    {
    }

    public function begin(string $title): TCPDF
    {
        $studio = Studio::row();
        $pdf = new TCPDF('P', 'mm', 'A4');
        $pdf->setCreator('Ordotype');
        $pdf->setAuthor($studio->name);
        $pdf->setTitle($title);
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->setMargins(self::MARGIN, self::MARGIN, self::MARGIN);
        $pdf->setAutoPageBreak(true, self::MARGIN);
        $pdf->setListIndentWidth(5);
        $pdf->AddPage();
        $x = self::MARGIN;
        $mark = $studio->mark === null ? null : Picture::query()->find($studio->mark);
        if ($mark !== null) {
            $bytes = $this->pictures->read($mark);
            $fit = ['', '', '', true, 200, '', false, false, 0, 'LM'];
            $pdf->Image("@$bytes", $x, self::MARGIN, self::MARK, self::MARK, ...$fit);
            $x += self::MARK + 4;
        }
        $pdf->setXY($x, self::MARGIN);
        $pdf->setFont(self::FONT, 'B', 12);
        $pdf->Cell(0, 6, $studio->name, 0, 1);
        $pdf->setFont(self::FONT, '', 8);
        foreach (explode("\n", (string) $studio->paper_head) as $line) {
            $pdf->setX($x);
            $pdf->Cell(0, 4, trim($line), 0, 1);
        }
        $pdf->setY(max($pdf->GetY(), self::MARGIN + ($mark === null ? 6 : self::MARK)) + 6);
        $pdf->setFont(self::FONT, '', 9.5);

        return $pdf;
    }
}
