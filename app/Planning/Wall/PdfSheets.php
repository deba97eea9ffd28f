<?php

declare(strict_types=1);

namespace App\Planning\Wall;

/** The sheets of a chart as one PDF, drawn as lines and letters, so that it is sharp at any size. */
final class PdfSheets
{
    private const POINTS_PER_MM = 72 / 25.4;

    /** @param  non-empty-list<Sheet>  $sheets */
    public static function of(array $sheets, string $title): string
    {
        $pdf = new \TCPDF('P', 'mm', 'A4', true, 'UTF-8');
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->setAutoPageBreak(false);
        $pdf->setCellPaddings(0, 0, 0, 0);
        $pdf->setFontSubsetting(true);
        $pdf->setTitle($title);
        $pdf->setCreator('Mill Step');
        foreach ($sheets as $sheet) {
            $pdf->AddPage($sheet->width > $sheet->height ? 'L' : 'P', [$sheet->width, $sheet->height]);
            foreach ($sheet->bars as $bar) {
                $pdf->Rect($bar['x'], $bar['y'], $bar['width'], $bar['height'], 'F', [], [$bar['grey'], $bar['grey'], $bar['grey']]);
            }
            foreach ($sheet->words as $words) {
                $pdf->setFont(Lettering::FONT, $words['bold'] ? 'B' : '', $words['size'] * self::POINTS_PER_MM);
                $pdf->Text($words['x'], $words['y'], $words['words'], calign: 'L');
            }
        }

        return $pdf->Output('', 'S');
    }
}
