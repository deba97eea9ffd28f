<?php

declare(strict_types=1);

namespace App\Support;

/** A text as a square code that a camera reads, drawn so that it can be shown and printed at any size. */
final class QrSquare
{
    /** @return string a data address of the drawing */
    public static function of(#[\SensitiveParameter] string $text): string
    {
        $drawn = (string) (new \TCPDF2DBarcode($text, 'QRCODE,M'))->getBarcodeSVGcode(6, 6);

        return 'data:image/svg+xml;base64,'.base64_encode(
            (string) preg_replace('/<svg width="(\d+)" height="(\d+)"/', '<svg viewBox="0 0 $1 $2"', $drawn),
        );
    }
}
